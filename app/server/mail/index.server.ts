export { mailFacts } from "./facts";
export {
  dropOldEntries,
  markEntries,
  messageCounts,
  messagesOf,
  messagesTable,
  removeEntries,
  replyTo,
  takeEntry,
  type Replied,
} from "./entries";
export { hasRoomFor, sentFile, sortOfFile } from "./files";
export {
  keepLetter,
  lettersOf,
  removeLetter,
  sendDueLetters,
  sendTrial,
  setLetter,
  type LetterChanged,
  type LetterKept,
} from "./letters";
export {
  confirm,
  confirmsByMail,
  forgetAddress,
  forgetPeople,
  join,
  leave,
  listsOf,
  listsWith,
  setConfirmsByMail,
  setOnList,
  subscribersOf,
  whoHas,
  type Joined,
} from "./lists";
export { sendReminders } from "./reminders";
export { answerWaiting } from "./waiting";
