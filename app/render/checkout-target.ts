import { checkoutInput, checkoutOf, laterWords, NOTHING_GIVEN, type CheckoutValues } from "~/core/checkout";
import { makeProduct, type Goods, type Product } from "~/core/goods";
import { writeOrder, type Order, type OrderBody } from "~/core/orders";
import type { Bill, Offer, Priced } from "~/core/offers";
import { taxRulesFor, type Offered, type Selling } from "~/core/selling";
import {
  SAMPLE_ADDRESS,
  SAMPLE_PERSON,
  sampleAccount,
  sampleLines,
  type CartLine,
  type CheckoutSeen,
  type OrderSeen,
} from "~/kinds/parts";
import { NO_PRODUCT } from "./cart-target";

/** The page on which a cart is bought. */
export type CheckoutTarget = { readonly page: "checkout" } & CheckoutSeen;
/** The pages on which an order is seen: right after it was placed, and from then on. */
export type OrderTarget = { readonly page: "thanks" | "order" } & OrderSeen;

const CASE = "case";
const MANY = 14;

const wished = (address: string | null): string | null =>
  address === null ? null : new URL(address, "http://shop.example").searchParams.get(CASE);

/** Somebody made up, to fill the pages in with. */
const SOMEBODY: CheckoutValues = checkoutInput.parse({
  mail: "ada@quill.example",
  phone: "",
  name: "Ada Quill",
  street: "4 Quay Lane",
  town: "Larkspindle",
});
const LONG: CheckoutValues = checkoutInput.parse({
  mail: "maximiliana.featherstonehaugh-cholmondeley@an-unusually-long-name-of-a-house.example",
  name: "Maximiliana Featherstonehaugh-Cholmondeley of the Northern Lighthouse Board",
  company: "The Honourable Society of Kite Makers, Menders and Flyers",
  street: "The Old Lighthouse Keepers’ Cottages, Upper Saint Bartholomew’s Causeway 1184",
  more: "Third floor, the door on the left behind the stairs",
  town: "Llanfairpwllgwyngyllgogerychwyrndrobwllllantysiliogogogoch",
});

const some = (goods: Goods, most?: number): readonly CartLine[] =>
  sampleLines(goods.products.length ? goods : { products: [NO_PRODUCT] }, most);

const SAMPLE_CARD = "ACDEFGHJKMNPQRTW";
/** A gift card to look at the checkout with, where the shop sells none yet. */
const GIFT = makeProduct({ id: "gift-card", title: "Gift card", price: 5000, isGiftCard: true });

type Case = { readonly name: string; readonly seen: CheckoutSeen };

/** Checkouts in which the page is likeliest to break. */
function cases(goods: Goods, offers: readonly Offer[]): ReadonlyMap<string, Case> {
  const lines = some(goods);
  const found = new Map<string, Case>();
  const add = (id: string, name: string, seen: CheckoutSeen) => found.set(id, { name, seen });
  add("blank", "Nothing given yet", { lines });
  const many = some(goods, MANY);
  if (many.length > 3) add("many", `${many.length} lines`, { lines: many, values: SOMEBODY });
  add("long", "Longest names", { lines, values: LONG });
  add("wrong", "Something is wrong", {
    lines,
    values: { ...SOMEBODY, mail: "ada@quill", street: "" },
    problems: new Map([
      ["mail", "That is not a mail address. Please check it."],
      ["street", "Please write the street and number."],
    ]),
  });
  add("declined", "Card declined", {
    lines,
    values: { ...SOMEBODY, pay: "card" },
    said: DECLINED,
  });
  add("sold", "Sold out meanwhile", {
    lines: [{ ...lines[0]!, problem: "There are only 1 of it." }, ...lines.slice(1)],
    values: SOMEBODY,
    said: `Meanwhile somebody else was quicker: there is only 1 left of “${lines[0]!.product.title}”. Please change your cart.`,
  });
  const coded = offers.find((offer) => offer.code !== "" && !offer.isOff);
  if (coded) add("code", "With a code", { lines, codes: [coded.code], values: SOMEBODY });
  add("known", "Signed in", {
    lines,
    values: { ...SOMEBODY, ...SAMPLE_ADDRESS },
    account: { name: SAMPLE_PERSON.name, mail: SAMPLE_PERSON.mail, addresses: sampleAccount(goods).addresses },
  });
  add("bill", "Another address of the bill", {
    lines,
    values: {
      ...SOMEBODY,
      bills: true,
      "bill-country": "DE",
      "bill-name": LONG.name,
      "bill-company": LONG.company,
      "bill-street": LONG.street,
    },
    problems: new Map([["bill-town", "Please write the town or city."]]),
    step: "payment",
  });
  add("card", "With a gift card", {
    lines,
    values: { ...SOMEBODY, cards: [SAMPLE_CARD], pay: "card" },
    paying: [{ code: SAMPLE_CARD, left: 1500 }],
    step: "payment",
  });
  add("buys-card", "Buys a gift card", {
    lines: [{ product: GIFT, variant: undefined, count: 1 }],
    values: { ...SOMEBODY, cardTo: "tom@quill.example", cardFrom: "Ada", cardMessage: "For your next kite." },
    step: "delivery",
  });
  add("pay", "Last step", { lines, values: SOMEBODY, step: "payment" });
  const collected = goods.products.find((p: Product) => p.availability === "collect-only");
  if (collected)
    add("collect", "To be collected", {
      lines: [{ product: collected, variant: undefined, count: 1 }],
      values: SOMEBODY,
    });
  return found;
}

/** Said when a card was declined: nothing was ordered, and nothing has to be typed once more but the card. */
export const DECLINED =
  "Your card was declined, and nothing was ordered. Please try another card or another way to pay.";

export const checkoutCases = (goods: Goods, offers: readonly Offer[]) =>
  [...cases(goods, offers)].map(([id, { name }]) => ({ name, address: `/checkout?${CASE}=${id}` }));

/** A checkout to look at its page with: one of the hard cases, by its address, or one that is half filled in. */
export function checkoutShown(goods: Goods, offers: readonly Offer[], address: string | null): CheckoutTarget {
  const id = wished(address);
  const found = id === null ? undefined : cases(goods, offers).get(id)?.seen;
  return { page: "checkout", ...(found ?? { lines: some(goods), values: SOMEBODY }) };
}

const WAY: Offered = { id: "way", name: "Parcel", says: "", costs: 0, isCollected: false };
/** When the order that pages are looked at with was placed: a moment that is the same each time. */
const AT = Date.UTC(2026, 8, 14, 9, 20);

type Told = {
  readonly goods: Goods;
  readonly selling: Selling;
  readonly currency: string;
  readonly moneyFormat: string;
  readonly offers: readonly Offer[];
  readonly bill: (
    lines: readonly CartLine[],
    codes?: readonly string[],
    more?: Pick<Bill, "delivery" | "tax">,
  ) => Priced;
};

/** The cases in which the pages of an order are likeliest to break. */
const ORDER_CASES = {
  sent: { name: "Sent" },
  many: { name: `${MANY} lines` },
  long: { name: "Longest names" },
  due: { name: "To be paid by transfer" },
  collect: { name: "To be collected" },
  refunded: { name: "Refunded in part" },
  cancelled: { name: "Cancelled" },
  test: { name: "Test order" },
} as const;
type OrderCase = keyof typeof ORDER_CASES;

export const orderCases = (page: "thanks" | "order") =>
  Object.entries(ORDER_CASES)
    .filter(([id]) => page === "order" || !["sent", "refunded", "cancelled"].includes(id))
    .map(([id, { name }]) => ({ name, address: `/${page}?${CASE}=${id}` }));

/** An order to look at its pages with. */
export function sampleOrder(told: Told, address: string | null = null): OrderSeen {
  const asked = wished(address);
  const which = asked !== null && asked in ORDER_CASES ? (asked as OrderCase) : undefined;
  const { goods, selling, currency, bill } = told;
  const lines = some(goods, which === "many" ? MANY : undefined);
  const values = which === "long" ? LONG : SOMEBODY;
  const checkout = checkoutOf(selling, lines, NOTHING_GIVEN, (more) => bill(lines, [], more), currency);
  const country = checkout.country || "GB";
  const collected: Offered = {
    ...WAY,
    id: "collect",
    name: "Collect it yourself",
    says: selling.collect ?? "The workshop",
    isCollected: true,
  };
  const way = which === "collect" ? collected : (checkout.delivery.ways.find(({ isCollected }) => !isCollected) ?? WAY);
  const tax = taxRulesFor(selling, country);
  const names = new Map(told.offers.map((offer) => [offer.id, offer.name]));
  const { mail, name, company, street, more, town } = values;
  const body: OrderBody = writeOrder({
    lines,
    priced: bill(lines, [], { delivery: way.costs, tax }),
    offerName: (id) => names.get(id) ?? "",
    laterWords,
    way,
    tax,
    buyer: {
      mail,
      phone: "",
      name,
      to:
        which === "collect"
          ? null
          : { country, name, company, street, more, district: "", town, area: "", postcode: "" },
      note: "",
      bill:
        which === "long" ? { country, name, company, street, more, district: "", town, area: "", postcode: "" } : null,
      giftMessage: which === "long" ? "For your birthday, with all the wind that there is." : "",
    },
    pay: which === "due" ? "transfer" : which === "collect" ? "on-collection" : "card",
    payTo: selling.pays.transfer ?? "IBAN XX00 0000 0000 0000",
    codes: [],
    currency,
    moneyFormat: told.moneyFormat,
  });
  const isUnpaid = which === "due" || which === "collect";
  const order: Order = {
    id: "sample",
    number: 1042,
    isTest: which === "test",
    at: AT,
    body,
    version: 0,
    state: which === "cancelled" ? "cancelled" : "placed",
    handed: which === "sent" || which === "refunded" ? "sent" : which === "collect" ? "ready" : "open",
    paid: isUnpaid ? 0 : body.total,
    refunded: which === "refunded" ? Math.round(body.total / 3) : which === "cancelled" ? body.total : 0,
  };
  const event = (
    hours: number,
    what: OrderSeen["events"][number]["what"],
    text = "",
    amount: number | null = null,
  ) => ({
    at: AT + hours * 3_600_000,
    what,
    text,
    amount,
  });
  return {
    order,
    address: "/order/sample",
    events: [
      event(0, "placed"),
      ...(isUnpaid ? [] : [event(0, "paid", "By card", body.total)]),
      ...(order.handed === "sent" ? [event(27, "sent", "It comes with Tern Parcels, TP 0000 0000.")] : []),
      ...(order.handed === "ready" ? [event(5, "ready")] : []),
      ...(which === "refunded" ? [event(60, "refunded", "One of them came broken.", order.refunded)] : []),
      ...(which === "cancelled" ? [event(3, "cancelled"), event(3, "refunded", "", body.total)] : []),
    ],
  };
}
