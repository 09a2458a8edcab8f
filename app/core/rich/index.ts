export * from "./rich";
export { fitRich, type Fitted } from "./fit";
export { foundIn, MOST_FOUND, patternOf, rewritten, type Found, type Sought } from "./finding";
