import type { Difference } from "./differences";
import { entryOf } from "./entry";
import { freeze, sameJson } from "./tree";
import type { Draft, PageDocument } from "./types";

/** The look, as one of the parts of which a shop is published; the others are its documents, by id. */
export const LOOK_PART = "look";

/** A part of the shop that is not as shoppers see it. */
export type ChangedPart = {
  readonly part: string;
  readonly what: "new" | "changed" | "removed";
  /** The document as it is, or as it was where it is removed; undefined for the look. */
  readonly document: PageDocument | undefined;
};

/** The part of the shop that a difference is about. */
export const partOfDifference = (difference: Difference): string =>
  difference.what === "look" || difference.what === "brand" ? LOOK_PART : difference.document.id;

/** What differs between what shoppers see and the draft, part by part. */
export function changedParts(before: Draft, after: Draft): readonly ChangedPart[] {
  const changed: ChangedPart[] = [];
  const { versions: _putAside, accepted: _found, ...look } = after.look;
  const { versions: _were, accepted: _true, ...was } = before.look;
  // Brands that were put aside, and what was found to be true, are the seller's own affair.
  if (!sameJson(look, was)) changed.push({ part: LOOK_PART, what: "changed", document: undefined });
  for (const [part, document] of Object.entries(after.documents)) {
    // What is kept to be used again is never in the shop.
    if (document.kind === "piece") continue;
    const old = entryOf(before.documents, part);
    if (!old) changed.push({ part, what: "new", document });
    else if (!sameJson(old, document)) changed.push({ part, what: "changed", document });
  }
  for (const [part, document] of Object.entries(before.documents))
    if (!entryOf(after.documents, part)) changed.push({ part, what: "removed", document });
  return changed;
}

/** A draft without what shoppers never see. */
export const publishable = (draft: Draft): Draft =>
  freeze({
    ...draft,
    documents: Object.fromEntries(Object.entries(draft.documents).filter(([, d]) => d.kind !== "piece")),
  });

/** What shoppers see once the chosen parts have gone out: those as they are in the draft, all others as they were. */
export function withParts(before: Draft, after: Draft, chosen: ReadonlySet<string>): Draft {
  const documents = new Map(Object.entries(before.documents));
  for (const part of chosen) {
    const document = entryOf(after.documents, part);
    if (document) documents.set(part, document);
    else documents.delete(part);
  }
  return freeze({
    look: chosen.has(LOOK_PART) ? after.look : before.look,
    documents: Object.fromEntries(documents),
  });
}
