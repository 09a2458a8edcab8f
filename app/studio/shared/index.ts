export { ShareSection } from "./share-section";
export { SharedNote } from "./shared-note";
export { SharedTiles } from "./shared-tiles";
export { pageShowing, sharedDocument, whereWords } from "./where";
