export { VersionsDialog } from "./versions-dialog";
