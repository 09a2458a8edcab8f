export { LettersPage as default } from "~/studio/mail";
