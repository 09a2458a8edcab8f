export { FindWords } from "./find-words";
export { WordList } from "./word-list";
