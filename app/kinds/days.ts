import { conditionsOf, rulesIn } from "~/core/conditions";
import { walk, type Draft, type Part } from "~/core/document";
import { kindOf } from ".";

/** Whether a part shows by how long ago goods were brought in. */
const asksForAge = (part: Part): boolean =>
  part.conditions.length > 0 &&
  rulesIn(conditionsOf(part)).some((rule) => rule.when === "goods" && rule.asks?.some((ask) => ask.field === "age"));

const known = new WeakMap<Draft, boolean>();

/** Whether anything that a draft shows looks different on another day, such as opening hours with today marked. */
export function dependsOnDay(draft: Draft): boolean {
  let depends = known.get(draft);
  if (depends === undefined) {
    depends = Object.values(draft.documents).some((document) =>
      [...walk(document.root)].some(
        (part) => part.shown && (kindOf(part)?.definition.byDay === true || asksForAge(part)),
      ),
    );
    known.set(draft, depends);
  }
  return depends;
}
