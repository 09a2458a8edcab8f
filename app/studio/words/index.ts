export { createWordsStore, useOpenEditor, WordsProvider } from "./editing";
export { RichEditor, useEditorAhead, WordsBar } from "./lazy";
