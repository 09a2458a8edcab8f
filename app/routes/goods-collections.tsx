export { CollectionsPage as default } from "~/studio/goods";
