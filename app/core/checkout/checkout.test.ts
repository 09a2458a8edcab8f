import { add, dinero, toSnapshot } from "dinero.js";
import { EUR } from "dinero.js/currencies";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { makeProduct, TAX_CLASSES, type Goods } from "../goods";
import { SOME_DAY } from "../goods/fixtures/day";
import { actionsFor, goesBy, paidWith, standingWords, writeOrder, type Order } from "../orders";
import { offering } from "../offers/fixtures/offer";
import { price, type Line, type Offer } from "../offers";
import type { Selling } from "../selling";
import {
  billIn,
  checkoutOf,
  checkoutProblems,
  laterWords,
  NOTHING_GIVEN,
  stepOf,
  weightOf,
  wishesOf,
  type Biller,
} from ".";

const SELLS: Selling = {
  from: "IE",
  zones: [
    {
      id: "home",
      name: "Ireland",
      countries: ["IE"],
      ways: [
        {
          id: "post",
          name: "Post",
          freeFrom: 10_000,
          rate: {
            by: "weight",
            steps: [
              { upTo: 2_000, price: 590 },
              { upTo: null, price: 990 },
            ],
          },
        },
        { id: "quick", name: "Courier", rate: { by: "flat", price: 1_490 } },
      ],
    },
  ],
  collect: "The pier",
  tax: { prices: "with", rounding: "line", name: "VAT", rates: [{ country: "IE", standard: 2_300, reduced: 1_350 }] },
  pays: { card: true, onCollection: true },
};

const anOffer = (name: string, gives: Offer["gives"], more: Partial<Offer> = {}): Offer =>
  offering(gives, { name, ...more });

const lineOf = fc.record({
  id: fc.nat(5),
  price: fc.nat(50_000),
  count: fc.integer({ min: 1, max: 20 }),
  taxClass: fc.constantFrom(...TAX_CLASSES),
  weight: fc.option(fc.nat(4_000)),
});
const cart = fc.uniqueArray(lineOf, { selector: ({ id }) => id, minLength: 1 }).map((all) =>
  all.map(({ id, count, ...more }): Line => ({
    product: makeProduct({ id: `p${id}`, title: `P ${id}`, ...more }),
    variant: undefined,
    count,
  })),
);
const offers = fc.subarray([
  anOffer("tenth", { sort: "percent", off: 1_250, on: "all" }),
  anOffer("five", { sort: "amount", amount: 500, on: "all" }, { withGoods: false }),
  anOffer("cheapest", { sort: "percent", off: 5_000, on: "cheapest" }),
  anOffer("three-for-two", { sort: "bundle", take: 3, pay: 2 }),
  anOffer("delivery", { sort: "delivery", off: 5_000, amount: null }),
  anOffer("free", { sort: "delivery", off: 10_000, amount: null }, { fromWorth: 6_000, withRest: false }),
]);
const taxes = fc.record({
  prices: fc.constantFrom("with" as const, "without" as const),
  rounding: fc.constantFrom("line" as const, "total" as const),
  standard: fc.constantFrom(0, 1_900, 2_300, 2_550),
  reduced: fc.constantFrom(0, 550, 700),
});

const billOf = (lines: readonly Line[], all: readonly Offer[]): Biller => {
  const goods: Goods = { products: lines.map(({ product }) => product), collections: [], asOf: SOME_DAY };
  return (more) =>
    price({ lines, offers: all, codes: [], goods, asked: { clock: "2026-11-01T12:00", goods }, ...more });
};
/** Sums as dinero.js 2.0.2 adds them. */
const sum = (amounts: readonly number[]): number =>
  toSnapshot(
    amounts.map((amount) => dinero({ amount, currency: EUR })).reduce(add, dinero({ amount: 0, currency: EUR })),
  ).amount;

describe("what a checkout comes to", () => {
  it("is the sum of its parts, for any cart, offers and rates, and an order keeps all of it", () => {
    fc.assert(
      fc.property(
        cart,
        offers,
        taxes,
        fc.constantFrom("post", "quick", "collect"),
        (lines, all, { prices, rounding, ...rate }, way) => {
          const selling: Selling = {
            ...SELLS,
            tax: { name: "VAT", prices, rounding, rates: [{ country: "IE", ...rate }] },
          };
          const checkout = checkoutOf(selling, lines, { ...NOTHING_GIVEN, way }, billOf(lines, all), "EUR");
          const { priced, tax } = checkout;
          const delivery = priced.delivery!;
          expect(priced.goods).toBe(sum(priced.lines.map(({ total }) => total)));
          for (const { full, offs, total } of priced.lines)
            expect(full).toBe(sum([total, ...offs.map(({ amount }) => amount)]));
          expect(delivery.full).toBe(sum([delivery.total, ...delivery.offs.map(({ amount }) => amount)]));
          const taxed = priced.tax!;
          expect(priced.total).toBe(sum([priced.goods, delivery.total, taxed.isIncluded ? 0 : taxed.tax]));
          expect(priced.total).toBe(sum(taxed.rows.flatMap(({ net, tax: amount }) => [net, amount])));
          for (const amount of [priced.total, taxed.tax, delivery.total]) expect(amount).toBeGreaterThanOrEqual(0);
          const body = writeOrder({
            lines,
            priced,
            offerName: String,
            laterWords,
            way: checkout.way!,
            tax,
            buyer: { mail: "a@b.example", phone: "", name: "A", to: null, note: "", giftMessage: "" },
            pay: "card",
            payTo: "",
            codes: [],
            currency: "EUR",
            moneyFormat: "en-GB",
          });
          expect(body.total).toBe(
            sum([
              ...body.lines.map(({ total }) => total),
              body.delivery.total,
              body.tax!.isIncluded ? 0 : body.tax!.tax,
            ]),
          );
        },
      ),
      { seed: 18, numRuns: 400 },
    );
  });

  const kite = makeProduct({ id: "kite", title: "Kite", price: 6_000, weight: 1_500 });
  const lines: readonly Line[] = [{ product: kite, variant: undefined, count: 1 }];
  const at = (values: object, all: readonly Offer[] = [], of = lines) =>
    checkoutOf(SELLS, of, { ...NOTHING_GIVEN, ...values }, billOf(of, all), "EUR");
  it("shows each way with what offers make of it", () => {
    const half = anOffer("half", { sort: "delivery", off: 5_000, amount: null });
    expect([...at({}, [half]).costs]).toEqual([
      ["post", 295],
      ["quick", 745],
      ["collect", 0],
    ]);
  });
  it("goes home where nothing goes to the country that was chosen, and pays on collection only what is collected", () => {
    expect(at({ country: "NZ" })).toMatchObject({ country: "IE", way: { id: "post" }, payments: ["card"] });
    expect(at({ way: "collect" })).toMatchObject({ payments: ["card", "on-collection"], tax: { name: "VAT" } });
    expect(at({ way: "gone" }).way?.id).toBe("post");
  });
  it("weighs what was not weighed as the seller said, and is free from a worth on", () => {
    const bare = makeProduct({ id: "bare", title: "Bare", price: 100 });
    expect(weightOf([{ product: bare, variant: undefined, count: 3 }], 300)).toBe(900);
    expect(at({}, [], [{ product: kite, variant: undefined, count: 2 }]).priced.delivery?.full).toBe(0);
  });
  it("says all that is wrong by field, and nothing where an order can be placed", () => {
    const given = { ...NOTHING_GIVEN, mail: "ada@quill.example", name: "Ada", street: "4 Quay Lane", town: "Howth" };
    const card = { number: "9000100000000009", expires: "08/39", code: "123" };
    const wrong = (values: object, asks: "no" | "must" = "no") => [
      ...checkoutProblems(at(values), { ...given, ...values }, "2026-12", { phone: asks }).keys(),
    ];
    expect(wrong(card)).toEqual([]);
    expect(wrong({})).toEqual(["number", "expires", "code"]);
    expect(wrong({ ...card, mail: "ada@quill", street: "" })).toEqual(["mail", "street"]);
    expect(wrong(card, "must")).toEqual(["phone"]);
    expect(wrong({ ...card, phone: "call me" })).toEqual(["phone"]);
    expect(wrong({ ...card, country: "NZ" })).toEqual(["country"]);
    // Whoever collects needs no street.
    expect(wrong({ ...card, way: "collect", street: "", town: "" })).toEqual([]);
    expect(wrong({ ...card, note: "n".repeat(1_001) })).toEqual(["note"]);
    // The address of the bill counts where it is ticked, by the rules of its own country.
    const bill = { "bill-country": "DE", "bill-name": "Ada", "bill-street": "Am Kai 4", "bill-town": "Husum" };
    expect(wrong({ ...card, ...bill, "bill-name": "" })).toEqual([]);
    expect(wrong({ ...card, ...bill, bills: true, "bill-postcode": "2581" })).toEqual(["bill-postcode"]);
    expect(wrong({ ...card, ...bill, bills: true, "bill-postcode": "25813" })).toEqual([]);
    expect(stepOf("bill-postcode")).toBe("payment");
  });
  it("sends the bill where it is said, and else where the order goes", () => {
    const values = { ...NOTHING_GIVEN, "bill-name": "Ada", "bill-area": "Nowhere", "bill-postcode": "25813" };
    expect(billIn(values, "IE")).toBeNull();
    expect(billIn({ ...values, bills: true }, "DE")).toMatchObject({ country: "DE", name: "Ada", area: "" });
    expect(billIn({ ...values, bills: true, "bill-country": "XX" }, "IE")?.country).toBe("IE");
  });
  it("takes from the stock what is counted, beyond it only where that is allowed", () => {
    const of = (more: object) =>
      wishesOf([{ product: makeProduct({ id: "p", title: "P", ...more }), variant: undefined, count: 2 }]);
    expect(of({ stock: 5 })).toEqual([{ product: "p", variant: "", count: 2, canOwe: false }]);
    expect(of({ stock: 0, oversell: true })).toMatchObject([{ canOwe: true }]);
    expect(of({ stock: null })).toEqual([]);
    expect(of({ stock: 5, availability: "made-to-order" })).toEqual([]);
  });
});

describe("what can be done with an order", () => {
  const order = (more: Partial<Order>, isCollected = false): Order => ({
    id: "o",
    number: 1,
    isTest: false,
    at: 0,
    version: 0,
    state: "placed",
    handed: "open",
    paid: 1_000,
    refunded: 0,
    body: { total: 1_000, pay: "transfer", way: { isCollected } } as Order["body"],
    ...more,
  });
  it.each([
    [{}, ["sent", "refund", "cancel"], ["Paid", "To be sent"]],
    [{ paid: 0 }, ["paid", "sent", "cancel"], ["To be paid", "To be sent"]],
    [{ handed: "sent" as const }, ["refund"], ["Paid", "Sent"]],
    [{ handed: "sent" as const, refunded: 1_000 }, [], ["Refunded", "Sent"]],
    [{ handed: "sent" as const, refunded: 1 }, ["refund"], ["Refunded in part", "Sent"]],
    [{ state: "cancelled" as const }, ["refund"], ["Cancelled", "Paid"]],
    [{ state: "cancelled" as const, paid: 0 }, [], ["Cancelled"]],
  ])("%j", (more, actions, words) => {
    expect(actionsFor(order(more))).toEqual(actions);
    expect(standingWords(order(more))).toEqual(words);
  });
  it("says how it is paid and how it gets there", () => {
    const cards = [{ last: "…WXYZ", amount: 500 }];
    expect(paidWith({ byCards: [], pay: "transfer" })).toBe("Bank transfer");
    expect(paidWith({ byCards: cards, pay: "card" })).toBe("Gift card and card");
    expect(paidWith({ byCards: cards, pay: "gift-card" })).toBe("Gift card");
    const way = { id: "w", name: "W", says: "", isCollected: false };
    expect(goesBy({ to: {} as never, way })).toBe("parcel");
    expect(goesBy({ to: null, way: { ...way, isCollected: true } })).toBe("collection");
    expect(goesBy({ to: null, way: { ...way, isLetter: true } })).toBe("mail");
  });
  it("is put ready before it is fetched", () => {
    expect(actionsFor(order({ paid: 0 }, true))).toEqual(["paid", "ready", "collected", "cancel"]);
    expect(actionsFor(order({ handed: "ready" }, true))).toEqual(["collected", "refund", "cancel"]);
  });
});
