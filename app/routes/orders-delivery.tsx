export { DeliveryPage as default } from "~/studio/orders";
