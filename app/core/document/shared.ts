import { entryOf } from "./entry";
import { freeze } from "./tree";
import type { Draft, PageDocument, Part } from "./types";

type Documents = Draft["documents"];

/** The kind of a part in whose place a shared section is drawn; it says which one by `props.of`. */
export const SHARED = "shared";

/** The shared section, by its document, for which a part stands; undefined for every other part. */
export const sharedOf = (part: Part): string | undefined => (part.kind === SHARED ? String(part.props.of) : undefined);

/** The section that is edited once and stands on several pages; undefined where there is no such document. */
export function sectionOfShared(documents: Documents, id: string): Part | undefined {
  const document = entryOf(documents, id);
  return document?.kind === "shared" ? document.root.slots.main?.[0] : undefined;
}

/** A section as it stands on a page. */
export type Standing = {
  readonly node: Part;
  /** Its place among all that the slot holds. */
  readonly index: number;
  /** The part that holds its place: itself, or the one that stands for a shared section. */
  readonly stands: Part;
};

/**
 * What stands in a slot of a document's root, shared sections in the place of what stands for them. One that can't be found stays as
 * it is; one that would stand there a second time is left out, as nothing on a page has the same id twice.
 */
export function standingIn(documents: Documents, document: PageDocument, slot: string): readonly Standing[] {
  const seen = new Set<string>();
  return (entryOf(document.root.slots, slot) ?? []).flatMap((stands, index): readonly Standing[] => {
    const node = (stands.kind === SHARED && sectionOfShared(documents, String(stands.props.of))) || stands;
    if (seen.has(node.id)) return [];
    seen.add(node.id);
    return [{ node, index, stands }];
  });
}

const spreads = new WeakMap<PageDocument, { readonly from: readonly Part[]; readonly spread: PageDocument }>();

/** A document as it is drawn: with shared sections in the place of what stands for them. The same object for as long as none of it changes. */
export function spread(documents: Documents, document: PageDocument): PageDocument {
  const { slots } = document.root;
  if (!Object.values(slots).some((inside) => inside.some((part) => part.kind === SHARED))) return document;
  const drawn = Object.keys(slots).map(
    (slot) => [slot, standingIn(documents, document, slot).map((s) => s.node)] as const,
  );
  const from = drawn.flatMap(([, parts]) => parts);
  const before = spreads.get(document);
  if (before && before.from.length === from.length && before.from.every((part, i) => part === from[i]))
    return before.spread;
  const made = freeze({ ...document, root: { ...document.root, slots: Object.fromEntries(drawn) } });
  spreads.set(document, { from, spread: made });
  return made;
}

/** The shared sections of a shop, by name. */
export const sharedSections = (documents: Documents): readonly PageDocument[] =>
  Object.values(documents)
    .filter((d) => d.kind === "shared")
    .sort((a, b) => (a.title < b.title ? -1 : 1));

/** Where a shared section stands: the documents, each with the part that holds its place there. Nobody sees what is kept as a piece. */
export const placesOfShared = (
  documents: Documents,
  id: string,
): readonly { readonly document: PageDocument; readonly part: Part }[] =>
  Object.values(documents).flatMap((document) =>
    document.kind === "piece"
      ? []
      : Object.values(document.root.slots)
          .flat()
          .filter((part) => sharedOf(part) === id)
          .map((part) => ({ document, part })),
  );

/** The section to select for a part: the shared one for what only holds its place. */
export function selectable(documents: Documents, id: string): string {
  for (const document of Object.values(documents))
    for (const inside of Object.values(document.root.slots))
      for (const part of inside)
        if (part.id === id) {
          const of = sharedOf(part);
          return (of === undefined ? undefined : sectionOfShared(documents, of)?.id) ?? id;
        }
  return id;
}
