export { OwnFields } from "./own-fields";
