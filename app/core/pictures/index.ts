export * from "./renditions";
