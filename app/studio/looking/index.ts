export { LookingAs } from "./looking";
