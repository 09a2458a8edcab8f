export * from "./types";
export * from "./import";
