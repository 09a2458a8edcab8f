export * from "./drop";
export * from "./placing";
export * from "./shares";
export * from "./arrange";
