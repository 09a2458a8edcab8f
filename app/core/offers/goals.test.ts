import { describe, expect, it } from "vitest";
import { SOME_DAY } from "../goods/fixtures/day";
import { makeCollection, makeProduct, type Goods } from "../goods";
import { FIRST_VISIT, type InCart } from "../situation";
import { FREE_DELIVERY, offering } from "./fixtures/offer";
import { goalsOf, price, type Offer } from ".";

const kite = makeProduct({ id: "kite", title: "Kite", price: 26_00, tags: ["kites"] });
const tail = makeProduct({ id: "tail", title: "Tail", price: 4_00 });
const goods: Goods = {
  products: [kite, tail],
  collections: [
    makeCollection({
      id: "kites",
      title: "Kites",
      rules: { all: true, rules: [{ field: "tag", op: "is", value: "kites" }] },
    }),
  ],
  asOf: SOME_DAY,
};

const offer = (id: string, more: Partial<Offer>): Offer => offering(FREE_DELIVERY, { id, name: id, ...more });

const cartOf = (...lines: readonly (readonly [product: string, count: number])[]): InCart => ({
  count: 0,
  worth: 0,
  products: [],
  lines: lines.map(([product, count]) => ({ product, variant: null, count })),
});
const goalsFor = (offers: readonly Offer[], cart: InCart) =>
  goalsOf({ offers, goods, asked: { clock: "2026-12-01T09:00", goods, person: { ...FIRST_VISIT, cart } } }).map(
    ({ offer: { id }, by, goal, toGo }) => [id, by, goal, toGo],
  );

describe("goals of a cart", () => {
  const delivery = offer("delivery", { fromWorth: 60_00 });

  it("with a goal of 60 and 26 in the cart, 34 are to go (common practice, no source)", () => {
    expect(goalsFor([delivery], cartOf(["kite", 1]))).toEqual([["delivery", "worth", 60_00, 34_00]]);
    expect(goalsFor([delivery], cartOf())).toEqual([["delivery", "worth", 60_00, 60_00]]);
    expect(goalsFor([delivery], cartOf(["kite", 2], ["tail", 2]))).toEqual([["delivery", "worth", 60_00, 0]]);
  });

  it("count only the goods that the offer is for, and come smallest first, worth before pieces", () => {
    const gift = offer("gift", { fromWorth: 100_00 });
    const tails = offer("tails", { fromCount: 3, goods: { products: ["tail"], collections: [] } });
    expect(goalsFor([gift, tails, delivery], cartOf(["kite", 1], ["tail", 1]))).toEqual([
      ["delivery", "worth", 60_00, 30_00],
      ["gift", "worth", 100_00, 70_00],
      ["tails", "count", 3, 2],
    ]);
  });

  it("are no goals of somebody whom the offer is not for, of those with a code, and of those that are switched off", () => {
    const offers = [
      offer("coded", { fromWorth: 10_00, code: "KITE" }),
      offer("off", { fromWorth: 10_00, isOff: true }),
      offer("over", { fromWorth: 10_00, conditions: [{ when: "dates", until: "2026-11-01T00:00" }] }),
      offer("always", {}),
    ];
    expect(goalsFor(offers, cartOf(["kite", 1]))).toEqual([]);
  });

  it("asks for pieces once the worth is there", () => {
    const both = offer("both", { fromWorth: 20_00, fromCount: 3 });
    expect(goalsFor([both], cartOf(["kite", 1]))).toEqual([["both", "count", 3, 2]]);
  });

  it("is reached exactly when the price of the cart says that the offer applies", () => {
    const half = offer("half", { gives: { sort: "percent", off: 5000, on: "all" }, fromWorth: 30_00 });
    for (let kites = 0; kites <= 2; kites++)
      for (let tails = 0; tails <= 9; tails++) {
        const cart = cartOf(["kite", kites], ["tail", tails]);
        const lines = [
          { product: kite, variant: undefined, count: kites },
          { product: tail, variant: undefined, count: tails },
        ].filter(({ count }) => count > 0);
        const asked = { clock: "2026-12-01T09:00", goods };
        const applies = price({ lines, offers: [half], codes: [], goods, asked }).applied.length > 0;
        const only = { ...cart, lines: cart.lines!.filter(({ count }) => count > 0) };
        expect(goalsFor([half], only)[0]![3] === 0, `${kites} ${tails}`).toBe(applies);
      }
  });

  it("takes the worth of a cart that is only pretended", () => {
    expect(goalsFor([delivery], { count: 2, worth: 45_00, products: [] })).toEqual([
      ["delivery", "worth", 60_00, 15_00],
    ]);
  });
});
