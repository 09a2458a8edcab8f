export { OrdersArea } from "./area";
export { DeliveryPage } from "./delivery";
export { OrdersPage } from "./list";
export { NoOrder, OneOrder } from "./one";
export { PaymentPage } from "./payment";
export { PrintedOrder } from "./printed";
export { TaxPage } from "./tax";
