import { z } from "zod";
import { entryOf, type Draft, type PageDocument } from "../document";
import type { TaxClass } from "../goods";
import { currencyDigits, type Minor, type TaxRules } from "../money";
import { EUROPE } from "./countries";
import { quote } from "./tariff";

// How a shop sells: where it delivers and for how much, how it is taxed, how it is paid. All of it is said by one document.

/** The document that says it. */
export const SELLING = "selling";

export const MOST_ZONES = 30;
export const MOST_WAYS = 12;
export const MOST_RATE_STEPS = 20;
export const MOST_TAX_COUNTRIES = 60;
/** Everywhere that no other zone is for. */
export const ELSEWHERE = "*";

const amount = z.number().int("Write an amount.").min(0, "An amount can't be negative.").max(1e12, "That is too much.");
const id = z.string().min(1).max(40);
const name = z.string().trim().min(1, "It needs a name.").max(60, "Keep the name to 60 characters.");
const country = z.string().regex(/^[A-Z]{2}$/, "Choose a country.");

const steps = z
  .array(z.strictObject({ upTo: z.number().min(0).max(1e12).nullable(), price: amount }))
  .min(1, "Say at least one step.")
  .max(MOST_RATE_STEPS, `There can be ${MOST_RATE_STEPS} steps.`)
  .refine(
    (all) =>
      all.every(({ upTo }, i) =>
        upTo === null ? i === all.length - 1 : i === 0 || upTo > (all[i - 1]!.upTo ?? Infinity),
      ),
    "Each step has to reach further than the one before.",
  );

const rate = z.discriminatedUnion("by", [
  z.strictObject({ by: z.literal("flat"), price: amount }),
  z.strictObject({ by: z.enum(["weight", "worth", "count"]), steps }),
  z.strictObject({ by: z.literal("carrier") }),
]);
export type Rate = z.infer<typeof rate>;

const way = z.strictObject({
  id,
  name,
  /** How long it takes, or anything else that is good to know. */
  says: z.string().max(120, "Keep it to 120 characters.").optional(),
  rate,
  /** From this worth of goods on, after discounts, it is free. */
  freeFrom: amount.optional(),
});
export type Way = z.infer<typeof way>;

const zone = z.strictObject({
  id,
  name,
  countries: z
    .array(z.union([country, z.literal(ELSEWHERE)]))
    .min(1, "Choose at least one country.")
    .max(300),
  /** Of one country: “1000-1999, 25*, 9712”. Absent: all. */
  postcodes: z
    .string()
    .max(1000, "Those are too many postcodes.")
    .refine((text) => postcodesProblem(text) === undefined, "Write postcodes like 1000-1999, 25*, 9712.")
    .optional(),
  ways: z.array(way).max(MOST_WAYS, `There can be ${MOST_WAYS} ways.`),
});
export type Zone = z.infer<typeof zone>;

const percent = z
  .number()
  .int("Write at most two decimals.")
  .min(0, "A rate can't be negative.")
  .max(10_000, "A rate is 100 % at most.");

const taxRates = z.strictObject({ country, standard: percent, reduced: percent });

const tax = z.strictObject({
  prices: z.enum(["with", "without"]),
  rounding: z.enum(["line", "total"]),
  /** What it is called: VAT, GST, sales tax. */
  name: z.string().trim().min(1, "It needs a name.").max(20, "Keep it to 20 characters."),
  rates: z.array(taxRates).max(MOST_TAX_COUNTRIES, `There can be ${MOST_TAX_COUNTRIES} countries.`),
});

const says = z.string().trim().max(600, "Keep it to 600 characters.");

const pays = z.strictObject({
  /** The stand-in for card payments. */
  card: z.literal(true).optional(),
  /** Bank transfer: to which account, as it is said on the order. */
  transfer: says.min(1, "Say to which account the money goes.").optional(),
  onDelivery: z.literal(true).optional(),
  onCollection: z.literal(true).optional(),
});

export const sellingRoot = z.strictObject({
  /** The country that goods are sent from. */
  from: country.optional(),
  zones: z
    .array(zone)
    .max(MOST_ZONES, `There can be ${MOST_ZONES} places.`)
    .refine((all) => new Set(all.map((each) => each.id)).size === all.length)
    .optional(),
  /** Where goods can be fetched. */
  collect: says.min(1, "Say where it is.").max(300, "Keep it to 300 characters.").optional(),
  /** What a piece weighs of which nobody said it, in grams. */
  pieceWeight: z.number().int().min(0).max(1_000_000).optional(),
  tax: tax.optional(),
  pays: pays.optional(),
  /** The checkout asks for gift cards though none are among the goods. */
  takesCards: z.literal(true).optional(),
  /** Gift cards are good for so many years; absent: without an end. */
  cardYears: z.number().int().min(1, "Write at least one year.").max(30, "Write 30 years at most.").optional(),
  /** Shoppers can have an account unless the shop says no. */
  accounts: z.literal("no").optional(),
});
export type SellingRoot = z.infer<typeof sellingRoot>;

/** How a shop sells; what is not said is as in a shop that says nothing: it doesn't. */
export type Selling = SellingRoot & { readonly zones: readonly Zone[]; readonly pays: z.infer<typeof pays> };

const NOTHING: Selling = { zones: [], pays: {} };
const read = new WeakMap<PageDocument, Selling>();

/** How a shop sells, as its documents say; one that can't be read says nothing, so that nothing is sold in a way that nobody meant. */
export function sellingOf(documents: Draft["documents"]): Selling {
  const document = entryOf(documents, SELLING);
  if (!document) return NOTHING;
  let selling = read.get(document);
  if (!selling) {
    const { data } = sellingRoot.safeParse(document.root.props);
    selling = data ? { ...data, zones: data.zones ?? [], pays: data.pays ?? {} } : NOTHING;
    read.set(document, selling);
  }
  return selling;
}

/** Ways to pay that a shop has. */
export const PAYMENTS = ["card", "transfer", "on-delivery", "on-collection", "gift-card"] as const;
export type Payment = (typeof PAYMENTS)[number];
/** What each is called for shoppers. */
export const PAYMENT_WORDS: Readonly<Record<Payment, string>> = {
  card: "Card",
  transfer: "Bank transfer",
  "on-delivery": "When it is delivered",
  "on-collection": "When you collect it",
  "gift-card": "Gift card",
};

/** How an order can be paid that is delivered, or collected. */
export function paymentsFor(
  { pays: { card, transfer, onDelivery, onCollection } }: Selling,
  { isCollected, isLetter }: Pick<Offered, "isCollected" | "isLetter">,
): readonly Payment[] {
  return [
    ...(card ? (["card"] as const) : []),
    ...(transfer === undefined ? [] : (["transfer"] as const)),
    ...(onDelivery && !isCollected && !isLetter ? (["on-delivery"] as const) : []),
    ...(onCollection && isCollected ? (["on-collection"] as const) : []),
  ];
}

/** What a shop has yet to say before anybody can buy from it; undefined where it sells. */
export function notSelling(selling: Selling): "delivery" | "payment" | undefined {
  const delivers = selling.zones.some(({ ways }) => ways.length > 0);
  if (!delivers && selling.collect === undefined) return "delivery";
  const isPaid =
    (delivers && paymentsFor(selling, { isCollected: false }).length) ||
    (selling.collect && paymentsFor(selling, { isCollected: true }).length);
  return isPaid ? undefined : "payment";
}

/** Whether somebody can pay with a gift card here: where some are sold, or the seller says so. */
export const takesCards = (
  selling: Selling,
  { products }: { readonly products: readonly { readonly isGiftCard: boolean }[] },
) =>
  notSelling(selling) === undefined && (selling.takesCards === true || products.some(({ isGiftCard }) => isGiftCard));

/** Whether shoppers can have an account here. */
export const hasAccounts = (selling: Selling): boolean =>
  selling.accounts !== "no" && notSelling(selling) === undefined;

// Delivery

/** Where something goes. */
export type Place = { readonly country: string; readonly postcode: string };

/** What is to be delivered. */
export type Parcel = {
  /** Grams. */
  readonly weight: number;
  /** What the goods cost after discounts. */
  readonly worth: Minor;
  readonly count: number;
  /** Something in it has to be fetched. */
  readonly mustCollect?: boolean;
  /** There is nothing in it to carry. */
  readonly isLetter?: boolean;
};

/** A way of getting goods, with what it costs. */
export type Offered = {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly costs: Minor;
  readonly isCollected: boolean;
  /** It comes as a letter to a mail address: there is nothing to carry. */
  readonly isLetter?: true;
};

/** The way of what comes by mail alone. */
export const BY_MAIL: Offered = { id: "mail", name: "By mail", says: "", costs: 0, isCollected: false, isLetter: true };

/** The way of fetching them oneself. */
export const COLLECT = "collect";

const plainCode = (text: string) => text.toUpperCase().replace(/[\s-]/g, "");

/** One part of a list of postcodes: a span, all that begin so, or one. */
type Codes = (postcode: string) => boolean;

function codesOf(text: string): Codes | undefined {
  const part = text.trim().toUpperCase();
  const span = /^(\d{2,10})\s*(?:-|–)\s*(\d{2,10})$/.exec(part);
  const [, from = "", to = ""] = span ?? [];
  // “1000-1999” is a span; “00-950” is one code, as Poland writes them.
  if (span && from.length === to.length) {
    if (from > to) return undefined;
    return (code) => code.length === from.length && /^\d+$/.test(code) && code >= from && code <= to;
  }
  if (/^[A-Z\d][A-Z\d ]{0,9}\*$/.test(part)) {
    const start = plainCode(part.slice(0, -1));
    return (code) => code.startsWith(start);
  }
  if (/^[A-Z\d][A-Z\d -]{1,11}$/.test(part)) {
    const one = plainCode(part);
    return (code) => code === one;
  }
  return undefined;
}

const partsOf = (text: string): readonly string[] => text.split(/[,;\n]/).filter((part) => part.trim() !== "");

/** The first part of a list of postcodes that can't be read; undefined where all can. */
export const postcodesProblem = (text: string): string | undefined =>
  partsOf(text)
    .find((part) => codesOf(part) === undefined)
    ?.trim();

/** Whether a postcode is in a list like “1000-1999, 25*, 9712”. Spaces and hyphens of the postcode don't matter. */
export function inPostcodes(postcode: string, list: string): boolean {
  const code = plainCode(postcode);
  return code !== "" && partsOf(list).some((part) => codesOf(part)?.(code) === true);
}

/** The zone that a place is in: one for its postcode before one for its country, and that before one for everywhere else. */
export function zoneFor({ zones }: Selling, { country: where, postcode }: Place): Zone | undefined {
  const named = zones.filter(({ countries }) => countries.includes(where));
  return (
    named.find(({ postcodes }) => postcodes && inPostcodes(postcode, postcodes)) ??
    named.find(({ postcodes }) => !postcodes) ??
    zones.find(({ countries }) => countries.includes(ELSEWHERE))
  );
}

/** What a parcel costs at a rate; undefined where that way doesn't take it. */
function costsAt(rateOf: Rate, parcel: Parcel, selling: Selling, place: Place, digits: number): Minor | undefined {
  if (rateOf.by === "flat") return rateOf.price;
  if (rateOf.by === "carrier")
    return selling.from === undefined
      ? undefined
      : quote(selling.from, place.country, parcel.weight, (code) => EUROPE.has(code), digits);
  const { [rateOf.by]: size } = parcel;
  return rateOf.steps.find(({ upTo }) => upTo === null || size <= upTo)?.price;
}

export type Delivery = {
  readonly ways: readonly Offered[];
  /** Why there is none: nothing goes there, or not as much as that. */
  readonly why?: "place" | "parcel" | "collect";
};

/** Ways of getting a parcel to a place, as the seller put them in order; fetching it comes last. */
export function deliveryFor(selling: Selling, place: Place, parcel: Parcel, currency: string): Delivery {
  if (parcel.isLetter) return { ways: [BY_MAIL] };
  const zoneThere = zoneFor(selling, place);
  const digits = currencyDigits(currency) ?? 2;
  const delivered = parcel.mustCollect
    ? []
    : (zoneThere?.ways ?? []).flatMap((each): readonly Offered[] => {
        const costs = costsAt(each.rate, parcel, selling, place, digits);
        if (costs === undefined) return [];
        const isFree = each.freeFrom !== undefined && parcel.worth >= each.freeFrom;
        return [{ id: each.id, name: each.name, says: each.says ?? "", costs: isFree ? 0 : costs, isCollected: false }];
      });
  const collected: readonly Offered[] =
    selling.collect === undefined
      ? []
      : [{ id: COLLECT, name: "Collect it yourself", says: selling.collect, costs: 0, isCollected: true }];
  const ways = [...delivered, ...collected];
  if (ways.length) return { ways };
  return { ways, why: parcel.mustCollect ? "collect" : zoneThere ? "parcel" : "place" };
}

/** The countries to which a shop delivers; undefined: to all. */
export function deliveredTo({ zones, collect, from }: Selling): readonly string[] | undefined {
  const open = zones.filter(({ ways }) => ways.length > 0);
  if (open.some(({ countries }) => countries.includes(ELSEWHERE))) return undefined;
  const all = new Set(open.flatMap(({ countries }) => countries));
  if (collect !== undefined && from !== undefined) all.add(from);
  return [...all];
}

// Tax

/** How a shop reckons with tax where goods go to a country; undefined where it has none. Countries that it says nothing of have no tax. */
export function taxRulesFor(
  { tax: said }: Selling,
  where: string,
): (TaxRules & { readonly name: string; readonly rateOf: (taxClass: TaxClass) => number }) | undefined {
  if (!said) return undefined;
  const rates = said.rates.find((each) => each.country === where);
  return {
    name: said.name,
    isIncluded: said.prices === "with",
    rounding: said.rounding,
    rateOf: (taxClass) => (taxClass === "none" || !rates ? 0 : rates[taxClass]),
  };
}
export type TaxFor = NonNullable<ReturnType<typeof taxRulesFor>>;
