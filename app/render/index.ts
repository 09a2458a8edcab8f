export { renderPage, type RenderedPage } from "./document";
export { envOf, type ShopContent } from "./shop";
export { Page, PageBody } from "./page";
export { PartsSheet, SHEET_CSS } from "./pages/parts-sheet";
export { PARTS, partById, type Part } from "./parts";
export { Section } from "./section";
export { pageCss, sharedCss } from "./css";
export { arrangementOf, nodeClass, sectionCss, sectionLayers } from "./style";
export { addressOf, NOT_FOUND, onePageOfEachKind, TARGET_KINDS, targetAt, targetName, type Target } from "./target";
