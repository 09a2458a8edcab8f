export * from "./types";
export { apply, applyAll, invert, invertAll, readAt, rebase, type Applied } from "./operations";
