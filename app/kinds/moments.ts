import { walk, type Draft, type PageDocument } from "~/core/document";
import { kindOf } from ".";

type Documents = Draft["documents"];

const inDocument = new WeakMap<PageDocument, readonly string[]>();

/** When something that a document shows looks otherwise from then on, as the shop's clocks show it. */
function momentsIn(document: PageDocument): readonly string[] {
  let found = inDocument.get(document);
  if (!found) {
    found = [...walk(document.root)].flatMap((part) => kindOf(part)?.definition.changesAt?.(part.props) ?? []);
    inDocument.set(document, found);
  }
  return found;
}

const inAll = new WeakMap<Documents, readonly string[]>();

/** What of a shop looks otherwise after moments that its parts name, such as the end of what counts down. */
export type Passed = {
  /** How many of them are past: two times with the same number look alike. */
  readonly count: number;
  /** The next one, as the shop's clocks show it; undefined where none is ahead. */
  readonly next: string | undefined;
};

/** How far the moments that parts of a shop name have passed at a time. */
export function momentsPassed(documents: Documents, clock: string): Passed {
  let all = inAll.get(documents);
  if (!all) {
    all = [...new Set(Object.values(documents).flatMap(momentsIn))].sort();
    inAll.set(documents, all);
  }
  const count = all.findLastIndex((moment) => moment <= clock) + 1;
  return { count, next: all[count] };
}
