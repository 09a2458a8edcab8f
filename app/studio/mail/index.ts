export { MailArea } from "./area";
export { LetterPage } from "./letter";
export { LettersPage } from "./letters";
export { ListsPage } from "./lists";
export { MessagesPage } from "./messages";
export { WordsPage } from "./words";
