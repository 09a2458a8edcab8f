export { ListsPage as default } from "~/studio/mail";
