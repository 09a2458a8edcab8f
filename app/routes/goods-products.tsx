export { ProductsTable as default } from "~/studio/goods";
