export { renderPage, type RenderedPage, type Target } from "./document";
export { envOf, type ShopContent } from "./shop";
export { Page, PageSections } from "./page";
export { Section } from "./section";
export { pageCss, sharedCss } from "./css";
export { arrangementOf, nodeClass, sectionCss, sectionLayers } from "./style";
