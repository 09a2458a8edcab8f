export { LinkField, readLink } from "./link-field";
export { itemsTo, linkState, type LinkState } from "./link-state";
