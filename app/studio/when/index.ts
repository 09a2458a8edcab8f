export { WhenSentence } from "./sentence";
export { AmountField, COUNTRIES, GoodsChoice, MoneyField } from "./rules";
export { Word } from "./word";
export { useNames } from "./names";
export { DatesWords } from "./dates-words";
