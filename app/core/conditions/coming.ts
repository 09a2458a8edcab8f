import type { Draft, PageDocument, Part } from "../document";
import { conditionalDocuments, conditionsOf } from "./draft-on";
import { outlook } from "./holds";

/** A part that begins to show, or ceases to. */
export type Coming = {
  /** As the shop's clocks show it. */
  readonly at: string;
  readonly document: PageDocument;
  readonly part: Part;
  readonly shows: boolean;
};

/** What changes next with time alone, earliest first: each part once. What is not shown yet does not come by itself. */
export function comingIn(documents: Draft["documents"], clock: string): readonly Coming[] {
  const found = conditionalDocuments(documents).flatMap(([document, parts]) =>
    document.kind === "piece"
      ? []
      : parts.flatMap((part): readonly Coming[] => {
          if (!part.shown) return [];
          const { shows, until } = outlook(conditionsOf(part), clock);
          return until === undefined ? [] : [{ at: until, document, part, shows: !shows }];
        }),
  );
  return found.toSorted((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}
