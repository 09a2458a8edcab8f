export { WordsPage as default } from "~/studio/goods";
