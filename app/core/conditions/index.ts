export {
  clockWords,
  conditionsSchema,
  daysWords,
  endOfDay,
  endWords,
  explain,
  holdsAt,
  nextChangeOf,
  outlook,
  type Condition,
  type DateRule,
  type Outlook,
  type TimeRule,
} from "./conditions";
export { conditionsOf, draftOn, nextTimed, showsAt, timedOutcome } from "./timed";
