export { AddSheet } from "./add-sheet";
