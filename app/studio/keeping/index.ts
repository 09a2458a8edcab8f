export * from "./store";
export { startKeeper, type Keeper } from "./keeper";
