export { createWordsStore, useOpenEditor, WordsProvider } from "./editing";
export { RichEditor } from "./rich-editor";
export { WordsBar } from "./words-bar";
