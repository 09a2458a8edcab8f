import { emptyDocument, type Json, type PageDocument, type Part } from "~/core/document";
import { DOCUMENT_VERSION } from "~/core/schema";
import type { SeasonLook, SeasonRoot } from "~/core/seasons";

/** A look for dark evenings, kept under a name in Brand. */
export const WINTER: SeasonLook = { name: "Winter evenings", theme: "pomelo", brand: { appearance: "dark" } };

type Made = { readonly name: string; readonly from: string; readonly until: string; readonly root: SeasonRoot };

/** The demo shop's seasons: the one of its autumn offer, and one with another look that is still off. `offers`: the shop's, by their ids. */
export function demoSeasons(offers: Readonly<Record<string, PageDocument>>): Readonly<Record<string, PageDocument>> {
  const seasons: Readonly<Record<string, Made>> = {
    autumn: {
      name: "Autumn gales",
      from: "2026-10-24T00:00",
      until: "2026-12-16T00:00",
      root: { members: [offers["autumn-gales"]!.root.id] },
    },
    winter: {
      name: "Winter evenings",
      from: "2026-12-27T00:00",
      until: "2027-01-31T00:00",
      root: { off: true, look: { ...WINTER, brand: { ...WINTER.brand } } },
    },
  };
  return Object.fromEntries(
    Object.entries(seasons).map(([id, { name, from, until, root }]) => {
      const dates: Json = { when: "dates", from, until, yearly: true };
      return [id, emptyDocument(DOCUMENT_VERSION, "season", id, name, root as unknown as Part["props"], [dates])];
    }),
  );
}
