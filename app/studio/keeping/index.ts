export * from "./store";
export { holdWhilePressed } from "./hold";
export { startKeeper, type Keeper } from "./keeper";
export { useReload } from "./use-reload";
