import { freeze, remembered, walk, type Draft, type Json, type PageDocument, type Part } from "../document";
import { momentIn } from "../situation";
import { holds, nextChangeOf, type Asked } from "./holds";
import { conditionsSchema, personalIn, type Condition, type Personal } from "./rules";

type Documents = Draft["documents"];

const readConditions = new WeakMap<readonly Json[], readonly Condition[]>();

/** What has to hold for a part to show. What can't be read, of a newer version say, holds nothing back and takes no page down. */
export function conditionsOf({ conditions }: Part): readonly Condition[] {
  let read = readConditions.get(conditions);
  if (!read) readConditions.set(conditions, (read = conditionsSchema.safeParse(conditions).data ?? []));
  return read;
}

/** Whether a part shows, as far as that is known. */
export const showsIn = (part: Part, asked: Asked): boolean => holds(conditionsOf(part), asked) !== false;

const conditionalIn = new WeakMap<PageDocument, readonly Part[]>();

/** The parts of a document that don't always show. */
function conditional(document: PageDocument): readonly Part[] {
  let parts = conditionalIn.get(document);
  if (!parts) {
    parts = [...walk(document.root)].filter((part) => part.conditions.length > 0);
    conditionalIn.set(document, parts);
  }
  return parts;
}

type WithParts = readonly [PageDocument, readonly Part[]];
const conditionalOf = new WeakMap<Documents, readonly WithParts[]>();

/** The documents that hold such parts, with them: of thousands of pages, few. */
export function conditionalDocuments(documents: Documents): readonly WithParts[] {
  let found = conditionalOf.get(documents);
  if (!found) {
    found = Object.values(documents).flatMap((document) => {
      const parts = conditional(document);
      return parts.length ? [[document, parts] as const] : [];
    });
    conditionalOf.set(documents, found);
  }
  return found;
}

/** What stands on no page but its own; an offer on none: whoever adds up a cart asks it. A season is no part of a page either. */
const OF_THEIR_OWN: ReadonlySet<PageDocument["kind"]> = new Set(["page", "layout", "offer", "season"]);

/** Whether a document stands on a page: it is one of its own, or can stand on any. `own`: the page's documents, by id; undefined: on whichever page. */
export const standsOn = ({ id, kind }: PageDocument, own: ReadonlySet<string> | undefined): boolean =>
  own === undefined || !OF_THEIR_OWN.has(kind) || own.has(id);

const onPage = (documents: Documents, own: ReadonlySet<string> | undefined): readonly WithParts[] =>
  conditionalDocuments(documents).filter(([document]) => standsOn(document, own));

const OUTCOMES = new Map([
  [true, "1"],
  [false, "0"],
  [undefined, "?"],
]);
const outcomeOf = (parts: readonly Part[], asked: Asked): string =>
  parts.map((part) => OUTCOMES.get(holds(conditionsOf(part), asked))).join("");

/** Which parts of all documents show, as far as time decides it: two times with the same outcome look alike to the same shopper on the same page. */
export const timedOutcome = (documents: Documents, clock: string): string =>
  conditionalDocuments(documents)
    .map(([, parts]) => outcomeOf(parts, { clock }))
    .join("");

/** The moment at which another part may show, in ms since 1970; Infinity where none ever will. */
export function nextTimed(documents: Documents, clock: string, timeZone: string): number {
  let next: string | undefined;
  for (const part of conditionalDocuments(documents).flatMap(([, parts]) => parts)) {
    const change = nextChangeOf(conditionsOf(part), clock);
    if (change && (!next || change < next)) next = change;
  }
  return next === undefined ? Infinity : (momentIn(next, timeZone) ?? Infinity);
}

/** Parts of a page that are not the same for everybody. */
export type PersonalParts = { readonly parts: readonly Part[]; readonly asks: ReadonlySet<Personal> };

/** The parts of a page that depend on who looks, and on what about them. `own`: the page's documents, by id; undefined: those of all pages. */
export function personalParts(documents: Documents, own?: ReadonlySet<string>): PersonalParts {
  const asks = new Set<Personal>();
  const parts = onPage(documents, own).flatMap(([, all]) =>
    all.filter((part) => {
      const asked = personalIn(conditionsOf(part));
      for (const each of asked) asks.add(each);
      return asked.size > 0;
    }),
  );
  return { parts, asks };
}

/** Which of some parts show, in a text: two situations with the same one look alike. */
export const partsOutcome = ({ parts }: PersonalParts, asked: Asked): string => outcomeOf(parts, asked);

const notShown = new WeakMap<Part, Part>();

/** A part that is not shown; the same object each time, so that nothing is drawn anew. */
function hiddenOf(part: Part): Part {
  let hidden = notShown.get(part);
  if (!hidden) notShown.set(part, (hidden = { ...part, shown: false }));
  return hidden;
}

/** A part as it is in a situation: what does not show then is not shown, the rest is the same object. */
function partIn(part: Part, asked: Asked): Part {
  // What stands in it is not shown either.
  if (part.shown && !showsIn(part, asked)) return hiddenOf(part);
  let slots = part.slots;
  for (const [slot, children] of Object.entries(part.slots)) {
    const next = children.map((child) => partIn(child, asked));
    if (next.some((child, i) => child !== children[i])) slots = { ...slots, [slot]: next };
  }
  return slots === part.slots ? part : { ...part, slots };
}

const documentsIn = new WeakMap<PageDocument, Map<string, PageDocument>>();
const drafts = new WeakMap<Draft, Map<string, Draft>>();

/**
 * A draft as it is in a situation: parts whose conditions don't hold are not shown. The same object for the same outcome. `own`: the
 * documents of the page that is drawn, by id; other pages are left as they are. Absent: what holds on all pages.
 */
export function draftOn(draft: Draft, asked: Asked, own?: ReadonlySet<string>): Draft {
  const found = onPage(draft.documents, own);
  if (found.length === 0) return draft;
  const outcomes = found.map(([{ id }, parts]) => [id, outcomeOf(parts, asked).replaceAll("?", "1")] as const);
  if (outcomes.every(([, outcome]) => !outcome.includes("0"))) return draft;
  return remembered(drafts, draft, outcomes.flat().join(" "), () => {
    const changed = found.map(([document], i) => {
      const make = () => freeze({ ...document, root: partIn(document.root, asked) });
      return [document.id, remembered(documentsIn, document, outcomes[i]![1], make)] as const;
    });
    return { ...draft, documents: { ...draft.documents, ...Object.fromEntries(changed) } };
  });
}
