export { DESIGN_PURPOSES, type DesignPurpose, type PageDesign } from "./design";
export { PAGE_DESIGNS } from "./designs";
export { TRADES, type Trade } from "./trades";
export type { Given } from "./build";
export { BLANKS, blankIn, canCome } from "./blanks";
