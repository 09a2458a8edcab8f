export { LiveItems } from "./live-list";
export { LiveTextField } from "./live-text-field";
export { groupsOf, liveOf } from "./live-of";
