export { FindWords } from "./find-words";
