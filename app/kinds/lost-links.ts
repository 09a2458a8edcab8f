import { siteOf } from "~/core/addresses";
import { entryOf, pageProps, type Draft, type PageDocument, type Part } from "~/core/document";
import { productWith, type Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { mapPart, referencesOfOffer, type Reference } from "./references";

/** A part that leads to something, or shows something, that is gone or that shoppers can't reach. */
export type LostLink = {
  readonly document: PageDocument;
  readonly part: Part;
  /** What is wrong with it, as the end of a sentence that begins with the part. */
  readonly why: string;
  /** It is what has to be there before the part shows. */
  readonly isAsked: boolean;
};

type Shop = { readonly goods: Goods; readonly pictures: readonly Picture[] };

const WORDS: Readonly<Record<Reference["to"], string>> = {
  page: "a page",
  product: "a product",
  collection: "a collection",
  picture: "a picture",
  file: "a file",
  film: "a film",
  document: "a document",
  menu: "a menu",
  shared: "a shared section",
};

/** Makes the judge of references: what is wrong with one, undefined where nothing is. */
function judge({ documents }: Draft, { goods, pictures }: Shop): (reference: Reference) => string | undefined {
  const site = siteOf(documents);
  const known = new Set(pictures.map((p) => p.id));
  const collections = new Set(goods.collections.map((c) => c.id));
  const isThere = ({ to, id }: Reference): boolean => {
    switch (to) {
      case "page":
        return site.byId.has(id);
      case "product":
        return productWith(goods, id) !== undefined;
      case "collection":
        return collections.has(id);
      case "picture":
      case "file":
        return known.has(id);
      case "film":
      case "document":
        // They stay; nothing takes one away.
        return true;
      default:
        return entryOf(documents, id)?.kind === to;
    }
  };
  return (reference) => {
    if (!isThere(reference)) return `${WORDS[reference.to]} that is no longer there`;
    const page = reference.to === "page" && !reference.isAsked ? site.byId.get(reference.id) : undefined;
    return page?.props.hidden ? `“${page.document.title}”, which is not in the shop yet` : undefined;
  };
}

/** What a draft refers to that is gone or hidden: of what shoppers see, each part once. `documents`: only what is in these. */
export function lostLinksIn(
  draft: Draft,
  shop: Shop,
  documents: readonly PageDocument[] = Object.values(draft.documents),
): readonly LostLink[] {
  const wrong = judge(draft, shop);
  const found: LostLink[] = [];
  for (const document of documents) {
    if (document.kind === "piece" || (document.kind === "page" && pageProps(document).hidden)) continue;
    const look = (part: Part): void => {
      if (!part.shown) return;
      let first: Pick<LostLink, "why" | "isAsked"> | undefined;
      mapPart({ ...part, slots: {} }, (reference) => {
        const why = wrong(reference);
        if (why !== undefined) first ??= { why, isAsked: reference.isAsked === true };
        return reference.id;
      });
      if (first) found.push({ document, part, ...first });
      for (const children of Object.values(part.slots)) children.forEach(look);
    };
    for (const children of Object.values(document.root.slots)) children.forEach(look);
    if (document.root.props.off === true) continue;
    // What an offer is for, asks about or gives.
    const why = document.kind === "offer" ? referencesOfOffer(document).map(wrong).find(Boolean) : undefined;
    if (why !== undefined) found.push({ document, part: document.root, why, isAsked: true });
  }
  return found;
}
