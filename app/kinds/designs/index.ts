export { DESIGN_PURPOSES, type DesignPurpose, type PageDesign } from "./pages/design";
export { PAGE_DESIGNS } from "./pages";
export { SECTION_DESIGNS, type SectionDesign } from "./sections";
export { STARTS, startFor, type Start, type StartGiven } from "./starts";
export { firstHome, firstStory, isAsOpened, ownIn } from "./starts/untouched";
export { TRADES, type Trade } from "./trades";
export type { Given } from "./build";
export { BLANKS, blankIn, canCome } from "./blanks";
