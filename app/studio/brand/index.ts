export { BrandSheet } from "./brand-sheet";
export { ThemePicker } from "./theme-picker";
