export { AccountsPage } from "./accounts";
export { OrdersArea } from "./area";
export { DeliveryPage } from "./delivery";
export { GiftCardsPage } from "./gift-cards";
export { OrdersPage } from "./list";
export { NoOrder, OneOrder } from "./one";
export { PaymentPage } from "./payment";
export { PrintedOrder } from "./printed";
export { TaxPage } from "./tax";
