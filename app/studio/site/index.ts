export { SiteGlance } from "./glance";
export { HeadDialog } from "./head-dialog";
export { NewPage } from "./new-page";
export { NewPost } from "./new-post";
export { OpenShop } from "./open-shop";
export { PageSettings } from "./page-settings";
export { PostsList } from "./posts-list";
