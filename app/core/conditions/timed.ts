import { freeze, walk, type Draft, type Json, type PageDocument, type Part } from "../document";
import { momentIn } from "../situation";
import { conditionsSchema, holdsAt, nextChangeOf, type Condition } from "./conditions";

type Documents = Draft["documents"];

const readConditions = new WeakMap<readonly Json[], readonly Condition[]>();

/** What has to hold for a part to show. What can't be read, of a newer version say, holds nothing back and takes no page down. */
export function conditionsOf({ conditions }: Part): readonly Condition[] {
  let read = readConditions.get(conditions);
  if (!read) readConditions.set(conditions, (read = conditionsSchema.safeParse(conditions).data ?? []));
  return read;
}

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

const timedOf = new WeakMap<Documents, readonly (readonly [PageDocument, readonly Part[]])[]>();

/** The documents that hold such parts, with them: of thousands of pages, few. */
function timedDocuments(documents: Documents): readonly (readonly [PageDocument, readonly Part[]])[] {
  let found = timedOf.get(documents);
  if (!found) {
    found = Object.values(documents).flatMap((document) => {
      const parts = timed(document);
      return parts.length ? [[document, parts] as const] : [];
    });
    timedOf.set(documents, found);
  }
  return found;
}

const outcomeOf = (parts: readonly Part[], clock: string): string =>
  parts.map((part) => (showsAt(part, clock) ? "1" : "0")).join("");

/** Which parts show that do so at times only: two times with the same outcome look alike. */
export const timedOutcome = (documents: Documents, clock: string): string =>
  timedDocuments(documents)
    .map(([, parts]) => outcomeOf(parts, clock))
    .join("");

/** The moment at which another part may show, in ms since 1970; Infinity where none ever will. */
export function nextTimed(documents: Documents, clock: string, timeZone: string): number {
  let next: string | undefined;
  for (const part of timedDocuments(documents).flatMap(([, parts]) => parts)) {
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

function documentAt(document: PageDocument, parts: readonly Part[], clock: string): PageDocument {
  const outcome = outcomeOf(parts, clock);
  const known = documentsAt.get(document);
  if (known?.outcome === outcome) return known.document;
  const made = freeze({ ...document, root: partAt(document.root, clock) });
  documentsAt.set(document, { outcome, document: made });
  return made;
}

const drafts = new WeakMap<Draft, { readonly outcome: string; readonly draft: Draft }>();

/** A draft as it is when the shop's clocks show this: parts outside of their times are not shown. The same object for the same outcome. */
export function draftOn(draft: Draft, clock: string): Draft {
  const found = timedDocuments(draft.documents);
  if (found.length === 0) return draft;
  const outcome = timedOutcome(draft.documents, clock);
  const known = drafts.get(draft);
  if (known?.outcome === outcome) return known.draft;
  const changed = found.map(([document, parts]) => [document.id, documentAt(document, parts, clock)] as const);
  const made = { ...draft, documents: { ...draft.documents, ...Object.fromEntries(changed) } };
  drafts.set(draft, { outcome, draft: made });
  return made;
}
