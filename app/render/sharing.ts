import { layoutProps, pageProps, walk, type Look, type PageDocument } from "~/core/document";
import { descriptionOf, type Collection, type GoodsSharing, type Product } from "~/core/goods";
import { plainOf, type Rich } from "~/core/rich";
import { boundOf } from "~/kinds";

/** A text in one line of at most so many characters, cut between words. */
export function plainText(text: string, most: number): string {
  const line = text.replace(/\s+/g, " ").trim();
  if (line.length <= most) return line;
  const cut = line.slice(0, most - 1);
  const space = cut.lastIndexOf(" ");
  return `${space > 0 ? cut.slice(0, space) : cut}…`;
}

/** The most characters of a description that is made from a page. */
export const DESCRIPTION_LENGTH = 155;

/** The first picture that a page shows. */
export function firstPicture(page: PageDocument): string | undefined {
  for (const section of page.root.slots.main ?? []) {
    if (!section.shown) continue;
    for (const part of walk(section)) {
      const { props, shown } = part;
      if (shown && !boundOf(part) && typeof props.picture === "string") return props.picture;
    }
  }
  return undefined;
}

/** The first words of a page that say something. */
export const firstWords = (page: PageDocument): string | undefined =>
  page.root.slots.main
    ?.filter((section) => section.shown)
    .flatMap((section) =>
      [...walk(section)]
        .filter((part) => !boundOf(part))
        .map(({ props }) => plainOf((props.text ?? "") as unknown as Rich)),
    )
    .find((text) => text !== "");

export type Shared = {
  readonly title: string;
  readonly description: string;
  readonly picture: string | undefined;
};

/** What a page says of itself to search engines and where a link to it is shared: as the seller wrote it, or made from the page. */
export function sharedAs(page: PageDocument, isHome: boolean, identity: Look["identity"]): Shared {
  const own = pageProps(page);
  const made = madeFrom(page, isHome, identity);
  return {
    title: own.searchTitle || made.title,
    description: own.description || own.summary || made.description,
    picture: own.picture ?? made.picture,
  };
}

/** What can stand in a pattern in square brackets, and is filled in for each page. */
export const PATTERN_WORDS = ["name", "shop"] as const;

/** A pattern with its words filled in: "[name], made by [shop]". Other brackets are as they are. */
export const fillPattern = (pattern: string, words: Readonly<Record<(typeof PATTERN_WORDS)[number], string>>): string =>
  pattern.replace(/\[(name|shop)\]/g, (_whole, word: "name" | "shop") => words[word]);

/** What is made for a page of goods by itself: as its layout says, or from name and words. */
function madeFromGoods(layout: PageDocument | undefined, name: string, words: string, identity: Look["identity"]) {
  const { titlePattern = "", descriptionPattern = "" } = (layout && layoutProps(layout)) ?? {};
  const facts = { name, shop: identity.name };
  return {
    title: titlePattern ? fillPattern(titlePattern, facts) : `${name} · ${identity.name}`,
    description: plainText(descriptionPattern ? fillPattern(descriptionPattern, facts) : words, DESCRIPTION_LENGTH),
  };
}

/** What is said of a product where its seller has said nothing. `layout`: the one that its page is drawn in. */
export const madeFromProduct = (
  product: Product,
  identity: Look["identity"],
  layout: PageDocument | undefined,
): Shared => ({
  ...madeFromGoods(layout, product.title, descriptionOf(product) || product.title, identity),
  picture: product.pictures[0],
});

/** The same for a collection. */
export const madeFromCollection = (
  collection: Collection,
  identity: Look["identity"],
  layout: PageDocument | undefined,
): Shared => ({
  ...madeFromGoods(
    layout,
    collection.title,
    collection.description || `${collection.title} at ${identity.name}`,
    identity,
  ),
  picture: collection.picture ?? undefined,
});

/** What goods say of themselves to search engines and where links are shared: in the seller's words, where there are any. */
export const saidOf = (search: GoodsSharing, made: Shared): Shared => ({
  title: search.title || made.title,
  description: search.description || made.description,
  picture: search.picture ?? made.picture,
});

/** What is said of a page of which the seller has said nothing. */
export function madeFrom(page: PageDocument, isHome: boolean, identity: Look["identity"]): Shared {
  const { name, tagline } = identity;
  return {
    title: isHome ? (tagline ? `${name} · ${tagline}` : name) : `${page.title} · ${name}`,
    description: plainText(firstWords(page) || tagline || name, DESCRIPTION_LENGTH),
    picture: firstPicture(page),
  };
}
