export { LookingAs } from "./looking";
export { YearLine } from "./year-line";
