export * from "./logo";
export * from "./renditions";
export * from "./shade";
export * from "./words-on-picture";
