export { LetterPage as default } from "~/studio/mail";
