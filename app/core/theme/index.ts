export * from "./colour";
export * from "./explain";
export * from "./gradient";
export * from "./harmony";
export * from "./look";
export * from "./look-css";
export * from "./pairs";
export * from "./palette";
export * from "./ramps";
export * from "./roles";
export * from "./table";
export * from "./solver";
export * from "./suits";
export * from "./theme";
export * from "./type";
export * from "./vision";
export {
  cutFileName,
  FAMILIES,
  familyById,
  findFamily,
  fontPackage,
  isSingle,
  fontFileName,
  readCutFileName,
  SUBSETS,
  type Cut,
  type Family,
  type Subset,
} from "./families";
