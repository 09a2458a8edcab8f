export * from "./validators";
export { DOCUMENT_MIGRATIONS, DOCUMENT_VERSION, readDocument, type ReadDocument } from "./migrations";
export { linkSchema, NO_LINK, placeName, type Link } from "./links";
