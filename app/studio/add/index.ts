export { AddSheet } from "./add-sheet";
export { useGiven, useTrade } from "./given";
export { KeepPiece } from "./keep-piece";
export { TradeField } from "./trade-field";
