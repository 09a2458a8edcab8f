export { ThemePicker as default } from "~/studio/brand";
