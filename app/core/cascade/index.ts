export * from "./cascade";
export { MEDIA, PROPERTIES, isKnownValue, type Choice, type Emission, type Property } from "./properties";
