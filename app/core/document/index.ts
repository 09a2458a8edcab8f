export * from "./types";
export * from "./tree";
export { integrityOf, type IntegrityProblem } from "./integrity";
export { differences, documentDifferences, type Difference } from "./differences";
