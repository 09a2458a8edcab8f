export * from "./card";
export * from "./countries";
export * from "./postal";
export * from "./selling";
export { CARRIER, quote } from "./tariff";
