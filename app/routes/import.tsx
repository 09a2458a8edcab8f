export { BringIn as default } from "~/studio/goods";
