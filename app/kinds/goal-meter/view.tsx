import type { ReactNode } from "react";
import { goalWords } from "~/core/live";
import type { Goal } from "~/core/offers";
import type { ViewProps } from "../definition";
import { useEnv, usePartId, Words } from "../parts";
import type { GoalMeterProps } from "./definition";

/** Units that the bar is wide. */
const WIDE = 1000;

/**
 * How much of the bar is filled: each goal has an equal share of it, so that a goal far off leaves the near ones their room.
 * A share is filled by how much of the way to its own goal is behind.
 */
const filledOf = (goals: readonly Pick<Goal, "goal" | "toGo">[]): number =>
  Math.round((goals.reduce((sum, { goal, toGo }) => sum + (goal - toGo) / goal, 0) / Math.max(1, goals.length)) * WIDE);

/** What a meter says of a goal. */
const said = (words: string, facts: Readonly<Record<string, string>>): string =>
  Object.entries(facts).reduce((text, [name, fact]) => text.replaceAll(`{${name}}`, fact), words);

/** How far a cart is from the offers that come by themselves. */
export function View({ props, arrangement }: ViewProps<GoalMeterProps>): ReactNode {
  const { studio, goals: all, money, locale } = useEnv();
  const id = usePartId("goal");
  const goals = props.offer === null ? all() : all().filter(({ offer }) => offer.id === props.offer);
  if (goals.length === 0)
    return studio ? (
      <p className="studio-empty">
        No offer holds from a worth or a number of pieces on just now. Make one in Offers, without a code. Shoppers
        don’t see this yet.
      </p>
    ) : null;
  const writing = { locale, money };
  const next = goals.find(({ toGo }) => toGo > 0);
  const goal = next ?? goals.at(-1)!;
  const at = !next ? "reached" : goals.every((each) => each.toGo === each.goal) ? "before" : "way";
  const words = said(props[at], {
    "to-go": goalWords(goal, goal.toGo, writing),
    goal: goalWords(goal, goal.goal, writing),
    name: goal.offer.name,
  });
  return (
    <div className="goal" id={id} data-by-cart="">
      <Words at={at} as="p" className="goal-words" text={props[at]} shown={words} hint="Words of the goal meter" />
      {arrangement === "line" ? null : (
        <progress
          className="goal-bar"
          aria-label={goal.offer.name}
          aria-valuetext={words}
          max={WIDE}
          value={filledOf(goals)}
        />
      )}
      {arrangement === "steps" ? (
        <ol className="goal-steps">
          {goals.map((each) => (
            <li key={each.offer.id} className={each.toGo === 0 ? "is-reached" : undefined}>
              <b>{goalWords(each, each.goal, writing)}</b>
              <span>{each.offer.name}</span>
            </li>
          ))}
        </ol>
      ) : null}
    </div>
  );
}
