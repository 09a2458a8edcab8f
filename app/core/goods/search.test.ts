import { SOME_DAY } from "./fixtures/day";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carrySearch, makeCollection, makeProduct, meantQuery, searchGoods, type Goods, type Product } from ".";

const product = (id: string, title: string, more: Partial<Product> = {}): Product =>
  makeProduct({ id, title, price: 100, ...more });
const goods: Goods = {
  asOf: SOME_DAY,
  collections: [makeCollection({ id: "c", title: "For gardens" })],
  synonyms: [
    ["windsock", "wind sleeve", "sock"],
    ["string", "line"],
  ],
  products: [
    product("LK-1", "Delta 190, Dawn", { attributes: { Wind: "2–5 Beaufort" } }),
    product("LK-2", "Delta 320", { tags: ["long"], description: "Flies in a light breeze." }),
    product("LK-3", "Windsock Pøllack", { description: "Not a delta.", collections: ["c"] }),
    product("LK-4", "Crème brûlée sail", { barcode: "4006381333931" }),
    product("LK-5", "Braided line 50 m", { description: "Flexible" }),
  ],
};
const found = (query: string) => {
  const { products, fit } = searchGoods(goods, query);
  return [fit, ...products.map((p) => p.id).toSorted()];
};

describe("searching", () => {
  it.each([
    ["delta", ["all", "LK-1", "LK-2", "LK-3"]],
    ["DELTA dawn", ["all", "LK-1"]],
    ["del 32", ["all", "LK-2"]],
    ["creme brulee", ["all", "LK-4"]],
    ["beaufort", ["all", "LK-1"]],
    ["garden", ["all", "LK-3"]],
    ["4006381333931", ["all", "LK-4"]],
    // A letter wrong, left out, or turned round.
    ["windsok", ["all", "LK-3"]],
    ["beufort", ["all", "LK-1"]],
    ["detla", ["all", "LK-1", "LK-2", "LK-3"]],
    ["dawn detla", ["all", "LK-1"]],
    // Of short words no letter may be wrong, or everything would be found.
    ["iln", ["none"]],
    ["braided", ["all", "LK-5"]],
    // What means the same, a phrase among it.
    ["string", ["all", "LK-5"]],
    ["wind sleeve", ["all", "LK-3"]],
    ["braided string", ["all", "LK-5"]],
    // Nothing has both: what has one is shown, and said to be so.
    ["delta sausage", ["some", "LK-1", "LK-2", "LK-3"]],
    ["xylophone", ["none"]],
    // Numbers are meant as they are.
    ["321", ["none"]],
    ["", ["none"]],
    ["  … !? ", ["none"]],
  ])("for “%s” finds %j", (query, ids) => expect(found(query)).toEqual(ids));

  it("puts a word in the title before the same word elsewhere, and what is written so before what is like it", () => {
    const order = (query: string) => searchGoods(goods, query).products.map((p) => p.id);
    expect(order("delta").at(-1)).toBe("LK-3");
    expect(order("line")[0]).toBe("LK-5");
  });

  it("finds every product first by its own title", () => {
    for (const each of goods.products) expect(searchGoods(goods, each.title).products[0]!.id).toBe(each.id);
  });

  it("never finds fewer with more freedom, and never throws", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (query) => {
        const { products, fit } = searchGoods(goods, query);
        expect(fit === "none").toBe(products.length === 0);
        expect(new Set(products).size).toBe(products.length);
      }),
      { numRuns: 200 },
    );
  });

  it("finds what begins with the word that was meant where it was misspelt", () => {
    const kites: Goods = {
      asOf: SOME_DAY,
      collections: [makeCollection({ id: "k", title: "Two-line kites" })],
      products: [
        product("a", "Delta", { collections: ["k"] }),
        product("b", "A kite for children"),
        product("c", "Kitemark label"),
        product("d", "Spool of line"),
      ],
    };
    const ids = (query: string) =>
      searchGoods(kites, query)
        .products.map((p) => p.id)
        .toSorted();
    expect(ids("kyte")).toEqual(ids("kite"));
    expect(ids("kyte")).toEqual(["a", "b", "c"]);
    expect(ids("kyte delta")).toEqual(["a"]);
    // What something begins with is not taken to be misspelt.
    expect(ids("kitema")).toEqual(["c"]);
  });

  it("goes on from where it was when goods change, and finds what it would have found from scratch", () => {
    const words = fc.constantFrom("kite", "line", "delta", "sock", "reel", "wind");
    const one = fc.record({
      id: fc.constantFrom("a", "b", "c", "d", "e"),
      title: fc.array(words, { minLength: 1, maxLength: 3 }),
      stock: fc.nat(3),
    });
    const shop = fc.uniqueArray(one, { selector: (p) => p.id, maxLength: 5 });
    const made = (raw: readonly { id: string; title: readonly string[]; stock: number }[], title: string): Goods => ({
      products: raw.map((p) => product(p.id, p.title.join(" "), { stock: p.stock, collections: ["k"] })),
      collections: [makeCollection({ id: "k", title })],
      asOf: SOME_DAY,
    });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(shop, fc.constantFrom("Kites", "Lines")), { minLength: 2, maxLength: 6 }),
        words,
        (steps, query) => {
          let before: Goods | undefined;
          for (const [raw, title] of steps) {
            const now = made(raw, title);
            if (before) {
              searchGoods(before, query);
              carrySearch(before, now);
            }
            const ids = (of: Goods) =>
              searchGoods(of, query)
                .products.map((p) => p.id)
                .toSorted();
            expect(ids(now)).toEqual(ids({ ...now, products: [...now.products] }));
            before = now;
          }
        },
      ),
      { seed: 9, numRuns: 120 },
    );
  });

  it("says what may have been meant", () => {
    expect(meantQuery(goods, "bruided")).toBe("braided");
    expect(meantQuery(goods, "delta")).toBeUndefined();
    expect(meantQuery(goods, "qqqqqqq")).toBeUndefined();
  });
});
