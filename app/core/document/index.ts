export * from "./types";
export * from "./tree";
export { integrityOf, type IntegrityProblem } from "./integrity";
export { differences, type Difference } from "./differences";
