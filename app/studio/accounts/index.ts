export { EntryPage } from "./entry-page";
