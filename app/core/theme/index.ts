export * from "./colour";
export * from "./solver";
export * from "./type";
export * from "./theme";
export { FAMILIES, familyById, fontFileName, SUBSETS, type Family, type Subset } from "./families";
