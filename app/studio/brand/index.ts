export { BrandDesk } from "./brand-desk";
export { ThemePicker } from "./theme-picker";
