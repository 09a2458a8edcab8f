export * from "./cascade";
export { MEDIA, PROPERTIES, isKnownValue } from "./properties";
export { amountOf, exactValue, isExact, type StyleChoice, type Emission, type Exact, type Property } from "./property";
export { TEXT_ROLES } from "./properties-words";
