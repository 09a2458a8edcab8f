export * from "./types";
export * from "./import";
export * from "./search";
