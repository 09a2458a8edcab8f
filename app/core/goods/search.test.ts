import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Goods, Product } from ".";
import { searchProducts } from ".";

const product = (id: string, title: string, more: Partial<Product> = {}): Product => ({
  id,
  slug: id,
  title,
  description: "",
  price: 100,
  compareAt: null,
  availability: "in-stock",
  availableFrom: null,
  stock: 1,
  sku: id,
  tags: [],
  attributes: {},
  pictures: [],
  collections: [],
  ...more,
});
const goods: Goods = {
  collections: [],
  products: [
    product("LK-1", "Delta 190, Dawn", { attributes: { Wind: "2–5 Beaufort" } }),
    product("LK-2", "Delta 320", { tags: ["long"], description: "Flies in a light breeze." }),
    product("LK-3", "Windsock Pøllack", { description: "A sock, not a delta." }),
    product("LK-4", "Crème brûlée sail"),
  ],
};
const found = (query: string) => searchProducts(goods, query).map((p) => p.id);

describe("searching", () => {
  it.each([
    ["delta", ["LK-1", "LK-2", "LK-3"]],
    ["DELTA dawn", ["LK-1"]],
    ["del 32", ["LK-2"]],
    ["creme brulee", ["LK-4"]],
    ["beaufort", ["LK-1"]],
    ["long", ["LK-2"]],
    ["lk", ["LK-1", "LK-2", "LK-3", "LK-4"]],
    ["elta", []],
    ["delta nothing", []],
    ["", []],
    ["  … !? ", []],
  ])("for “%s” finds what every word fits, best first", (query, ids) => expect(found(query)).toEqual(ids));

  it("finds every product by its own title, first or as good as first", () => {
    for (const { id, title } of goods.products) expect(found(title)[0]).toBe(id);
  });

  it("never finds more with a word more, and never throws", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), fc.string({ maxLength: 20 }), (a, b) => {
        const less = new Set(found(`${a} ${b}`));
        if (/[\p{L}\p{N}]/u.test(a.normalize("NFKD")) && less.size)
          for (const id of less) expect(found(a)).toContain(id);
      }),
      { seed: 4, numRuns: 300 },
    );
  });
});
