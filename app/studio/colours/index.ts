export { coloursAround, NEEDED, ROLE_OF, setFor } from "./around";
export { ColourField } from "./colour-field";
