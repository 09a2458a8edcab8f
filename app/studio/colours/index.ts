export { ColourField } from "./colour-field";
