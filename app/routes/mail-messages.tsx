export { MessagesPage as default } from "~/studio/mail";
