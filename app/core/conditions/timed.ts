import { freeze, walk, type Draft, type PageDocument, type Part } from "../document";
import { momentIn } from "../situation";
import { holdsAt, nextChangeOf, type Condition } from "./conditions";

type Documents = Draft["documents"];

/** What has to hold for a part to show. */
export const conditionsOf = (part: Part): readonly Condition[] => part.conditions as unknown as readonly Condition[];

/** Whether a part shows at a time, as far as that is a matter of time. */
export const showsAt = (part: Part, clock: string): boolean => holdsAt(conditionsOf(part), clock);

const timedIn = new WeakMap<PageDocument, readonly Part[]>();

/** The parts of a document that show at times only. */
function timed(document: PageDocument): readonly Part[] {
  let parts = timedIn.get(document);
  if (!parts) {
    parts = [...walk(document.root)].filter((part) => part.conditions.length > 0);
    timedIn.set(document, parts);
  }
  return parts;
}

/** Which parts show that do so at times only: two times with the same outcome look alike. */
export const timedOutcome = (documents: Documents, clock: string): string =>
  Object.values(documents)
    .flatMap(timed)
    .map((part) => (showsAt(part, clock) ? "1" : "0"))
    .join("");

/** The moment at which another part may show, in ms since 1970; Infinity where none ever will. */
export function nextTimed(documents: Documents, clock: string, timeZone: string): number {
  let next: string | undefined;
  for (const part of Object.values(documents).flatMap(timed)) {
    const change = nextChangeOf(conditionsOf(part), clock);
    if (change && (!next || change < next)) next = change;
  }
  return next === undefined ? Infinity : (momentIn(next, timeZone) ?? Infinity);
}

const notShown = new WeakMap<Part, Part>();

/** A part that is not shown; the same object each time, so that nothing is drawn anew. */
function hiddenOf(part: Part): Part {
  let hidden = notShown.get(part);
  if (!hidden) notShown.set(part, (hidden = { ...part, shown: false }));
  return hidden;
}

/** A part as it is when the clocks show this: what does not show then is not shown, the rest is the same object. */
function partAt(part: Part, clock: string): Part {
  // What stands in it is not shown either.
  if (part.shown && !showsAt(part, clock)) return hiddenOf(part);
  let slots = part.slots;
  for (const [slot, children] of Object.entries(part.slots)) {
    const next = children.map((child) => partAt(child, clock));
    if (next.some((child, i) => child !== children[i])) slots = { ...slots, [slot]: next };
  }
  return slots === part.slots ? part : { ...part, slots };
}

const documentsAt = new WeakMap<PageDocument, { readonly outcome: string; readonly document: PageDocument }>();

function documentAt(document: PageDocument, clock: string): PageDocument {
  if (timed(document).length === 0) return document;
  const outcome = timedOutcome({ [document.id]: document }, clock);
  const known = documentsAt.get(document);
  if (known?.outcome === outcome) return known.document;
  const made = freeze({ ...document, root: partAt(document.root, clock) });
  documentsAt.set(document, { outcome, document: made });
  return made;
}

const drafts = new WeakMap<Draft, { readonly outcome: string; readonly draft: Draft }>();

/** A draft as it is when the shop's clocks show this: parts outside of their times are not shown. The same object for the same outcome. */
export function draftOn(draft: Draft, clock: string): Draft {
  const { documents } = draft;
  if (Object.values(documents).every((document) => timed(document).length === 0)) return draft;
  const outcome = timedOutcome(documents, clock);
  const known = drafts.get(draft);
  if (known?.outcome === outcome) return known.draft;
  const made = {
    ...draft,
    documents: Object.fromEntries(Object.entries(documents).map(([id, each]) => [id, documentAt(each, clock)])),
  };
  drafts.set(draft, { outcome, draft: made });
  return made;
}
