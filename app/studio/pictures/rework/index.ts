export { AlikeDialog } from "./alike-dialog";
export { ReworkDialog } from "./rework-dialog";
