export * from "./cascade";
export { MEDIA, PROPERTIES, isKnownValue } from "./properties";
export {
  amountOf,
  exactValue,
  FAMILIES,
  isExact,
  isOwnColour,
  type Emission,
  type Exact,
  type Family,
  type Property,
  type StyleChoice,
} from "./property";
export { PLACED } from "./properties-placed";
export { TEXT_ROLES } from "./properties-words";
