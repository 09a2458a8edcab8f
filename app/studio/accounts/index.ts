export { EntryPage } from "./entry-page";
export { browserName, Sessions } from "./sessions";
