export { Shell, type ShopChoice } from "./shell";
