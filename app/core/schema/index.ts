export { mailAddress, MOST_HOURS, MOST_SOCIAL, openingHours, phoneNumber, postalAddress, webAddress } from "./contact";
export * from "./limits";
export * from "./validators";
export { lift, versionOf, type Lifted, type Migration } from "./lift";
export {
  DOCUMENT_MIGRATIONS,
  DOCUMENT_VERSION,
  LOOK_MIGRATIONS,
  readDocument,
  readLook,
  type ReadDocument,
  type ReadLook,
} from "./migrations";
export { linkSchema, NO_LINK, OWN_PAGE_NAMES, OWN_PAGES, placeName, type Link, type OwnPage } from "./links";
export { linkOfOwn, ownLink } from "./own-link";
export { reworkSchema } from "./rework";
export { toneSchema, tonesSchema, viewSchema } from "./views";
export { plainWords } from "./words";
