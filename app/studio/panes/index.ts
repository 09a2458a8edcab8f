export { ShopFrame, type Sheets } from "./shop-frame";
export { ShopPage, usePageSheets, type Dressing } from "./shop-page";
export { paneCss } from "./studio-css";
