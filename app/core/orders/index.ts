export * from "./order";
export * from "./requests";
