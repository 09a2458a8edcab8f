export { TaxPage as default } from "~/studio/orders";
