export { LiveItems } from "./live-list";
export { LiveTextField } from "./live-text-field";
export { groupsOf, useLive } from "./use-live";
