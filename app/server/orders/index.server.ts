export { changeOrder, removeTestOrders, type OrderChanged } from "./change";
export { sendGiftCard } from "./letters";
export { askForNewLink, forgetLettersOf, sendDueOrderLetters, sendLettersOf } from "./letters-due";
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
