import { plainOf } from "~/core/rich";
import type { QuestionsProps } from "./definition";

export type Asked = QuestionsProps["questions"][number] & {
  /** Where it stands in the list that the seller keeps. */
  readonly index: number;
};
export type AskedGroup = {
  /** What its questions are about; empty: nothing in common. */
  readonly name: string;
  readonly asked: readonly [Asked, ...Asked[]];
};

/** The questions that can be shown: those with words and an answer, or all of them, as whoever writes them sees them. */
export const askedIn = ({ questions }: Pick<QuestionsProps, "questions">, all = false): readonly Asked[] =>
  questions
    .map((each, index) => ({ ...each, index }))
    .filter(({ question, answer }) => all || (question.trim() !== "" && plainOf(answer).trim() !== ""));

/** Questions as they follow each other, those of one group under its name. A group goes on until another one is named. */
export function inGroups(asked: readonly Asked[]): readonly AskedGroup[] {
  const groups: { name: string; asked: [Asked, ...Asked[]] }[] = [];
  for (const each of asked) {
    const name = each.group.trim();
    const last = groups.at(-1);
    if (last && (name === "" || name === last.name)) last.asked.push(each);
    else groups.push({ name, asked: [each] });
  }
  return groups;
}
