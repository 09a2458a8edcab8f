import { daysBetween } from "../situation";
import type { Availability, AvailabilityWords, Product, Variant } from "./types";

/** The usual words for each state; a shop and a product may have their own. */
export const AVAILABILITY_WORDS: Readonly<Record<Availability, string>> = {
  "in-stock": "In stock",
  low: "Only a few left",
  "sold-out": "Sold out",
  "coming-soon": "Coming soon",
  "pre-order": "Pre-order",
  "made-to-order": "Made to order",
  "collect-only": "Collect only",
  discontinued: "No longer made",
};

/** What each state means to the seller, who chooses among them. */
export const AVAILABILITY_ABOUT: Readonly<Record<Availability, string>> = {
  "in-stock": "By the stock: in stock, a few left, or sold out.",
  low: "Says that few are left, however many there are.",
  "sold-out": "Can’t be bought just now, whatever the stock says.",
  "coming-soon": "Shown with its day, not for sale yet. Shoppers can ask to be told.",
  "pre-order": "Can be bought before it is there.",
  "made-to-order": "Made once it is ordered; stock is not counted.",
  "collect-only": "Can be bought, and has to be fetched.",
  discontinued: "Stays in the shop for those who look for it, and can’t be bought.",
};

/** From this many pieces downwards, few are left. */
export const FEW = 3;

const CLOSED: ReadonlySet<Availability> = new Set(["sold-out", "coming-soon", "discontinued"]);
const COUNTED: ReadonlySet<Availability> = new Set(["in-stock", "low", "pre-order", "collect-only"]);

/** What can be said of one thing that is for sale: the variant where one is meant, or the product. */
function stateOfOne(product: Product, variant: Variant | undefined): Availability {
  const said = variant?.availability ?? product.availability;
  const stock = variant ? variant.stock : product.stock;
  if (stock === null || !COUNTED.has(said)) return said;
  if (stock <= 0 && !product.oversell) return "sold-out";
  if (said === "in-stock" && stock > 0 && stock <= FEW) return "low";
  return said;
}

/**
 * Whether a product, or one variant of it, can be had: what the seller said, and what the stock makes of it. A product
 * with variants is what the best of them is; "few left" is said of it only when that is so of all that can be had.
 */
export function stateOf(product: Product, variant?: Variant): Availability {
  if (variant || product.variants.length === 0) return stateOfOne(product, variant);
  const states = product.variants.map((v) => stateOfOne(product, v));
  const open = states.filter((s) => !CLOSED.has(s));
  if (open.length === 0) return states[0]!;
  return open.find((s) => s !== "low") ?? "low";
}

export const canBuy = (product: Product, variant?: Variant): boolean => !CLOSED.has(stateOf(product, variant));

/** Whether selling it takes pieces from the stock that there is. */
export const isCounted = (product: Product, variant?: Variant): boolean =>
  (variant ? variant.stock : product.stock) !== null && COUNTED.has(variant?.availability ?? product.availability);

/** How many of it can be put into a cart; Infinity where they are not counted. */
export function mostOf(product: Product, variant?: Variant): number {
  const state = stateOf(product, variant);
  if (CLOSED.has(state)) return 0;
  const stock = variant ? variant.stock : product.stock;
  return stock === null || product.oversell || !COUNTED.has(state) ? Infinity : stock;
}

/** Why so many of something can't be bought of which there are `most` (`mostOf`), for whoever has them in the cart; undefined where they can. */
export function cartProblem(count: number, most: number): string | undefined {
  if (most === 0) return "This can’t be bought any more. Take it out.";
  return count > most ? `There are only ${most} of it.` : undefined;
}

// Making a formatter takes far longer than using it.
const dayWriters = new Map<string, Intl.DateTimeFormat>();

function dayWriter(locale: string, withYear: boolean): Intl.DateTimeFormat {
  const key = `${locale} ${withYear}`;
  let writer = dayWriters.get(key);
  if (!writer) {
    const year = withYear ? ({ year: "numeric" } as const) : {};
    writer = new Intl.DateTimeFormat(locale, { day: "numeric", month: "long", ...year, timeZone: "UTC" });
    dayWriters.set(key, writer);
  }
  return writer;
}

/** A day as it is written in the shop: "3 March", or "3 March 2027". */
export const dayWords = (day: string, locale = "en-GB", withYear = false): string =>
  dayWriter(locale, withYear).format(new Date(`${day}T12:00:00Z`));

/** A day so far off that its month alone could be taken for one of this year's, in days. */
const FAR = 300;

/** How a state is said: on which day of the shop, in which language, and in whose words. */
export type Saying = {
  /** As in ISO 8601. */
  readonly day: string;
  readonly locale?: string;
  readonly words?: AvailabilityWords | undefined;
};

/** The state in words: the product's own, the shop's, or the usual ones; with the day for what is coming. */
export function stateWords(
  product: Product,
  variant: Variant | undefined,
  { day: today, locale = "en-GB", words }: Saying,
): string {
  const state = stateOf(product, variant);
  const own = product.words[state] ?? words?.[state];
  if ((state === "coming-soon" || state === "pre-order") && product.availableFrom) {
    const isFar = daysBetween(today, product.availableFrom) > FAR;
    const day = dayWords(product.availableFrom, locale, isFar);
    if (own) return `${own}, ${day}`;
    return state === "coming-soon" ? `Coming ${day}` : `Pre-order, from ${day}`;
  }
  return own ?? AVAILABILITY_WORDS[state];
}

/** Percent by which a price is lower than the one before it; 0 where it is not. */
export const savedPercent = (price: number, compareAt: number | null): number =>
  compareAt !== null && compareAt > price ? Math.round(100 - (price / compareAt) * 100) : 0;

export type Badge = { readonly look: Availability | "sale"; readonly words: string };

/** The badge that a product wears in a grid, if any. `cost`: what a piece costs and did before, where offers make it cheaper. */
export function badgeOf(
  product: Product,
  said: Saying,
  cost: { readonly now: number; readonly before: number | null } = { now: product.price, before: product.compareAt },
): Badge | undefined {
  const state = stateOf(product);
  // That few are left is said where one buys; on every card it would only press.
  if (state !== "in-stock" && state !== "low") return { look: state, words: stateWords(product, undefined, said) };
  const saved = savedPercent(cost.now, cost.before);
  return saved ? { look: "sale", words: `Save ${saved}%` } : undefined;
}
