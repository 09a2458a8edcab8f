export { BrandDesk as default } from "~/studio/brand";
