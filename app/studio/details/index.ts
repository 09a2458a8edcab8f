export { Details } from "./details";
export { readLink } from "./link-field";
