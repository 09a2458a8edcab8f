import { lazy } from "react";

export { createWordsStore, useOpenEditor, WordsProvider } from "./editing";
export { fieldAt, pathOf } from "./path";
export { RichEditor, useEditorAhead, WordsBar } from "./lazy";
/** Running text in a form; fetched when one opens. */
export const RichBox = lazy(() => import("./rich-box"));
