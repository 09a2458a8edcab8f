export { DEVICE_NAME, DEVICE_PLURAL, DEVICE_WIDTH } from "./devices";
export { ShopFrame, useSheetSource, type Sheets, type SheetSource } from "./shop-frame";
export { ShopPage, useDressing, usePageSheets, useStructure, type Dressing } from "./shop-page";
export { DraftFrame } from "./draft-frame";
export { PageSight } from "./page-sight";
export { PartSight } from "./part-sight";
export { PaneShell, SillName, SillScale } from "./pane-shell";
export { BARE_CSS, ghostCss, paneCss } from "./studio-css";
export { ShowProvider, useTarget } from "./target";
