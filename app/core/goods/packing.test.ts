import { SOME_DAY } from "./fixtures/day";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  AVAILABILITIES,
  makeCollection,
  makeProduct,
  packGoods,
  unpackGoods,
  updateGoods,
  type SellersGoods,
  type StoredProduct,
} from ".";

const text = fc.string({ unit: "grapheme", maxLength: 12 });
const product: fc.Arbitrary<StoredProduct> = fc
  .record({
    id: fc.uuid(),
    title: text,
    slug: text,
    sku: text,
    description: text,
    price: fc.nat(100_000),
    stock: fc.option(fc.nat(50)),
    availability: fc.constantFrom(...AVAILABILITIES),
    tags: fc.array(text, { maxLength: 2 }),
    attributes: fc.dictionary(text, text, { maxKeys: 3, noNullPrototype: true }),
    search: fc.record({ title: text, description: text }),
    video: fc.option(fc.record({ file: text, after: fc.nat(4), alt: text }, { requiredKeys: ["file", "after"] })),
    rating: fc.option(fc.record({ average: fc.integer({ min: 1, max: 5 }), count: fc.nat(9) })),
    archived: fc.boolean(),
    position: fc.nat(99),
    version: fc.nat(99),
  })
  .map(({ position, version, ...said }) => ({ ...makeProduct(said), position, version }));
const seller: fc.Arbitrary<SellersGoods> = fc.record({
  asOf: fc.constant(SOME_DAY),
  products: fc.array(product, { maxLength: 8 }),
  collections: fc.constant([{ ...makeCollection({ id: "c", title: "C" }), position: 0 }]),
  digits: fc.constantFrom(0, 2, 3),
  synonyms: fc.constant([["a", "b"]]),
});

describe("goods as one text", () => {
  it("are what they were, whatever they say", () => {
    fc.assert(
      fc.property(seller, (goods) => {
        const { stored, goods: shown } = unpackGoods(packGoods(goods));
        expect(stored).toEqual(goods);
        expect(shown).toEqual({ ...goods, products: goods.products.filter((p) => !p.archived) });
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it("say nothing of what is as with most", () => {
    const plain = { ...makeProduct({ id: "p", title: "Kite", price: 900 }), position: 3, version: 7 };
    const packed = packGoods({ products: [plain], collections: [], asOf: SOME_DAY });
    expect(JSON.parse(packed)).toEqual({
      products: [{ id: "p", title: "Kite", slug: "p", sku: "p", price: 900, position: 3, version: 7 }],
      collections: [],
      asOf: SOME_DAY,
    });
  });

  it("are brought up to date from what has changed alone, and what has not stays the very object", () => {
    fc.assert(
      fc.property(seller, seller, fc.nat(99), (before, after, version) => {
        // Ids are unlike each other, and what is in both is the same unless its version says otherwise.
        const unlike = (goods: SellersGoods): SellersGoods => ({
          ...goods,
          products: goods.products.map((p, i) => ({ ...p, id: `p${i}`, position: i })),
        });
        const [one, two] = [unlike(before), unlike(after)];
        const was = { ...one, products: one.products.map((p) => ({ ...p, version: Math.min(p.version, version) })) };
        const is = {
          ...two,
          products: two.products.map((p, i) =>
            p.version > version || !was.products[i] ? { ...p, version: 100 } : was.products[i],
          ),
        };
        const gone = was.products.slice(is.products.length).map((p) => p.id);
        const text = packGoods({ ...is, products: is.products.filter((p) => p.version > version) });
        const done = updateGoods(was, { isWhole: false, text, gone });
        expect(done.stored).toEqual(is);
        expect(done.goods.products).toEqual(is.products.filter((p) => !p.archived));
        for (const [i, p] of done.stored.products.entries()) if (p.version <= version) expect(p).toBe(was.products[i]);
        expect(updateGoods(was, { isWhole: true, text: packGoods(is), gone: [] }).stored).toEqual(is);
      }),
      { seed: 12, numRuns: 200 },
    );
  });
});
