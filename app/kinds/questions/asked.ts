import { isBlank } from "~/core/rich";
import type { QuestionsProps } from "./definition";

export type Asked = QuestionsProps["questions"][number] & {
  /** Where it stands in the list that the seller keeps. */
  readonly index: number;
};

/** The questions that can be shown: those with words and an answer, or all of them, as whoever writes them sees them. */
export const askedIn = ({ questions }: Pick<QuestionsProps, "questions">, all = false): readonly Asked[] =>
  questions
    .map((each, index) => ({ ...each, index }))
    .filter(({ question, answer }) => all || (question.trim() !== "" && !isBlank(answer)));
