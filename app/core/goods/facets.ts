import { canBuy } from "./availability";
import { bitsFor, full, put, type Bits } from "./bits";
import { factWords, slugOf, type Collection, type Goods, type Product } from "./types";
import { meetsRules } from "./rules";
import { priceSpan } from "./variants";

/** The most values that a range like "2–5" stands for; a wider one is a value of its own. */
const WIDEST_RANGE = 24;
const RANGE = /^(\d{1,4})\s*(?:–|-|to)\s*(\d{1,4})$/;

/**
 * What an attribute says of a product, value by value: several stand apart by `|`, `;` or a comma, and a range of whole
 * numbers ("2–5") is each of them, so that whoever looks for 4 finds it.
 */
export function partsOf(value: string): readonly string[] {
  return value
    .split(/\s*(?:[|;]|,\s)\s*/)
    .map((part) => part.trim())
    .filter(Boolean)
    .flatMap((part) => {
      const range = RANGE.exec(part);
      const [from, to] = range ? [Number(range[1]), Number(range[2])] : [1, 0];
      if (to < from || to - from >= WIDEST_RANGE) return [part];
      return Array.from({ length: to - from + 1 }, (_, i) => String(from + i));
    });
}

/** A product's values of an attribute or an option; of options only what can be bought, so that no filter leads astray. */
export function valuesOf(product: Product, name: string): readonly string[] {
  const written = product.attributes[name];
  const said = written === undefined ? [] : partsOf(written);
  const option = product.options.findIndex((o) => o.name === name);
  if (option < 0) return said;
  const open = product.variants.filter((v) => canBuy(product, v));
  // What is sold out altogether can still be looked for by its colours.
  const shown = open.length ? open : product.variants;
  return [...new Set([...said, ...shown.map((v) => v.values[option]!)])];
}

/** Everything that goods can be filtered by, in the order in which it occurs. */
export const attributeNames = (products: readonly Product[]): readonly string[] => [
  ...new Set(products.flatMap((p) => [...p.options.map((o) => o.name), ...Object.keys(p.attributes)])),
];

const numberIn = (value: string) => (/^-?\d+(?:[.,]\d+)?$/.test(value) ? Number(value.replace(",", ".")) : NaN);

/** Sizes of clothes and the like, which no alphabet puts in order. */
const SIZES = ["xxs", "xs", "s", "m", "l", "xl", "xxl", "xxxl"];

/** Values as a person would put them: numbers by size, clothes sizes by size, all else by alphabet. */
export function byValue(a: string, b: string): number {
  const [x, y] = [Number.parseFloat(a.replace(",", ".")), Number.parseFloat(b.replace(",", "."))];
  if (!Number.isNaN(x) && !Number.isNaN(y) && x !== y) return x - y;
  const [s, t] = [SIZES.indexOf(a.toLowerCase()), SIZES.indexOf(b.toLowerCase())];
  if (s >= 0 && t >= 0) return s - t;
  return a.localeCompare(b, "en", { numeric: true });
}

/** One thing that goods can be filtered by. */
export type Facet = {
  /** Its key in addresses. */
  readonly key: string;
  readonly name: string;
  /** As shoppers read it: the unit goes to the values. */
  readonly label: string;
  readonly unit: string;
  /** With swatches where it is an option that has them. */
  readonly colours: ReadonlyMap<string, string>;
  readonly values: ReadonlyMap<string, Bits>;
};

/** What a shop's goods are found by, worked out once for each version of them. */
export type GoodsIndex = {
  readonly products: readonly Product[];
  readonly places: ReadonlyMap<string, number>;
  readonly all: Bits;
  readonly facets: ReadonlyMap<string, Facet>;
  readonly least: Float64Array;
  readonly most: Float64Array;
  readonly open: Bits;
  readonly reduced: Bits;
  /** Goods of a collection and of those inside of it. */
  readonly members: (collection: Collection) => Bits;
};

/** Keys that addresses use for something else. */
export const RESERVED = new Set(["q", "sort", "page", "from", "to", "now", "reduced", "variant", "more"]);

const indexes = new WeakMap<Goods, { readonly day: number; readonly index: GoodsIndex }>();
const DAY = 86_400_000;

/** The index of a shop's goods; the same for as long as they are the same object and the day does not change. */
export function indexOf(goods: Goods, now: number = Date.now()): GoodsIndex {
  const day = Math.floor(now / DAY);
  const known = indexes.get(goods);
  if (known && known.day === day) return known.index;
  const index = makeIndex(goods, now);
  indexes.set(goods, { day, index });
  return index;
}

function makeIndex(goods: Goods, now: number): GoodsIndex {
  const { products } = goods;
  const size = products.length;
  const least = new Float64Array(size);
  const most = new Float64Array(size);
  const [open, reduced] = [bitsFor(size), bitsFor(size)];
  const facets = new Map<string, { facet: Facet; values: Map<string, Bits>; colours: Map<string, string> }>();
  const keys = new Set(RESERVED);
  const facetOf = (name: string) => {
    const known = facets.get(name);
    if (known) return known;
    const { name: label, value } = factWords(name, "\u0000");
    const wish = slugOf(label) || "attribute";
    let key = wish;
    for (let n = 2; keys.has(key); n++) key = `${wish}-${n}`;
    keys.add(key);
    const values = new Map<string, Bits>();
    const colours = new Map<string, string>();
    const made = {
      facet: { key, name, label, unit: value.slice(1).trim(), values, colours },
      values,
      colours,
    };
    facets.set(name, made);
    return made;
  };
  products.forEach((product, at) => {
    const span = priceSpan(product);
    least[at] = span.least;
    most[at] = span.most;
    if (canBuy(product)) put(open, at);
    if (product.compareAt !== null && product.compareAt > product.price) put(reduced, at);
    const names = [...product.options.map((o) => o.name), ...Object.keys(product.attributes)];
    for (const name of new Set(names)) {
      const { values, colours } = facetOf(name);
      for (const value of valuesOf(product, name)) {
        let bits = values.get(value);
        if (!bits) values.set(value, (bits = bitsFor(size)));
        put(bits, at);
      }
      for (const { name: value, colour } of product.options.find((o) => o.name === name)?.values ?? [])
        if (colour) colours.set(value, colour);
    }
  });
  const places = new Map(products.map((p, i) => [p.id, i]));
  const inside = new Map<string | null, Collection[]>();
  for (const c of goods.collections) inside.set(c.parent, [...(inside.get(c.parent) ?? []), c]);
  const members = new Map<string, Bits>();
  const byHand = new Map<string, Bits>();
  products.forEach((product, at) => {
    for (const id of product.collections) {
      let bits = byHand.get(id);
      if (!bits) byHand.set(id, (bits = bitsFor(size)));
      put(bits, at);
    }
  });
  const digits = goods.digits ?? 2;
  const membersOf = (collection: Collection, seen: ReadonlySet<string> = new Set()): Bits => {
    const known = members.get(collection.id);
    if (known) return known;
    const bits = bitsFor(size);
    const { rules } = collection;
    if (rules) products.forEach((p, at) => meetsRules(p, rules, digits, now) && put(bits, at));
    else byHand.get(collection.id)?.forEach((word, i) => (bits[i] = word));
    const path = new Set([...seen, collection.id]);
    for (const child of inside.get(collection.id) ?? []) {
      // A ring of collections, which the server refuses, must not hang a page.
      if (path.has(child.id)) continue;
      membersOf(child, path).forEach((word, i) => (bits[i]! |= word));
    }
    members.set(collection.id, bits);
    return bits;
  };
  return {
    products,
    places,
    all: full(size),
    facets: new Map([...facets].map(([name, { facet }]) => [name, facet])),
    least,
    most,
    open,
    reduced,
    members: (collection) => membersOf(collection),
  };
}

/** The whole numbers, or the names, of a facet in order; `numeric` where all of them are numbers. */
export function orderedValues(facet: Facet): { readonly values: readonly string[]; readonly numeric: boolean } {
  const values = [...facet.values.keys()].toSorted(byValue);
  return { values, numeric: values.every((v) => !Number.isNaN(numberIn(v))) };
}
