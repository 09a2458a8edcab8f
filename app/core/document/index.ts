export * from "./types";
export * from "./tree";
export { integrityOf, type IntegrityProblem } from "./integrity";
export { differences, documentDifferences, type Difference } from "./differences";
export { changedParts, LOOK_PART, partOfDifference, publishable, withParts, type ChangedPart } from "./publication";
export {
  placesOfShared,
  sectionOfShared,
  selectable,
  SHARED,
  sharedOf,
  sharedSections,
  spread,
  standingIn,
  type Standing,
} from "./shared";
export { entryOf } from "./entry";
export * from "./site";
export {
  DAY_NAMES,
  daysWords,
  hoursProblem,
  hoursWords,
  iconPicture,
  isLogo,
  logoHeights,
  logoOn,
  logoPicture,
  SOCIAL_WORDS,
  socialName,
  WEEK,
} from "./identity";
export { markOf, withoutEnd, withoutEnds } from "./text";
export { remembered } from "./remembered";
export { listerOf } from "./listed";
