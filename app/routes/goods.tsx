export { GoodsList as default } from "~/studio/goods";
