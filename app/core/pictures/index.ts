export * from "./logo";
export * from "./renditions";
export * from "./words-on-picture";
