export { Bench } from "./bench";
export { placeForNew, standings } from "./sections";
