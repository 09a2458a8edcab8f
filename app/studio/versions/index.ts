export { PublicationsDialog } from "./publications-dialog";
export { VersionsDialog } from "./versions-dialog";
