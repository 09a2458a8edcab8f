export { ShopFrame, type Sheets } from "./shop-frame";
export { ShopPage, useDressing, usePageSheets, useWithStudioCss, type Dressing } from "./shop-page";
export { paneCss } from "./studio-css";
