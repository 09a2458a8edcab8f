import { pageProps, walk, type Look, type PageDocument } from "~/core/document";
import { descriptionOf, type Collection, type GoodsSharing, type Product } from "~/core/goods";
import { plainOf, type Rich } from "~/core/rich";
import { firstPicture } from "./shop";

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

/** The first words of a page that say something. */
const firstWords = (page: PageDocument): string | undefined =>
  page.root.slots.main
    ?.filter((section) => section.shown)
    .flatMap((section) => [...walk(section)].map(({ props }) => plainOf((props.text ?? "") as unknown as Rich)))
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
    description: own.description || made.description,
    picture: own.picture ?? made.picture,
  };
}

/** What is said of a product where its seller has said nothing. */
export const madeFromProduct = (product: Product, { name }: Look["identity"]): Shared => ({
  title: `${product.title} · ${name}`,
  description: plainText(descriptionOf(product) || product.title, DESCRIPTION_LENGTH),
  picture: product.pictures[0],
});

/** The same for a collection. */
export const madeFromCollection = (collection: Collection, { name }: Look["identity"]): Shared => ({
  title: `${collection.title} · ${name}`,
  description: plainText(collection.description || `${collection.title} at ${name}`, DESCRIPTION_LENGTH),
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
