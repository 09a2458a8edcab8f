export { CodeEditor } from "./loaded";
export type { Trouble } from "./words";
