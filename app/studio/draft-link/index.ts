export { DraftLinkDialog } from "./draft-link";
