export * from "./currency";
export { portion, split } from "./split";
export { taxOf, type Taxed, type TaxRow, type TaxRules } from "./tax";
