import { z } from "zod";
import { isCounted, stateOf } from "../goods";
import {
  cardFor,
  cardForProblems,
  isCardCode,
  MOST_CARDS,
  payWith,
  plainCard,
  type CardFor,
  type CardPart,
  type PayingCard,
} from "../gift-cards";
import type { Minor } from "../money";
import type { Bill, Line, Priced } from "../offers";
import {
  addressFields,
  addressInput,
  addressProblems,
  cardProblems,
  deliveredTo,
  deliveryFor,
  isCountry,
  paymentsFor,
  plainAddress,
  taxRulesFor,
  type Delivery,
  type Offered,
  type Payment,
  type PostalAddress,
  type Selling,
  type TaxFor,
} from "../selling";

// What a checkout comes to with what somebody has given so far. The page that shows it and the server that takes it ask the same.

const short = z.string().trim().max(254).catch("");
const long = z.string().max(2000).catch("");
const tick = z
  .unknown()
  .optional()
  .transform((value) => value === "1" || value === "on");

const countryCode = z.string().trim().toUpperCase().max(2).catch("");

/** What a checkout asks, as it was typed. */
export const checkoutInput = z.object({
  mail: short,
  phone: short,
  country: countryCode,
  name: short,
  company: short,
  street: short,
  more: short,
  district: short,
  town: short,
  area: short,
  postcode: short,
  /** The bill goes to an address of its own, which is this one. */
  bills: tick,
  "bill-country": countryCode,
  "bill-name": short,
  "bill-company": short,
  "bill-street": short,
  "bill-more": short,
  "bill-district": short,
  "bill-town": short,
  "bill-area": short,
  "bill-postcode": short,
  way: z.string().max(40).catch(""),
  pay: z.string().max(40).catch(""),
  note: long,
  gift: long,
  news: tick,
  number: z.string().max(40).catch(""),
  expires: z.string().max(10).catch(""),
  code: z.string().max(10).catch(""),
  /** Gift cards that pay, by their codes, as the page sends them along; and one more, as it was typed. */
  cards: z
    .string()
    .max(300)
    .catch("")
    .transform((text) => [...new Set(text.split(",").map(plainCard))].filter(isCardCode).slice(0, MOST_CARDS)),
  newCard: z.string().max(80).catch(""),
  /** For gift cards that are bought. */
  cardDesign: z.string().max(20).catch(""),
  cardTo: short,
  cardFrom: short,
  cardMessage: long,
  /** What it came to on the page that was sent, in minor units; empty: not known. */
  seen: z.string().max(20).catch(""),
});
export type CheckoutValues = z.infer<typeof checkoutInput>;
/** Nothing given yet. */
export const NOTHING_GIVEN: CheckoutValues = checkoutInput.parse({});

/** The parts of a checkout that is gone through in steps, in order. */
export const CHECKOUT_STEPS = ["address", "delivery", "payment"] as const;
export type CheckoutStep = (typeof CHECKOUT_STEPS)[number];

/** What begins the names of the fields of the bill’s address. */
export const BILL = "bill-";

/** Which part each thing that may be wrong belongs to. */
const STEP_OF: ReadonlyMap<string, CheckoutStep> = new Map([
  ["way", "delivery"],
  ["note", "delivery"],
  ["gift", "delivery"],
  ["pay", "payment"],
  ["number", "payment"],
  ["expires", "payment"],
  ["code", "payment"],
  ["newCard", "payment"],
  ["cardTo", "delivery"],
  ["cardMessage", "delivery"],
]);
export const stepOf = (field: string): CheckoutStep =>
  STEP_OF.get(field) ?? (field.startsWith(BILL) ? "payment" : "address");

export const LONGEST_NOTE = 1000;

/** Adds up a cart with what delivery costs and how it is taxed. */
export type Biller = (more: Pick<Bill, "delivery" | "tax">) => Priced;

export type Checkout = {
  readonly country: string;
  /** Where it can go; undefined: anywhere. */
  readonly countries: readonly string[] | undefined;
  readonly delivery: Delivery;
  /** What each way costs once offers have made it cheaper, by its id. */
  readonly costs: ReadonlyMap<string, Minor>;
  /** The way that is chosen, or the first. */
  readonly way: Offered | undefined;
  readonly payments: readonly Payment[];
  readonly pay: Payment | undefined;
  readonly tax: TaxFor | undefined;
  readonly priced: Priced;
  /** What each gift card pays, and what there is to pay besides. */
  readonly byCards: readonly CardPart[];
  readonly due: Minor;
};

/** Grams that goods weigh together. */
export const weightOf = (lines: readonly Line[], pieceWeight = 0): number =>
  lines.reduce(
    (sum, { product, variant, count }) => sum + (variant?.weight ?? product.weight ?? pieceWeight) * count,
    0,
  );

const mustCollect = (lines: readonly Line[]) =>
  lines.some(({ product, variant }) => stateOf(product, variant) === "collect-only");

/** What a checkout comes to. Where nothing is delivered to the country that was chosen, it goes to the shop’s own, or the first that it goes to. */
export function checkoutOf(
  selling: Selling,
  lines: readonly Line[],
  values: Pick<CheckoutValues, "country" | "postcode" | "way" | "pay">,
  bill: Biller,
  currency: string,
  cards: readonly PayingCard[] = [],
): Checkout {
  const countries = deliveredTo(selling);
  const goesTo = (code: string) => code !== "" && (countries === undefined || countries.includes(code));
  const country = [values.country, selling.from ?? ""].find(goesTo) ?? countries?.[0] ?? selling.from ?? values.country;
  const { goods, lines: costs } = bill({});
  const carried = lines.filter(({ product }) => !product.isGiftCard);
  /** Of amounts by line, those of gift cards. */
  const ofCards = (amounts: readonly { readonly total: Minor }[]) =>
    amounts.reduce((sum, { total }, i) => sum + (lines[i]!.product.isGiftCard ? total : 0), 0);
  const parcel = {
    weight: weightOf(carried, selling.pieceWeight),
    worth: goods - ofCards(costs),
    count: carried.reduce((sum, line) => sum + line.count, 0),
    mustCollect: mustCollect(carried),
    isLetter: lines.length > 0 && carried.length === 0,
  };
  const delivery = deliveryFor(selling, { country, postcode: values.postcode }, parcel, currency);
  const way = delivery.ways.find(({ id }) => id === values.way) ?? delivery.ways[0];
  // What is collected is sold where the shop is.
  const tax = taxRulesFor(selling, way?.isCollected ? (selling.from ?? country) : country);
  const payments = way ? paymentsFor(selling, way) : [];
  const priced = bill({ delivery: way?.costs, tax });
  // A card buys no card: else what is left on one would be good for ever.
  const onlyMoney = ofCards(priced.lines);
  const { parts: byCards, due } = payWith(cards, priced.total - onlyMoney);
  const chosen = payments.find((each) => each === values.pay) ?? payments[0];
  return {
    country,
    countries,
    delivery,
    costs: new Map(delivery.ways.map(({ id, costs }) => [id, bill({ delivery: costs }).delivery?.total ?? costs])),
    way,
    payments,
    pay: due + onlyMoney === 0 && byCards.length ? "gift-card" : chosen,
    tax,
    priced,
    byCards,
    due: due + onlyMoney,
  };
}

/** The address that was given, with what its country asks for. */
export const addressIn = (values: CheckoutValues, country: string): PostalAddress =>
  plainAddress({ ...addressInput.parse({ ...values, country }) });

/** The address of the bill as it was typed, by field. Until a country is chosen it is in the one that the order goes to. */
export const billTyped = (values: CheckoutValues, country: string): PostalAddress => ({
  country: isCountry(values["bill-country"]) ? values["bill-country"] : country,
  name: values["bill-name"],
  company: values["bill-company"],
  street: values["bill-street"],
  more: values["bill-more"],
  district: values["bill-district"],
  town: values["bill-town"],
  area: values["bill-area"],
  postcode: values["bill-postcode"],
});

/** Where the bill goes, with what its country asks for; null: where the order goes. */
export const billIn = (values: CheckoutValues, country: string): PostalAddress | null =>
  values.bills ? plainAddress(billTyped(values, country)) : null;

/** Whom gift cards are for, as it was written. */
export const cardForOf = (values: CheckoutValues): CardFor =>
  cardFor.parse({
    design: values.cardDesign,
    to: values.cardTo,
    from: values.cardFrom,
    message: values.cardMessage,
  });

const isMail = (text: string): boolean => z.email().safeParse(text).success;

export type Asks = { readonly phone: "no" | "free" | "must" };

/**
 * What has to be put right before the order can be placed, by the name of the field. `month`: now, as “2026-12”. The first of
 * them is what is to be looked at first.
 */
export function checkoutProblems(
  { country, delivery, way, pay, due }: Checkout,
  values: CheckoutValues,
  month: string,
  { phone }: Asks,
): ReadonlyMap<string, string> {
  const problems = new Map<string, string>();
  if (values.mail === "") problems.set("mail", "Please write your mail address: the order goes there.");
  else if (!isMail(values.mail)) problems.set("mail", "That is not a mail address. Please check it.");
  if (phone === "must" && values.phone === "") problems.set("phone", "Please write your phone number.");
  else if (values.phone !== "" && !/^[+\d][\d\s().\-/]{4,30}$/.test(values.phone))
    problems.set("phone", "That is not a phone number. Please check it.");
  if (values.country !== "" && values.country !== country)
    problems.set("country", "Nothing is delivered there. Please choose another country.");
  if (way?.isCollected || way?.isLetter) {
    if (values.name === "") problems.set("name", "Please write your name.");
  } else for (const [field, why] of addressProblems(addressIn(values, country))) problems.set(field, why);
  if (!way)
    problems.set(
      "way",
      delivery.why === "parcel"
        ? "So much can’t be sent there at once. Please take something out, or write to us."
        : "Nothing is delivered there.",
    );
  if (values.note.length > LONGEST_NOTE) problems.set("note", `Please keep it to ${LONGEST_NOTE} characters.`);
  if (values.gift.length > LONGEST_NOTE) problems.set("gift", `Please keep it to ${LONGEST_NOTE} characters.`);
  if (way && !pay) problems.set("pay", "This can’t be paid here. Please choose another way of delivery.");
  for (const [field, why] of cardForProblems(cardForOf(values)))
    problems.set(field === "to" ? "cardTo" : "cardMessage", why);
  const bill = billIn(values, country);
  if (bill) for (const [field, why] of addressProblems(bill)) problems.set(BILL + field, why);
  if (pay === "card" && due > 0) for (const [field, why] of cardProblems(values, month)) problems.set(field, why);
  return problems;
}

/** What there is to be said of a thing that doesn’t come at once. */
export function laterWords({ product, variant }: Pick<Line, "product" | "variant">): string {
  const state = stateOf(product, variant);
  if (state === "made-to-order") return "Made once you order it";
  if (state === "pre-order") return product.availableFrom ? `Comes on ${product.availableFrom}` : "Comes later";
  if (state === "collect-only") return "To be collected";
  return "";
}

/** What an order takes from the stock. */
export const wishesOf = (lines: readonly Line[]) =>
  lines.flatMap(({ product, variant, count }) =>
    isCounted(product, variant)
      ? [{ product: product.id, variant: variant?.id ?? "", count, canOwe: product.oversell }]
      : [],
  );

/** The fields of an address that a way of getting goods asks for: whoever collects gives a name alone. */
export const askedOf = (country: string, way: Offered | undefined) =>
  addressFields(country).filter(({ field }) => !(way?.isCollected || way?.isLetter) || field === "name");
