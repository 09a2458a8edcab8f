export { clockPlus, clockWords, daysWords, endOfDay, endWords, listed, type DateRule, type TimeRule } from "./times";
export {
  conditionsSchema,
  mapNamed,
  PAGE_SORTS,
  personalIn,
  rulesIn,
  type AnyOf,
  type CartRule,
  type Condition,
  type CountryRule,
  type GoodsRule,
  type Named,
  type PageRule,
  type PageSort,
  type Personal,
  type Rule,
  type VisitorRule,
} from "./rules";
export {
  against,
  askedIn,
  goodsHold,
  holds,
  nextChangeOf,
  outlook,
  ruleHolds,
  type Asked,
  type Outlook,
} from "./holds";
export { explain, PAGE_SORT_WORDS, ruleWords, type Names } from "./words";
export { comingIn, type Coming } from "./coming";
export { movedDates, spansOf, type Span } from "./year";
export { reachOf, type Reach } from "./reach";
export {
  conditionalDocuments,
  conditionsOf,
  draftOn,
  nextTimed,
  partsOutcome,
  personalParts,
  showsIn,
  standsOn,
  timedOutcome,
  type PersonalParts,
} from "./draft-on";
