import { describe, expect, it } from "vitest";
import type { Condition } from "../conditions";
import { list, makeCollection, makeProduct, NO_QUERY, type Goods, type GoodsQuery } from "../goods";
import { SOME_DAY } from "../goods/fixtures/day";
import { FREE_DELIVERY, offering } from "./fixtures/offer";
import { costsOf, isSale, listedCosts, price, type Gives, type Offer } from ".";

const TENTH: Gives = { sort: "percent", off: 1000, on: "all" };
const NOVEMBER: Condition = { when: "dates", from: "2026-11-01T00:00", until: "2026-12-01T00:00" };

const kite = makeProduct({ id: "kite", title: "Kite", price: 64_95 });
const was = makeProduct({ id: "was", title: "Was dearer", price: 40_00, compareAt: 50_00 });
const sizes = {
  ...makeProduct({ id: "sizes", title: "Sizes", price: 10_00 }),
  options: [{ name: "Size", values: ["S", "L"] }],
  variants: [
    { id: "s", values: ["S"], price: 10_00, compareAt: null },
    { id: "l", values: ["L"], price: 30_00, compareAt: null },
  ],
} as unknown as typeof kite;
const goods = { products: [kite, was, sizes], collections: [], asOf: SOME_DAY } as unknown as Goods;
const costs = (offers: readonly Offer[], clock = "2026-11-30T12:00") =>
  costsOf({ offers, goods, asked: { clock, goods } });

describe("what stands on goods", () => {
  it.each([
    ["percent off all", offering(TENTH), true],
    ["an amount off each piece", offering({ sort: "amount", amount: 5_00, on: "each" }), true],
    ["a price for each piece", offering({ sort: "price", price: 9_00 }), true],
    ["on some days", offering(TENTH, { conditions: [NOVEMBER] }), true],
    ["an amount off the cart", offering({ sort: "amount", amount: 5_00, on: "all" }), false],
    ["the cheapest piece", offering({ sort: "percent", off: 1000, on: "cheapest" }), false],
    ["three for two", offering({ sort: "bundle", take: 3, pay: 2 }), false],
    ["free delivery", offering(FREE_DELIVERY), false],
    ["with a code", offering(TENTH, { code: "KITE" }), false],
    ["from a worth on", offering(TENTH, { fromWorth: 1 }), false],
    ["from two pieces on", offering(TENTH, { fromCount: 2 }), false],
    ["for some countries", offering(TENTH, { conditions: [{ when: "country", countries: ["NL"] }] }), false],
    [
      "for some visitors, or on some days",
      offering(TENTH, { conditions: [{ when: "any", of: [NOVEMBER, { when: "country", countries: ["NL"] }] }] }),
      false,
    ],
    ["switched off", offering(TENTH, { isOff: true }), false],
  ] as const)("%s", (_name, of, is) => expect(isSale(of)).toBe(is));

  it("is what one piece alone would cost in a cart, rounded once", () => {
    // 10 % of 64.95 are 6.495, half up 6.50.
    expect(costs([offering(TENTH)]).of(kite)).toEqual({ now: 58_45, before: 64_95 });
    const lines = [{ product: kite, variant: undefined, count: 1 }];
    const { total } = price({
      lines,
      offers: [offering(TENTH)],
      codes: [],
      goods,
      asked: { clock: "2026-11-30T12:00" },
    });
    expect(total).toBe(58_45);
  });

  it("says what it cost just before, not what it may have cost once", () => {
    expect(costs([]).of(was)).toEqual({ now: 40_00, before: 50_00 });
    expect(costs([offering(TENTH)]).of(was)).toEqual({ now: 36_00, before: 40_00 });
  });

  it("begins and ends with its dates, and is for its goods alone", () => {
    const dated = offering(TENTH, { conditions: [NOVEMBER], goods: { products: ["kite"], collections: [] } });
    expect(costs([dated]).of(kite).now).toBe(58_45);
    expect(costs([dated]).of(was).now).toBe(40_00);
    expect(costs([dated], "2026-12-01T00:00").of(kite)).toEqual({ now: 64_95, before: null });
  });

  it("spans what the variants cost with it", () => {
    expect(costs([offering({ sort: "price", price: 20_00 })]).span(sizes)).toEqual({ least: 10_00, most: 20_00 });
    expect(costs([offering(TENTH)]).span(sizes)).toEqual({ least: 9_00, most: 27_00 });
  });

  it("is the same object for as long as the same offers hold, and none where none does", () => {
    const offers = [offering(TENTH, { name: "dated", conditions: [NOVEMBER] })];
    const at = (clock: string) => costsOf({ offers, goods, asked: { clock, goods } });
    expect(at("2026-11-02T00:00")).toBe(at("2026-11-30T12:00"));
    expect(at("2026-12-01T00:00")).not.toBe(at("2026-11-30T12:00"));
    expect(listedCosts(at("2026-12-01T00:00"))).toBeUndefined();
    expect(listedCosts(at("2026-11-30T12:00"))).toBe(at("2026-11-30T12:00"));
  });

  it("puts lists in order, narrows them and counts what is reduced", () => {
    // 64.95 and 40.00 and from 10.00 to 30.00; the kite alone is half price, 32.48.
    const half: Gives = { sort: "percent", off: 5000, on: "all" };
    const sale = costs([offering(half, { goods: { products: ["kite"], collections: [] } })]);
    const listed = (query: Partial<GoodsQuery>, by?: typeof sale) =>
      list(goods, { collection: undefined }, { ...NO_QUERY, ...query }, { perPage: 9, ...(by ? { costs: by } : {}) });
    const ids = (listing: ReturnType<typeof listed>) => listing.products.map(({ id }) => id);
    expect(ids(listed({ sort: "price-down" }))).toEqual(["kite", "was", "sizes"]);
    expect(ids(listed({ sort: "price-down" }, sale))).toEqual(["was", "kite", "sizes"]);
    expect(ids(listed({ sort: "price-up", from: 32_00, to: 33_00 }, sale))).toEqual(["kite"]);
    expect(ids(listed({ from: 32_00, to: 33_00 }))).toEqual([]);
    expect(listed({}, sale)).toMatchObject({ prices: { least: 10_00, most: 40_00 }, reduced: 2 });
    expect(ids(listed({ reduced: true }, sale))).toEqual(["kite", "was"]);
    // What was worked out for one is not taken for the other.
    expect(ids(listed({ sort: "price-down" }))).toEqual(["kite", "was", "sizes"]);
  });

  it("is worked out anew for a product that has changed, and for all of them where a sale is for a collection", () => {
    const storewide = [offering(TENTH, { name: "storewide" })];
    const at = (offers: readonly Offer[], of: Goods) =>
      costsOf({ offers, goods: of, asked: { clock: "2026-11-30T12:00" } });
    const dearer = { ...kite, price: 100_00 };
    expect(at(storewide, goods).of(kite).now).toBe(58_45);
    expect(at(storewide, { ...goods, products: [dearer] }).of(dearer).now).toBe(90_00);
    const joined = { ...kite, collections: ["aloft"] };
    const aloft = makeCollection({ id: "aloft", title: "Aloft" });
    const inAloft = [offering(TENTH, { name: "aloft", goods: { products: [], collections: ["aloft"] } })];
    const without: Goods = { ...goods, products: [joined] };
    expect(at(inAloft, without).of(joined).now).toBe(64_95);
    expect(at(inAloft, { ...without, collections: [aloft] }).of(joined).now).toBe(58_45);
  });
});
