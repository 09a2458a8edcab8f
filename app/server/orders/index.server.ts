export { changeOrder, removeTestOrders, type OrderChanged } from "./change";
export { orderLetter } from "./letters";
export {
  allOrdersOf,
  countsOf,
  orderByToken,
  orderOf,
  orderOfShopper,
  orderPressed,
  ordersFile,
  ordersOf,
  ordersOfShopper,
  type OrderCounts,
  type WholeOrder,
} from "./read";
export {
  bankAsks,
  dropHeld,
  dropLost,
  HOLD_MINUTES,
  placeOrder,
  settleOrder,
  tellStock,
  type Placed,
  type PlacedOrder,
  type Placing,
} from "./place";
