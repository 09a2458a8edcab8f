export * from "./store";
export { startKeeper, type Keeper } from "./keeper";
export { useReload } from "./use-reload";
