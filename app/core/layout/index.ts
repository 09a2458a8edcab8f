export * from "./drop";
export * from "./shares";
export * from "./arrange";
