export { LinkField, readLink } from "./link-field";
