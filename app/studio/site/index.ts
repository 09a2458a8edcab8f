export { SiteGlance } from "./glance";
export { NewPage } from "./new-page";
export { PageSettings } from "./page-settings";
