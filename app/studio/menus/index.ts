export { MenuEditor } from "./menu-editor";
export { MenusDialog } from "./menus-dialog";
