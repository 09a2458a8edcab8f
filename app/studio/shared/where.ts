import { homeOf } from "~/core/addresses";
import { placesOfShared, type Draft, type PageDocument } from "~/core/document";

type Documents = Draft["documents"];

/** The document of which a shared section is a part, for a part's document; undefined for what stands on one page alone. */
export const sharedDocument = (document: PageDocument | undefined): PageDocument | undefined =>
  document?.kind === "shared" ? document : undefined;

/** Where a shared section stands, in words that go on from its name: "on 4 pages". */
export function whereWords(documents: Documents, id: string): string {
  const places = placesOfShared(documents, id);
  if (places.some(({ document }) => document.kind === "frame")) return "on every page";
  const layouts = places.filter(({ document }) => document.kind === "layout").length;
  const pages = places.length - layouts;
  const count = (n: number, one: string) => (n === 1 ? `1 ${one}` : `${n} ${one}s`);
  const said = [...(pages ? [count(pages, "page")] : []), ...(layouts ? [count(layouts, "layout")] : [])];
  return said.length ? `on ${said.join(" and ")}` : "on no page";
}

/** A page on which a document's parts can be seen: itself, the first on which a shared section stands, or the home page. */
export function pageShowing(documents: Documents, document: PageDocument | undefined): string {
  if (document?.kind === "page" || document?.kind === "layout") return document.id;
  const standing = document?.kind === "shared" ? placesOfShared(documents, document.id) : [];
  const found = standing.find((place) => place.document.kind !== "frame");
  return found?.document.id ?? homeOf(documents);
}
