export * from "./store";
export { holdWhilePressed } from "./hold";
export { startKeeper, type Keeper } from "./keeper";
export { useMoment } from "./use-moment";
export { useReload } from "./use-reload";
