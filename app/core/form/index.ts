export { answersIn, askedOf, isAsked, type Answer, type FileGiven, type Given, type Read } from "./answers";
export {
  FIELD_SORTS,
  FILE_SORTS,
  LONGEST_ANSWER,
  MOST_FILE_BYTES,
  nameOfField,
  optionsIn,
  type AskedWhen,
  type FieldSort,
  type FileSort,
  type FormField,
} from "./field";
