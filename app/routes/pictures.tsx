export { Library as default } from "~/studio/pictures";
