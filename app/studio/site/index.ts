export { SiteGlance } from "./glance";
export { NewPage } from "./new-page";
export { OpenShop } from "./open-shop";
export { PageSettings } from "./page-settings";
