export { WhenSentence } from "./sentence";
export { COUNTRIES, MoneyField } from "./rules";
export { countryName, useNames } from "./names";
