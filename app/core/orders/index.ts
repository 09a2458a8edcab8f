export * from "./names";
export * from "./order";
export * from "./requests";
