export * from "./rich";
export { fitRich, type Fitted } from "./fit";
export { foundIn, patternOf, rewritten, type Found, type Sought } from "./finding";
