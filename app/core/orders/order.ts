import { z } from "zod";
import type { Minor } from "../money";
import { cardFor, lastOf, type CardFor, type CardPart } from "../gift-cards";
import { lineTitle, type Line, type Priced } from "../offers";
import { PAYMENT_WORDS, PAYMENTS, type Offered, type Payment, type TaxFor } from "../selling";

// An order is a snapshot: what was bought, for how much, by whom and where to. Nothing that is changed later changes it.

const minor = z.number().int();
const off = z.object({ name: z.string(), amount: minor });

const orderLine = z.object({
  product: z.string(),
  variant: z.string().nullable(),
  sku: z.string(),
  /** As it was called: the product, and what was chosen of it. */
  title: z.string(),
  picture: z.string().nullable(),
  count: z.number().int().min(1),
  /** What one piece cost before discounts, what all of them did, what was taken off, and what they cost in the end. */
  each: minor,
  full: minor,
  offs: z.array(off),
  total: minor,
  /** It is made, or comes, only after it was ordered: the words that said so. */
  later: z.string(),
  /** It is a gift card: what it cost can be spent later. */
  isGiftCard: z.boolean().default(false),
});

const address = z.object({
  country: z.string(),
  name: z.string(),
  company: z.string(),
  street: z.string(),
  more: z.string(),
  district: z.string(),
  town: z.string(),
  area: z.string(),
  postcode: z.string(),
});

export const orderBody = z.object({
  currency: z.string(),
  moneyFormat: z.string(),
  lines: z.array(orderLine),
  full: minor,
  off: minor,
  goods: minor,
  way: z.object({
    id: z.string(),
    name: z.string(),
    says: z.string(),
    isCollected: z.boolean(),
    isLetter: z.literal(true).optional(),
  }),
  delivery: z.object({ full: minor, offs: z.array(off), total: minor }),
  tax: z
    .object({
      name: z.string(),
      isIncluded: z.boolean(),
      rows: z.array(z.object({ rate: z.number(), net: minor, tax: minor })),
      tax: minor,
    })
    .nullable(),
  total: minor,
  mail: z.string(),
  phone: z.string(),
  name: z.string(),
  /** Null: it is collected. */
  to: address.nullable(),
  /** Where the bill goes; null: to the same place. */
  bill: address.nullable().default(null),
  note: z.string(),
  giftMessage: z.string(),
  pay: z.enum(PAYMENTS),
  /** What was said of how to pay by transfer. */
  payTo: z.string(),
  codes: z.array(z.string()),
  /** What gift cards paid of it, each by the last letters of its code. */
  byCards: z.array(z.object({ last: z.string(), amount: minor })).default([]),
  /** Whom the gift cards are for that were bought with it. */
  cardFor: cardFor.nullable().default(null),
});
export type OrderBody = z.infer<typeof orderBody>;
export type OrderLine = OrderBody["lines"][number];

/** What of an order goes on after it was placed. */
export const ORDER_STATES = ["held", "placed", "cancelled", "gone"] as const;
/** `held`: it waits for its payment, and its goods are kept for it. `gone`: the payment came to nothing; it has no number. */
export type OrderState = (typeof ORDER_STATES)[number];
export const HANDED = ["open", "ready", "sent", "collected"] as const;
export type Handed = (typeof HANDED)[number];

export type OrderStanding = {
  readonly state: OrderState;
  readonly handed: Handed;
  readonly paid: Minor;
  readonly refunded: Minor;
};

/** An order as the seller has it. Moments are ms since 1970. */
export type Order = OrderStanding & {
  readonly id: string;
  /** Counted from 1 on in each shop, without a gap. */
  readonly number: number;
  readonly isTest: boolean;
  readonly at: number;
  readonly body: OrderBody;
  /** How often it has changed. */
  readonly version: number;
};

/** Something that happened to an order. */
export type OrderEvent = {
  readonly at: number;
  readonly what: "placed" | "paid" | "ready" | "sent" | "collected" | "refunded" | "cancelled" | "note" | "mail";
  /** What there is to say of it: a note, how to follow the parcel, which letter. */
  readonly text: string;
  readonly amount: Minor | null;
};

export type Buyer = Pick<OrderBody, "mail" | "phone" | "name" | "to" | "note" | "giftMessage"> &
  Partial<Pick<OrderBody, "bill">>;

/** Writes an order down from what a cart came to. */
export function writeOrder(given: {
  readonly lines: readonly Line[];
  readonly priced: Priced;
  readonly offerName: (id: string) => string;
  readonly laterWords: (line: Line) => string;
  readonly way: Offered;
  readonly tax: TaxFor | undefined;
  readonly buyer: Buyer;
  readonly pay: Payment;
  readonly payTo: string;
  readonly codes: readonly string[];
  readonly byCards?: readonly CardPart[];
  readonly cardFor?: CardFor | null;
  readonly currency: string;
  readonly moneyFormat: string;
}): OrderBody {
  const { lines, priced, offerName, way, buyer } = given;
  const offs = (list: readonly { readonly offer: string; readonly amount: Minor }[]) =>
    list.filter(({ amount }) => amount > 0).map(({ offer, amount }) => ({ name: offerName(offer), amount }));
  const bought = lines.map((line, i): OrderLine => {
    const { full, offs: taken, total } = priced.lines[i]!;
    return {
      ...named(line),
      count: line.count,
      each: full / line.count,
      full,
      offs: offs(taken),
      total,
      later: given.laterWords(line),
    };
  });
  const gifts = priced.gifts.map((gift): OrderLine => ({
    ...named(gift),
    count: gift.count,
    each: 0,
    full: 0,
    offs: [{ name: offerName(gift.offer), amount: 0 }],
    total: 0,
    later: given.laterWords(gift),
  }));
  return {
    currency: given.currency,
    moneyFormat: given.moneyFormat,
    lines: [...bought, ...gifts],
    full: priced.full,
    off: priced.off,
    goods: priced.goods,
    way: {
      id: way.id,
      name: way.name,
      says: way.says,
      isCollected: way.isCollected,
      ...(way.isLetter ? { isLetter: way.isLetter } : {}),
    },
    delivery: {
      full: priced.delivery?.full ?? 0,
      offs: offs(priced.delivery?.offs ?? []),
      total: priced.delivery?.total ?? 0,
    },
    tax:
      priced.tax && given.tax
        ? { name: given.tax.name, isIncluded: priced.tax.isIncluded, rows: [...priced.tax.rows], tax: priced.tax.tax }
        : null,
    total: priced.total,
    ...buyer,
    bill: buyer.bill ?? null,
    pay: given.pay,
    payTo: given.payTo,
    codes: [...given.codes],
    byCards: (given.byCards ?? []).map(({ code, amount }) => ({ last: lastOf(code), amount })),
    cardFor: lines.some(({ product }) => product.isGiftCard) ? (given.cardFor ?? null) : null,
  };
}

const named = ({ product, variant }: Pick<Line, "product" | "variant">) => ({
  product: product.id,
  variant: variant?.id ?? null,
  sku: variant?.sku || product.sku,
  title: lineTitle({ product, variant }),
  picture: variant?.picture ?? product.pictures[0] ?? null,
  isGiftCard: product.isGiftCard,
});

/** What gift cards paid of an order. */
export const paidByCards = ({ byCards }: Pick<OrderBody, "byCards">): Minor =>
  byCards.reduce((sum, { amount }) => sum + amount, 0);

/** What there is to pay besides. */
export const dueOf = (body: Pick<OrderBody, "byCards" | "total">): Minor => body.total - paidByCards(body);

/** How an order is paid, in words. */
export const paidWith = ({ byCards, pay }: Pick<OrderBody, "byCards" | "pay">): string =>
  byCards.length && pay !== "gift-card" ? `Gift card and ${PAYMENT_WORDS[pay].toLowerCase()}` : PAYMENT_WORDS[pay];

/** How an order gets to whoever bought it. `mail`: there is nothing to carry in it, as it is gift cards alone. */
export const goesBy = ({ to, way }: Pick<OrderBody, "to" | "way">): "parcel" | "mail" | "collection" =>
  way.isLetter ? "mail" : to ? "parcel" : "collection";

/**
 * How much of money that is given back goes onto gift cards: what was paid otherwise goes back first, to where it came from.
 * `before`: what has been given back so far.
 */
export function backToCards({ paid, body }: Pick<Order, "paid" | "body">, before: Minor, amount: Minor): Minor {
  const otherwise = Math.max(0, paid - paidByCards(body));
  const onCards = (all: Minor) => Math.max(0, all - otherwise);
  return onCards(before + amount) - onCards(before);
}

export const isPaid = ({ paid, body: { total } }: Pick<Order, "paid" | "body">): boolean => paid >= total;

/** What a seller can do with an order. */
export const ORDER_ACTIONS = ["paid", "ready", "sent", "collected", "refund", "cancel"] as const;
export type OrderAction = (typeof ORDER_ACTIONS)[number];

/** What can be done with an order as it stands, the next thing to do first. */
export function actionsFor(order: Pick<Order, keyof OrderStanding | "body">): readonly OrderAction[] {
  const { state, handed, paid, refunded, body } = order;
  if (state !== "placed") return state === "cancelled" && paid > refunded ? ["refund"] : [];
  const isDue = !isPaid(order);
  const hand: readonly OrderAction[] =
    handed === "open"
      ? body.way.isCollected
        ? ["ready", "collected"]
        : ["sent"]
      : handed === "ready"
        ? ["collected"]
        : [];
  return [
    ...(isDue ? (["paid"] as const) : []),
    ...hand,
    ...(paid > refunded ? (["refund"] as const) : []),
    ...(handed === "open" || handed === "ready" ? (["cancel"] as const) : []),
  ];
}

/** How an order stands, in a few words. */
export function standingWords(order: Pick<Order, keyof OrderStanding | "body">): readonly string[] {
  const { state, handed, paid, refunded, body } = order;
  const money =
    refunded > 0
      ? refunded >= paid
        ? "Refunded"
        : "Refunded in part"
      : isPaid(order)
        ? "Paid"
        : body.pay === "on-delivery"
          ? "Paid on delivery"
          : body.pay === "on-collection"
            ? "Paid on collection"
            : "To be paid";
  if (state === "cancelled") return ["Cancelled", ...(paid > 0 ? [money] : [])];
  const goods =
    handed === "sent"
      ? "Sent"
      : handed === "collected"
        ? "Collected"
        : handed === "ready"
          ? "Ready to be collected"
          : body.way.isCollected
            ? "To be put ready"
            : "To be sent";
  return [money, goods];
}

/** What is shown of an order in a list. */
export type ListedOrder = Pick<Order, "id" | "number" | "isTest" | "at"> & {
  readonly buyer: string;
  readonly mail: string;
  readonly total: number;
  readonly currency: string;
  readonly count: number;
  readonly standing: readonly string[];
};
