import { pageProblem, siteOf } from "~/core/addresses";
import { entryOf, pageProps, placesOfShared, withParts, type Draft } from "~/core/document";
import { referencesOf } from "./references";

/** A part that is left behind although one that goes out needs it. */
export type LeftBehind = {
  /** What goes out, and what it needs, by the names of parts. */
  readonly part: string;
  readonly needs: string;
  readonly how: "leads" | "shows" | "beneath" | "loses";
};

/**
 * What hangs together: pages that are new and would be led to, menus and shared sections that would be shown, and pages beneath which
 * others would stand, none of which goes out; and pages that would lose a shared section that is gone. Nothing breaks where they stay behind, but something would be missing.
 */
export function leftBehind(before: Draft, after: Draft, chosen: ReadonlySet<string>): readonly LeftBehind[] {
  const next = withParts(before, after, chosen);
  const found: LeftBehind[] = [];
  const isMissing = (id: string) =>
    entryOf(after.documents, id) !== undefined && entryOf(next.documents, id) === undefined;
  for (const part of chosen) {
    const document = entryOf(after.documents, part);
    if (!document) {
      // Where a shared section is gone, pages that still hold a place for it would have nothing there.
      for (const place of placesOfShared(next.documents, part))
        found.push({ part, needs: place.document.id, how: "loses" });
      continue;
    }
    const needed = new Map<string, LeftBehind["how"]>();
    if (document.kind === "page") {
      const { parent } = pageProps(document);
      if (parent !== null && isMissing(parent)) needed.set(parent, "beneath");
    }
    for (const { to, id } of referencesOf(document))
      if ((to === "page" || to === "menu" || to === "shared" || to === "offer") && isMissing(id) && !needed.has(id))
        needed.set(id, to === "page" ? "leads" : "shows");
    for (const [needs, how] of needed)
      // A page that shoppers can't reach anyway is not missed.
      if (how !== "leads" || !siteOf(after.documents).byId.get(needs)?.props.hidden) found.push({ part, needs, how });
  }
  return found;
}

/** Why the chosen parts can't go out without others, in words; undefined where they can. */
export const publishingProblem = (next: Draft): string | undefined => {
  const why = pageProblem(next.documents);
  return why === undefined ? undefined : `${why} Publish both of them together.`;
};
