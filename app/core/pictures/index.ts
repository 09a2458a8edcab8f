export * from "./colours";
export * from "./logo";
export * from "./renditions";
export * from "./rework";
export * from "./shade";
export * from "./tone";
export * from "./view";
export * from "./words-on-picture";
