import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { makeCollection, makeProduct, meantQuery, searchGoods, type Goods, type Product } from ".";

const product = (id: string, title: string, more: Partial<Product> = {}): Product =>
  makeProduct({ id, title, price: 100, ...more });
const goods: Goods = {
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

  it("says what may have been meant", () => {
    expect(meantQuery(goods, "bruided")).toBe("braided");
    expect(meantQuery(goods, "delta")).toBeUndefined();
    expect(meantQuery(goods, "qqqqqqq")).toBeUndefined();
  });
});
