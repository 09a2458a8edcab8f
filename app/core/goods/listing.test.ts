import { SOME_DAY } from "./fixtures/day";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  canBuy,
  indexOf,
  isInCollection,
  list,
  makeCollection,
  makeProduct,
  NO_QUERY,
  partsOf,
  priceSpan,
  readQuery,
  rulesSchema,
  sizeOf,
  SORTS,
  valuesOf,
  writeQuery,
  type Goods,
  type GoodsQuery,
  type Product,
} from ".";
import { bitsFor, countBoth, countOf, full, has, put } from "./bits";

describe("sets of places", () => {
  it("count and hold what was put into them", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.array(fc.nat(199)), fc.array(fc.nat(199)), (size, one, two) => {
        const inside = (places: number[]) => new Set(places.filter((p) => p < size));
        const [a, b] = [inside(one), inside(two)];
        const bits = (set: Set<number>) => {
          const made = bitsFor(size);
          for (const p of set) put(made, p);
          return made;
        };
        expect(countOf(bits(a))).toBe(a.size);
        expect(countOf(full(size))).toBe(size);
        expect(countBoth(bits(a), bits(b))).toBe([...a].filter((p) => b.has(p)).length);
        for (let p = 0; p < size; p++) expect(has(bits(a), p)).toBe(a.has(p));
      }),
    );
  });
});

describe("values of an attribute", () => {
  it.each([
    ["Ripstop polyester, glass fibre", ["Ripstop polyester", "glass fibre"]],
    ["2–5", ["2", "3", "4", "5"]],
    ["3-4|7", ["3", "4", "7"]],
    ["1,5", ["1,5"]],
    ["1900–2000", ["1900–2000"]],
    ["5–2", ["5–2"]],
    [" ; ", []],
  ])("%s", (written, values) => expect(partsOf(written)).toEqual(values));
});

// --- counts and filters against brute force ---

const LEVELS = ["Anyone", "Some practice", "Expert"];
const arbitraryProduct = fc.record({
  price: fc.integer({ min: 100, max: 9900 }),
  level: fc.option(fc.constantFrom(...LEVELS), { nil: undefined }),
  wind: fc.option(
    fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 3 })).map(([a, b]) => `${a}–${a + b}`),
    { nil: undefined },
  ),
  colours: fc.uniqueArray(fc.constantFrom("Dawn", "Kelp", "Squall"), { maxLength: 3 }),
  stock: fc.constantFrom(0, 2, 20, null),
  reduced: fc.boolean(),
  inside: fc.uniqueArray(fc.constantFrom("one", "two"), { maxLength: 2 }),
  sold: fc.nat(9),
  length: fc.option(fc.integer({ min: 40, max: 400 }), { nil: undefined }),
});
type Raw = typeof arbitraryProduct extends fc.Arbitrary<infer T> ? T : never;

const build = (raw: readonly Raw[]): Goods => ({
  asOf: SOME_DAY,
  products: raw.map((r, i) =>
    makeProduct({
      id: `p${i}`,
      title: `P ${i % 7}`,
      price: r.price,
      compareAt: r.reduced ? r.price * 2 : null,
      stock: r.stock,
      sold: r.sold,
      collections: r.inside,
      createdAt: `2026-0${(i % 9) + 1}-01T00:00:00.000Z`,
      attributes: {
        ...(r.level ? { Level: r.level } : {}),
        ...(r.wind ? { "Wind (Beaufort)": r.wind } : {}),
        ...(r.length ? { "Length (cm)": String(r.length) } : {}),
      },
      options: r.colours.length
        ? [{ name: "Colour", picker: "buttons", values: r.colours.map((name) => ({ name, colour: null })) }]
        : [],
      variants: r.colours.map((c, k) => ({
        id: `v${i}${k}`,
        values: [c],
        sku: "",
        price: r.price + k * 500,
        compareAt: null,
        stock: r.stock === null ? null : Math.max(0, r.stock - k * 2),
        barcode: "",
        weight: null,
        picture: null,
        availability: null,
      })),
    }),
  ),
  collections: [
    makeCollection({ id: "one", title: "One" }),
    makeCollection({ id: "two", title: "Two", parent: "one" }),
    makeCollection({
      id: "cheap",
      title: "Cheap",
      rules: { all: true, rules: [{ field: "price", op: "under", value: "50" }] },
    }),
  ],
});

const arbitraryQuery: fc.Arbitrary<GoodsQuery> = fc.record({
  wanted: fc.record(
    {
      level: fc.uniqueArray(fc.constantFrom(...LEVELS), { minLength: 1, maxLength: 2 }),
      wind: fc.uniqueArray(fc.constantFrom("2", "4", "6"), { minLength: 1, maxLength: 2 }),
      colour: fc.uniqueArray(fc.constantFrom("Dawn", "Kelp"), { minLength: 1, maxLength: 2 }),
      // Which of the values, or spans of them, that the shop has.
      length: fc.uniqueArray(fc.nat(6).map(String), { minLength: 1, maxLength: 2 }),
    },
    { requiredKeys: [] },
  ),
  from: fc.option(fc.integer({ min: 0, max: 5000 })),
  to: fc.option(fc.integer({ min: 5000, max: 12000 })),
  now: fc.boolean(),
  reduced: fc.boolean(),
  sort: fc.option(fc.constantFrom(...SORTS)),
  page: fc.constantFrom(1, 2, 3),
});

const NAMES: Readonly<Record<string, string>> = {
  level: "Level",
  wind: "Wind (Beaufort)",
  colour: "Colour",
  length: "Length (cm)",
};
/** Whether a product has a value of an attribute, or a number in a span of them: its upper end belongs to the next, if there is one. */
function bears(goods: Goods, p: Product, name: string, value: string): boolean {
  const own = valuesOf(p, name);
  if (name !== NAMES.length || !value.includes("–")) return own.includes(value);
  const [from, to] = value.split("–").map(Number) as [number, number];
  const most = Math.max(...goods.products.flatMap((each) => valuesOf(each, name).map(Number)));
  return own.some((v) => Number(v) >= from && (Number(v) < to || (to === most && Number(v) === to)));
}
/** What the words of the issue say, done one product at a time. */
function fits(goods: Goods, p: Product, q: GoodsQuery, without?: string): boolean {
  const span = priceSpan(p);
  return (
    Object.entries(q.wanted).every(
      ([key, wanted]) => key === without || wanted.some((w) => bears(goods, p, NAMES[key]!, w)),
    ) &&
    span.most >= (q.from ?? 0) &&
    span.least <= (q.to ?? Infinity) &&
    (!q.now || canBuy(p)) &&
    (!q.reduced || (p.compareAt ?? 0) > p.price)
  );
}

describe("a list of goods", () => {
  it("holds exactly what fits, and its counts are true, as brute force says", () => {
    fc.assert(
      fc.property(
        fc.array(arbitraryProduct, { minLength: 1, maxLength: 70 }),
        arbitraryQuery,
        fc.constantFrom("", "one", "two", "cheap"),
        (raw, asked, where) => {
          const goods = build(raw);
          const collection = goods.collections.find((c) => c.id === where);
          const base = goods.products.filter((p) =>
            where === "cheap"
              ? priceSpan(p).least < 5000
              : where === "one"
                ? p.collections.length > 0
                : where === "two"
                  ? p.collections.includes("two")
                  : true,
          );
          // A wish for a value that no product has is not one that can be met or not.
          const known = (key: string, value: string) => goods.products.some((p) => bears(goods, p, NAMES[key]!, value));
          const lengths = [...(indexOf(goods).facets.get(NAMES.length!)?.values.keys() ?? [])];
          const query = {
            ...asked,
            wanted: Object.fromEntries(
              Object.entries(asked.wanted)
                .map(([k, vs]) => [k, k === "length" ? vs.flatMap((v) => lengths[Number(v)] ?? []) : vs] as const)
                .map(([k, vs]) => [k, vs.filter((v) => known(k, v))] as const)
                .filter(([, vs]) => vs.length),
            ),
          };
          const expected = base.filter((p) => fits(goods, p, query));
          const listing = list(goods, { collection }, query, { perPage: 1000 });
          expect(listing.products.map((p) => p.id).toSorted()).toEqual(expected.map((p) => p.id).toSorted());
          expect(listing.total).toBe(expected.length);
          expect(listing.whole).toBe(base.length);
          for (const facet of listing.facets) {
            for (const { value, count } of facet.values) {
              const others = base.filter((p) => fits(goods, p, query, facet.key));
              expect(count, `${facet.name} ${value}`).toBe(
                others.filter((p) => bears(goods, p, facet.name, value)).length,
              );
            }
          }
          if (collection) {
            expect(sizeOf(goods, collection)).toBe(base.length);
            for (const p of goods.products) expect(isInCollection(goods, p, collection)).toBe(base.includes(p));
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it("comes in pages that together are the whole, in one order", () => {
    fc.assert(
      fc.property(
        fc.array(arbitraryProduct, { minLength: 1, maxLength: 40 }),
        fc.constantFrom(...SORTS),
        fc.integer({ min: 1, max: 7 }),
        (raw, sort, perPage) => {
          const goods = build(raw);
          const at = (page: number) => list(goods, { collection: undefined }, { ...NO_QUERY, sort, page }, { perPage });
          const { pages } = at(1);
          const paged = Array.from({ length: pages }, (_, i) => at(i + 1).products).flat();
          const whole = list(goods, { collection: undefined }, { ...NO_QUERY, sort }, { perPage: 1000 }).products;
          expect(paged.map((p) => p.id)).toEqual(whole.map((p) => p.id));
          const ordered = (key: (p: Product) => number) =>
            whole.every((p, i) => i === 0 || key(whole[i - 1]!) <= key(p));
          if (sort === "price-up") expect(ordered((p) => priceSpan(p).least)).toBe(true);
          if (sort === "price-down") expect(ordered((p) => -priceSpan(p).most)).toBe(true);
          if (sort === "bestselling") expect(ordered((p) => -p.sold)).toBe(true);
          if (sort === "newest") expect(ordered((p) => -Date.parse(p.createdAt))).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("keeps the order that was given by hand", () => {
    const goods = build(
      [1, 2, 3, 4].map(() => ({
        price: 500,
        level: undefined,
        wind: undefined,
        colours: [],
        stock: 0,
        reduced: false,
        inside: ["one"],
        sold: 0,
        length: undefined,
      })),
    );
    const collection = { ...goods.collections[0]!, order: ["p2", "p0"] };
    const ids = list({ ...goods, collections: [collection] }, { collection }, NO_QUERY, { perPage: 9 }).products.map(
      (p) => p.id,
    );
    expect(ids).toEqual(["p2", "p0", "p1", "p3"]);
  });
});

describe("what is asked for", () => {
  it("stands in the address and is read from it again", () => {
    fc.assert(
      fc.property(arbitraryQuery, fc.constantFrom(0, 2, 3), (query, digits) => {
        const sorted = {
          ...query,
          wanted: Object.fromEntries(Object.entries(query.wanted).map(([k, v]) => [k, v.toSorted()])),
        };
        expect(readQuery(new URLSearchParams(writeQuery(query, digits)), digits)).toEqual(sorted);
      }),
    );
  });

  it("is never a reason to fail, whatever the address says", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.string(), fc.string())), (pairs) => {
        const query = readQuery(new URLSearchParams(pairs), 2);
        expect(list(build([]), { collection: undefined }, query, { perPage: 12 }).total).toBe(0);
      }),
    );
    expect(readQuery(new URLSearchParams("from=90&to=20&page=-3&sort=magic&now=2"), 2)).toEqual({
      ...NO_QUERY,
      from: 2000,
      to: 9000,
    });
  });
});

describe("rules of a collection", () => {
  it("are refused with a sentence where they make no sense", () => {
    const why = (rule: object) => rulesSchema.safeParse({ all: true, rules: [rule] }).error?.issues[0]?.message;
    expect(why({ field: "price", op: "under", value: "cheap" })).toBe("“cheap” is not a number.");
    expect(why({ field: "attribute", op: "is", value: "x" })).toBe("Choose an attribute.");
    expect(why({ field: "title", op: "under", value: "x" })).toBe("This can’t be asked here.");
    expect(why({ field: "tag", op: "is", value: "" })).toBe("Say what it is compared with.");
    expect(why({ field: "featured", op: "yes", value: "" })).toBeUndefined();
    expect(rulesSchema.safeParse({ all: true, rules: [] }).success).toBe(false);
  });
});
