import { withoutEnd, withoutEnds } from "../document";
import type { OnDay } from "../situation";
import type { Minor } from "../money";
import { plainOf, type Rich } from "../rich";
import type { CollectionRules } from "./rules";
import type { Review } from "./reviews";
import type { Pair } from "./ranking";

/** Whether a product can be had, as a state of the product and not as a number. */
export const AVAILABILITIES = [
  "in-stock",
  "low",
  "sold-out",
  "coming-soon",
  "pre-order",
  "made-to-order",
  "collect-only",
  "discontinued",
] as const;
export type Availability = (typeof AVAILABILITIES)[number];
/** Words for states that a shop, or a product, says otherwise than usual. */
export type AvailabilityWords = Readonly<Partial<Record<Availability, string>>>;

/** How goods are taxed; what each class amounts to is said where the shop's taxes are set. */
export const TAX_CLASSES = ["standard", "reduced", "none"] as const;
export type TaxClass = (typeof TAX_CLASSES)[number];

/** How shoppers pick a value of an option. */
export const PICKERS = ["buttons", "swatches", "pictures", "list"] as const;
export type Picker = (typeof PICKERS)[number];

/** The most options that a product has, values that an option has, and variants in all. */
export const MOST_OPTIONS = 3;
export const MOST_VALUES = 40;
export const MOST_VARIANTS = 200;

/** Something to choose before buying: a colour, a size. */
export type Option = {
  readonly name: string;
  readonly picker: Picker;
  readonly values: readonly { readonly name: string; readonly colour: string | null }[];
};

/** One thing of a product that can be bought: one value of each option. Null: as the product says. */
export type Variant = {
  readonly id: string;
  /** One value for each option of the product, in the order of the options. */
  readonly values: readonly string[];
  readonly sku: string;
  readonly price: Minor | null;
  readonly compareAt: Minor | null;
  readonly stock: number | null;
  readonly barcode: string;
  readonly weight: number | null;
  readonly picture: string | null;
  readonly availability: Availability | null;
};

export type Product = {
  readonly id: string;
  /** Its place in the shop's addresses: `/products/{slug}`. */
  readonly slug: string;
  readonly title: string;
  readonly description: Rich;
  readonly price: Minor;
  readonly compareAt: Minor | null;
  /** What it cost the seller; never shown in the shop. */
  readonly cost: Minor | null;
  readonly taxClass: TaxClass;
  /** It is a gift card: what it costs can be spent later. It weighs nothing, comes by mail and is not taxed before it is spent. */
  readonly isGiftCard: boolean;
  /** As the seller said; what it comes to with the stock that there is: `stateOf`. */
  readonly availability: Availability;
  /** The day on which something that is coming soon arrives, `YYYY-MM-DD`. */
  readonly availableFrom: string | null;
  /** Pieces there are; null: not counted. */
  readonly stock: number | null;
  /** Whether it can be bought when none are left. */
  readonly oversell: boolean;
  readonly sku: string;
  /** A GTIN-13 (EAN), or empty. */
  readonly barcode: string;
  /** Grams. */
  readonly weight: number | null;
  readonly tags: readonly string[];
  readonly attributes: Readonly<Record<string, string>>;
  /** What it says in the seller's own fields of goods, by their ids. */
  readonly own: Readonly<Record<string, string>>;
  /** The specification table, row by row, besides the attributes. */
  readonly specification: readonly { readonly name: string; readonly value: string }[];
  /** Ids of pictures, first one first. */
  readonly pictures: readonly string[];
  /** A video among the pictures: its file, after how many pictures it stands, and what it shows, for those who don't see it. */
  readonly video: { readonly file: string; readonly after: number; readonly alt?: string | undefined } | null;
  /** Ids of collections that it was put into by hand. */
  readonly collections: readonly string[];
  readonly options: readonly Option[];
  readonly variants: readonly Variant[];
  /** Ids of goods that go with it, as the seller chose them; none: what is worked out. */
  readonly related: readonly string[];
  readonly featured: boolean;
  readonly search: GoodsSharing;
  readonly words: AvailabilityWords;
  readonly archived: boolean;
  /** ISO 8601, when it was brought in. */
  readonly createdAt: string;
  /** Stars given by shoppers whose reviews are shown; `each`: how many gave 1, 2, 3, 4, 5. */
  readonly rating: { readonly average: number; readonly count: number; readonly each?: readonly number[] } | null;
  /** How well it sells of late, see `bestselling`. */
  readonly sold: number;
};

/** What search engines and shared links are told of goods; where it says nothing: title, words and first picture. */
export type GoodsSharing = {
  readonly title: string;
  readonly description: string;
  readonly picture?: string | null | undefined;
  /** Search engines are asked not to list it. */
  readonly unlisted?: boolean | undefined;
};

export const SORTS = ["hand", "bestselling", "newest", "price-up", "price-down", "name"] as const;
export type Sort = (typeof SORTS)[number];
export const SORT_WORDS: Readonly<Record<Sort, string>> = {
  hand: "As arranged",
  bestselling: "Bestselling",
  newest: "Newest",
  "price-up": "Price, low to high",
  "price-down": "Price, high to low",
  name: "Name",
};

export type Collection = {
  readonly id: string;
  readonly slug: string;
  readonly title: string;
  readonly description: string;
  readonly picture: string | null;
  /** The collection inside of which it stands. */
  readonly parent: string | null;
  /** Which goods are in it, where that is worked out; null: chosen by hand. */
  readonly rules: CollectionRules | null;
  readonly sort: Sort;
  /** Ids of products in the order that the seller gave them by hand; others follow. */
  readonly order: readonly string[];
  readonly search: GoodsSharing;
};

export type Goods = {
  /** What is sold; nothing that was archived. */
  readonly products: readonly Product[];
  readonly collections: readonly Collection[];
  /** The day that they are looked at on, in the shop's own time zone (`goodsOn`). */
  readonly asOf: OnDay;
  readonly words?: AvailabilityWords;
  /** Digits after the point in the shop's currency (ISO 4217); 2 where it is not said. */
  readonly digits?: number;
  /** Groups of words that mean the same to shoppers. */
  readonly synonyms?: readonly (readonly string[])[];
  /** Shown reviews by product, latest first. */
  readonly reviews?: Readonly<Record<string, readonly Review[]>>;
  /** What was bought together with each product, strongest first. */
  readonly together?: Readonly<Record<string, readonly Pair[]>>;
};

/**
 * A product as the seller has it: with the number of the change that last touched it, by which a slower tab is noticed, and
 * its place in the shop's own order.
 */
export type StoredProduct = Product & { readonly version: number; readonly position: number };
export type StoredCollection = Collection & { readonly position: number };

/** A product that says nothing but what is given. */
export function makeProduct(more: Partial<Product> & Pick<Product, "id" | "title">): Product {
  return {
    slug: more.id,
    description: "",
    price: 0,
    compareAt: null,
    cost: null,
    taxClass: "standard",
    isGiftCard: false,
    availability: "in-stock",
    availableFrom: null,
    stock: null,
    oversell: false,
    sku: more.id,
    barcode: "",
    weight: null,
    tags: [],
    attributes: {},
    own: {},
    specification: [],
    pictures: [],
    video: null,
    collections: [],
    options: [],
    variants: [],
    related: [],
    featured: false,
    search: { title: "", description: "" },
    words: {},
    archived: false,
    createdAt: "2026-01-01T00:00:00.000Z",
    rating: null,
    sold: 0,
    ...more,
  };
}

export function makeCollection(more: Partial<Collection> & Pick<Collection, "id" | "title">): Collection {
  return {
    slug: more.id,
    description: "",
    picture: null,
    parent: null,
    rules: null,
    sort: "hand",
    order: [],
    search: { title: "", description: "" },
    ...more,
  };
}

/** A product's description as plain text. */
export const descriptionOf = (product: Pick<Product, "description">): string => plainOf(product.description);

/** A place in an address made from a title: lower-case letters, digits and hyphens. */
export function slugOf(title: string): string {
  const plain = title
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/ß/g, "ss")
    .replace(/ł/gi, "l")
    .replace(/ø/gi, "o")
    .toLowerCase()
    .replace(/['’]/g, "")
    .replace(/[^a-z0-9]+/g, "-");
  return withoutEnd(withoutEnds(plain, "-").slice(0, 80), "-");
}

const NUMBER = /^\d+(?:[.,]\d+)?$/;

/** Several values of one fact, as they are read: numbers as the span that they take ("100–150"), words one after the other. */
function valueWords(value: string): string {
  const parts = value
    .split(/[|;]/)
    .map((part) => part.trim())
    .filter((part) => part !== "");
  if (parts.length < 2 || !parts.every((part) => NUMBER.test(part))) return parts.join(", ");
  const inOrder = parts.toSorted((a, b) => Number(a.replace(",", ".")) - Number(b.replace(",", ".")));
  return `${inOrder[0]}–${inOrder.at(-1)}`;
}

/**
 * A fact about a product as it is read: a unit in the name's brackets goes to the value, and no line breaks before it
 * ("Span (cm)": "190" is "Span", "190 cm"; "100|150" is "100–150 cm").
 */
export function factWords(name: string, value: string): { readonly name: string; readonly value: string } {
  const match = /^(.*\S)\s*\(([^()]+)\)$/.exec(name);
  const words = valueWords(value);
  return match ? { name: match[1]!, value: `${words}\u00a0${match[2]}` } : { name, value: words };
}
