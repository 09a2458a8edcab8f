import { siteOf } from "~/core/addresses";
import { outlook } from "~/core/conditions";
import { entryOf, pageProps, type Draft, type PageDocument, type Part, overIn } from "~/core/document";
import { productWith, type Goods } from "~/core/goods";
import { isOfOffer, saysFact } from "~/core/live";
import { offerOf, type Offer } from "~/core/offers";
import type { Picture } from "~/core/pictures";
import { livePartsIn, type LivePart } from "./live";
import { mapPart, referencesOfOffer, type Reference } from "./references";

/** A part that leads to something, or shows something, that is gone or that shoppers can't reach. */
export type LostLink = {
  readonly document: PageDocument;
  readonly part: Part;
  /** What is wrong with it, as the end of a sentence that begins with the part. */
  readonly why: string;
  /** It is what has to be there before the part shows. */
  readonly isAsked: boolean;
  /** It is said in words, or measured. */
  readonly isSaid?: true;
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
  offer: "an offer",
  over: "a pop-up",
};

/** Makes the judge of references: what is wrong with one, undefined where nothing is. */
function judge({ documents }: Draft, { goods, pictures }: Shop): (reference: Reference) => string | undefined {
  const site = siteOf(documents);
  const known = new Set(pictures.map((p) => p.id));
  const collections = new Set(goods.collections.map((c) => c.id));
  const isOver = ({ conditions }: Offer): boolean => {
    const { shows, until } = outlook(conditions, `${goods.asOf.day}T00:00`);
    return !shows && until === undefined;
  };
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
      case "over":
        return overIn(documents).some((part) => part.id === id);
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
    const offer = reference.to === "offer" ? offerOf(entryOf(documents, reference.id)) : undefined;
    if (offer?.isOff) return `the offer “${offer.name}”, which is switched off`;
    if (offer && isOver(offer)) return `the offer “${offer.name}”, which is over`;
    const page = reference.to === "page" && !reference.isAsked ? site.byId.get(reference.id) : undefined;
    return page?.props.hidden ? `“${page.document.title}”, which is not in the shop yet` : undefined;
  };
}

/** A fact in the words of a part that no offer says, in words; until it is mended, shoppers don't see the part. */
function factProblem(live: LivePart | undefined, documents: Draft["documents"]): string | undefined {
  if (live?.isUnbound) return "something in braces that no offer says";
  for (const fact of live?.facts ?? []) {
    const offer = isOfOffer(fact) ? offerOf(entryOf(documents, fact.offer)) : undefined;
    if (offer && isOfOffer(fact) && !saysFact(offer, fact.field))
      return `{${fact.field}} of the offer “${offer.name}”, which has nothing to say of it any more`;
  }
  return undefined;
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
    const facts = new Map(livePartsIn(document).map((each) => [each.part, each]));
    const look = (part: Part): void => {
      if (!part.shown) return;
      let first: Omit<LostLink, "document" | "part"> | undefined;
      mapPart({ ...part, slots: {} }, (reference) => {
        const why = wrong(reference);
        const said = reference.to === "offer" ? ({ isSaid: true } as const) : {};
        if (why !== undefined) first ??= { why, isAsked: reference.isAsked === true, ...said };
        return reference.id;
      });
      const unsaid = factProblem(facts.get(part), draft.documents);
      if (unsaid !== undefined) first ??= { why: unsaid, isAsked: false, isSaid: true };
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
