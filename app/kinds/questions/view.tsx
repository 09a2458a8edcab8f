import type { ReactNode } from "react";
import type { ViewProps } from "../definition";
import { Rich, useEnv, usePartId, Words } from "../parts";
import { inGroups } from "../grouped";
import { askedIn, type Asked } from "./asked";
import type { QuestionsProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<QuestionsProps>) {
  const { studio } = useEnv();
  const field = usePartId("find");
  const name = usePartId("asked");
  const asked = askedIn(props, studio !== undefined);
  const groups = inGroups(asked);
  // A question stands one step below its group, and this one below the section's own heading.
  const level = (props.heading && !first ? 3 : 2) + (groups.some((group) => group.name) ? 1 : 0);
  const Tag = `h${level}` as "h2" | "h3" | "h4";
  const GroupTag = `h${level - 1}` as "h2" | "h3";
  const isOpen = arrangement === "open";
  if (asked.length === 0 && !studio) return null;
  const words = ({ index, question }: Asked) => (
    <Words at={`questions.${index}.question`} as={Tag} className="asked-words" text={question} hint="Question" />
  );
  const answer = ({ index, answer: text }: Asked) => (
    <Rich at={`questions.${index}.answer`} className="lead" text={text} hint="Answer" />
  );
  const one = (each: Asked): ReactNode =>
    isOpen ? (
      <div key={each.index} className="asked-open">
        {words(each)}
        {answer(each)}
      </div>
    ) : (
      <details key={each.index} className="asked" name={props.single ? name : undefined}>
        <summary className="asked-head">{words(each)}</summary>
        <div className="asked-body">{answer(each)}</div>
      </details>
    );
  const all = (
    <div className="asked-all">
      {groups.map((group) => (
        <div key={group.items[0].index} className="asked-group">
          {group.name ? (
            <Words
              at={`questions.${group.items[0].index}.group`}
              as={GroupTag}
              className="asked-group-head"
              text={group.name}
              hint="Name of the group"
            />
          ) : null}
          <div className="asked-list">{group.items.map(one)}</div>
        </div>
      ))}
    </div>
  );
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      {props.find ? (
        <zest-find>
          <div className="asked-find">
            <label htmlFor={field}>Search in the questions</label>
            <input className="field" id={field} type="search" autoComplete="off" />
            <p role="status" data-none="No question has these words in it. Try others." />
          </div>
          {all}
        </zest-find>
      ) : (
        all
      )}
    </div>
  );
}
