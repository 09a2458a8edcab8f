export { CodeEditor } from "./loaded";
export { Origins } from "./origins";
export type { Trouble } from "./words";
