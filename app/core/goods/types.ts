import type { Minor } from "../money";

/** Whether a product can be had, as a state of the product and not as a number. */
export const AVAILABILITIES = [
  "in-stock",
  "sold-out",
  "coming-soon",
  "made-to-order",
  "collect-only",
  "discontinued",
] as const;
export type Availability = (typeof AVAILABILITIES)[number];

/** The words for each state in the shop; `in-stock` needs no badge. */
export const AVAILABILITY_WORDS: Readonly<Record<Availability, string>> = {
  "in-stock": "In stock",
  "sold-out": "Sold out",
  "coming-soon": "Coming soon",
  "made-to-order": "Made to order",
  "collect-only": "Collect only",
  discontinued: "No longer made",
};

export type Product = {
  readonly id: string;
  /** Its place in the shop's addresses: `/products/{slug}`. */
  readonly slug: string;
  readonly title: string;
  readonly description: string;
  readonly price: Minor;
  readonly compareAt: Minor | null;
  readonly availability: Availability;
  /** The day on which something that is coming soon arrives, `YYYY-MM-DD`. */
  readonly availableFrom: string | null;
  readonly stock: number | null;
  readonly sku: string;
  readonly tags: readonly string[];
  readonly attributes: Readonly<Record<string, string>>;
  /** Ids of pictures, first one first. */
  readonly pictures: readonly string[];
  /** Ids of collections. */
  readonly collections: readonly string[];
};

export type Collection = {
  readonly id: string;
  readonly slug: string;
  readonly title: string;
  readonly description: string;
  readonly picture: string | null;
};

export type Goods = { readonly products: readonly Product[]; readonly collections: readonly Collection[] };

// Making a formatter takes far longer than using it.
const dayWriters = new Map<string, Intl.DateTimeFormat>();

function dayWriter(locale: string): Intl.DateTimeFormat {
  let writer = dayWriters.get(locale);
  if (!writer) {
    writer = new Intl.DateTimeFormat(locale, { day: "numeric", month: "long", timeZone: "UTC" });
    dayWriters.set(locale, writer);
  }
  return writer;
}

/** The badge that a product wears in a grid, if any. */
export function badgeOf(product: Product, locale = "en-GB"): string | undefined {
  if (product.availability === "coming-soon" && product.availableFrom) {
    const day = new Date(`${product.availableFrom}T12:00:00Z`);
    return `Coming ${dayWriter(locale).format(day)}`;
  }
  if (product.availability !== "in-stock") return AVAILABILITY_WORDS[product.availability];
  if (product.compareAt !== null && product.compareAt > product.price) {
    return `Save ${Math.round(100 - (product.price / product.compareAt) * 100)}%`;
  }
  return undefined;
}

/** What to show for a choice of goods: the products of a collection, or everything when none is named. */
export function chosenProducts(goods: Goods, collection: string | null, most: number): readonly Product[] {
  const wanted =
    collection === null ? goods.products : goods.products.filter((p) => p.collections.includes(collection));
  // What can be bought comes first; within that the shop's own order stays.
  const rank = (p: Product) => (p.availability === "sold-out" || p.availability === "discontinued" ? 1 : 0);
  return wanted.toSorted((a, b) => rank(a) - rank(b)).slice(0, most);
}

/** A place in an address made from a title: lower-case letters, digits and hyphens. */
export function slugOf(title: string): string {
  return title
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/ß/g, "ss")
    .replace(/ł/gi, "l")
    .replace(/ø/gi, "o")
    .toLowerCase()
    .replace(/['’]/g, "")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 80)
    .replace(/-+$/, "");
}

/** A fact about a product as it is read: a unit in the name's brackets goes to the value ("Span (cm)": "190" is "Span", "190 cm"). */
export function factWords(name: string, value: string): { readonly name: string; readonly value: string } {
  const match = /^(.*\S)\s*\(([^()]+)\)$/.exec(name);
  return match ? { name: match[1]!, value: `${value} ${match[2]}` } : { name, value };
}
