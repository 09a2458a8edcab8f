export { AddSheet } from "./add-sheet";
export { givenFrom, useGiven, useTrade } from "./given";
export { KeepPiece } from "./keep-piece";
export { TradeField } from "./trade-field";
