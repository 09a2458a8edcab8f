export { ReworkDialog } from "./rework-dialog";
