export { ProductPage as default } from "~/studio/goods";
