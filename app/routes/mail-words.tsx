export { WordsPage as default } from "~/studio/mail";
