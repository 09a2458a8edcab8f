import { walk, type Draft } from "~/core/document";
import { kindOf } from ".";

const known = new WeakMap<Draft, boolean>();

/** Whether anything that a draft shows looks different on another day, such as opening hours with today marked. */
export function dependsOnDay(draft: Draft): boolean {
  let depends = known.get(draft);
  if (depends === undefined) {
    depends = Object.values(draft.documents).some((document) =>
      [...walk(document.root)].some((part) => part.shown && kindOf(part)?.definition.byDay === true),
    );
    known.set(draft, depends);
  }
  return depends;
}
