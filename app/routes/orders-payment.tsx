export { PaymentPage as default } from "~/studio/orders";
