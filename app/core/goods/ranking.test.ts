import { SOME_DAY } from "./fixtures/day";
import { baskets, ITEMS, RULES } from "./fixtures/supermarket";
import { describe, expect, it } from "vitest";
import {
  alike,
  bestselling,
  boughtTogether,
  goesWith,
  goesWithAll,
  HALF_LIFE_DAYS,
  makeProduct,
  type Basket,
  type Product,
} from ".";

const DAY = 86_400_000;
const basket = (...ids: string[]): Basket => ({ at: 0, lines: ids.map((product) => ({ product, count: 1 })) });

describe("bestsellers", () => {
  it("count half after every half-life", () => {
    const now = 400 * DAY;
    const sold = (days: number, count: number): Basket => ({ at: now - days * DAY, lines: [{ product: "a", count }] });
    expect(bestselling([sold(0, 1)], now).get("a")).toBe(1);
    expect(bestselling([sold(HALF_LIFE_DAYS, 4)], now).get("a")).toBeCloseTo(2, 12);
    expect(bestselling([sold(3 * HALF_LIFE_DAYS, 8), sold(0, 1)], now).get("a")).toBeCloseTo(2, 12);
    expect(bestselling([{ ...sold(0, 1), at: now + DAY }], now).get("a")).toBe(1);
  });
});

describe("bought together", () => {
  // Tan, Steinbach, Kumar, Introduction to Data Mining, table 5.1 (6.1 in the first edition): {Milk, Diapers} and the rules
  // drawn from it; the pairs' numbers follow from the table. From memory.
  const table = [
    basket("bread", "milk"),
    basket("bread", "diapers", "beer", "eggs"),
    basket("milk", "diapers", "beer", "cola"),
    basket("bread", "milk", "diapers", "beer"),
    basket("bread", "milk", "diapers", "cola"),
  ];
  const pair = (a: string, b: string) =>
    boughtTogether(table, { count: 1, lift: 0 })
      .get(a)
      ?.find((p) => p.id === b);

  it("has the support, confidence and lift of the textbook's five baskets", () => {
    expect(pair("diapers", "beer")).toMatchObject({ count: 3, support: 0.6, confidence: 0.75 });
    expect(pair("diapers", "beer")!.lift).toBeCloseTo(0.75 / 0.6, 12);
    expect(pair("beer", "diapers")!.confidence).toBe(1);
    expect(pair("milk", "beer")!.lift).toBeCloseTo(0.5 / 0.6, 12);
    expect(pair("eggs", "cola")).toBeUndefined();
  });

  it("says of 4,627 real baskets what Weka's Apriori says of them", () => {
    const found = boughtTogether(
      baskets().map((items) => basket(...items)),
      { count: 1, lift: 0, most: ITEMS.length },
    );
    expect(RULES.length).toBeGreaterThan(60);
    for (const [one, other, , both, confidence, lift] of RULES) {
      const pair = found.get(one)!.find((p) => p.id === other)!;
      expect(pair.count, `${one} with ${other}`).toBe(both);
      expect(pair.support).toBeCloseTo(both / 4627, 12);
      // Weka prints two digits.
      expect(Math.abs(pair.confidence - confidence)).toBeLessThan(0.00501);
      expect(Math.abs(pair.lift - lift)).toBeLessThan(0.00501);
    }
    // And no pair of those items with as much support and lift is missing there.
    const told = new Set(RULES.map(([one, other]) => `${one} > ${other}`));
    for (const [one, pairs] of found)
      for (const { id, support, lift } of pairs)
        if (support >= 0.3 && lift > 1.0001) expect(told).toContain(`${one} > ${id}`);
  });

  it("says nothing of what was seen too rarely, or is no more than chance", () => {
    const found = boughtTogether(table);
    expect(found.get("diapers")?.map((p) => p.id)).toEqual(["beer"]);
    expect(found.get("eggs")).toBeUndefined();
  });

  it("counts a basket once, however many of a thing were in it", () => {
    const twice: Basket = {
      at: 0,
      lines: [
        { product: "a", count: 9 },
        { product: "a", count: 1 },
        { product: "b", count: 1 },
      ],
    };
    expect(boughtTogether([twice], { count: 1, lift: 0 }).get("a")).toMatchObject([{ id: "b", count: 1, support: 1 }]);
  });
});

describe("goods that go with one", () => {
  const product = (id: string, attributes: Record<string, string>, more = {}) =>
    makeProduct({ id, title: id, price: 1000, attributes, ...more });
  const goods = {
    collections: [],
    asOf: SOME_DAY,
    products: [
      product("a", { Level: "Anyone", Lines: "1", Sail: "Rare" }),
      product("b", { Level: "Anyone", Lines: "1", Sail: "Rare" }),
      product("c", { Level: "Anyone", Lines: "2" }),
      product("d", { Level: "Expert", Lines: "2" }),
      product("e", { Level: "Anyone", Lines: "2" }, { stock: 0 }),
    ],
  };
  const open = (p: { stock: number | null }) => p.stock !== 0;

  it("share what few others have, and can be bought", () => {
    expect(alike(goods, goods.products[0]!, 3, open).map((p) => p.id)).toEqual(["b", "c"]);
  });

  it("are found for what is only being written, and never it itself", () => {
    const written = { ...goods.products[0]!, attributes: { Level: "Anyone", Lines: "1", New: "thing" } };
    expect(alike(goods, written, 9, open).map((p) => p.id)).toEqual(["b", "c"]);
    expect(alike({ products: [], collections: [], asOf: SOME_DAY }, written, 9, open)).toEqual([]);
  });

  it("are the seller's choice, and else what was bought together before what is like it", () => {
    const together = { a: [{ id: "d", count: 4, support: 0.1, confidence: 0.5, lift: 3 }] };
    expect(goesWith({ ...goods, together }, goods.products[0]!, 3, open).map((s) => [s.product.id, s.why])).toEqual([
      ["d", "together"],
      ["b", "alike"],
      ["c", "alike"],
    ]);
    const chosen = { ...goods.products[0]!, related: ["e", "gone"] };
    expect(goesWith({ ...goods, together }, chosen, 3, open).map((s) => s.product.id)).toEqual(["e", "d", "b"]);
  });

  it("of several things go with any of them: what was chosen first, each once, and none of themselves", () => {
    const together = { a: [{ id: "d", count: 4, support: 0.1, confidence: 0.5, lift: 3 }] };
    const [a, , c] = goods.products;
    const all = (products: Product[], most = 4) =>
      goesWithAll({ ...goods, together }, products, most, open).map((s) => s.product.id);
    expect(all([a!, c!])).toEqual(["d", "b"]);
    expect(all([{ ...c!, related: ["e", "a"] }, a!])).toEqual(["e", "d", "b"]);
    expect(all([{ ...c!, related: ["e"] }, a!], 1)).toEqual(["e"]);
    expect(all([])).toEqual([]);
    expect(all([...goods.products])).toEqual([]);
  });
});
