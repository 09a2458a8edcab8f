export { AddSheet } from "./add-sheet";
export { KeepPiece } from "./keep-piece";
