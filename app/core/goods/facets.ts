import { canBuy } from "./availability";
import { bitsFor, full, put, type Bits } from "./bits";
import { factWords, slugOf, type Collection, type Goods, type Product } from "./types";
import { meetsRules } from "./rules";
import { inSpan, spansOf } from "./spans";
import { byValue, valuesOf } from "./values";
import { priceSpan } from "./variants";

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
  /** What bears each value; values in the order in which a person would put them, many numbers as spans. */
  readonly values: ReadonlyMap<string, Bits>;
  /** What bears a value that an address asks for; undefined where it makes no sense here. */
  readonly find: (value: string) => Bits | undefined;
};

/** What a shop's goods are found by, worked out once for each version of them. */
export type GoodsIndex = {
  readonly products: readonly Product[];
  /** Where a product stands in `products`, by its id. */
  readonly places: ReadonlyMap<string, number>;
  readonly bySlug: ReadonlyMap<string, Product>;
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

const indexes = new WeakMap<Goods, GoodsIndex>();

/** The index of a shop's goods; the same for as long as they are the same object. */
export function indexOf(goods: Goods): GoodsIndex {
  let known = indexes.get(goods);
  if (!known) indexes.set(goods, (known = makeIndex(goods)));
  return known;
}

/** What the index asks of a product. */
type Facts = {
  readonly least: number;
  readonly most: number;
  readonly isOpen: boolean;
  readonly isReduced: boolean;
  /** The names of its options and attributes, each with its values. */
  readonly named: readonly (readonly [name: string, values: readonly string[]])[];
};

const facts = new WeakMap<Product, Facts>();

/** What the index asks of a product, worked out once: of ten thousand, a change leaves all but a few as they are. */
function factsOf(product: Product): Facts {
  const known = facts.get(product);
  if (known) return known;
  const { least, most } = priceSpan(product);
  const names = new Set([...product.options.map((o) => o.name), ...Object.keys(product.attributes)]);
  const made: Facts = {
    least,
    most,
    isOpen: canBuy(product),
    isReduced: product.compareAt !== null && product.compareAt > product.price,
    named: [...names].map((name) => [name, valuesOf(product, name)] as const),
  };
  facts.set(product, made);
  return made;
}

/** A product by its id. */
export function productWith(goods: Goods, id: string): Product | undefined {
  const { places, products } = indexOf(goods);
  return products[places.get(id) ?? -1];
}

function makeIndex(goods: Goods): GoodsIndex {
  const { products } = goods;
  const size = products.length;
  const least = new Float64Array(size);
  const most = new Float64Array(size);
  const [open, reduced] = [bitsFor(size), bitsFor(size)];
  const facets = new Map<
    string,
    { facet: Omit<Facet, "values" | "find">; values: Map<string, Bits>; colours: Map<string, string> }
  >();
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
      facet: { key, name, label, unit: value.slice(1).trim(), colours },
      values,
      colours,
    };
    facets.set(name, made);
    return made;
  };
  products.forEach((product, at) => {
    const own = factsOf(product);
    least[at] = own.least;
    most[at] = own.most;
    if (own.isOpen) put(open, at);
    if (own.isReduced) put(reduced, at);
    for (const [name, its] of own.named) {
      const { values, colours } = facetOf(name);
      for (const value of its) {
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
    if (rules) products.forEach((p, at) => meetsRules(p, rules, digits, goods.asOf) && put(bits, at));
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
    bySlug: new Map(products.map((p) => [p.slug, p])),
    all: full(size),
    facets: new Map(
      [...facets].map(([name, { facet, values }]) => {
        const single = new Map([...values].sort(([a], [b]) => byValue(a, b)));
        const spans = spansOf(single, size);
        const find = (value: string) =>
          spans?.get(value) ?? single.get(value) ?? (spans ? inSpan(single, value, size) : undefined);
        return [name, { ...facet, values: spans ?? single, find }];
      }),
    ),
    least,
    most,
    open,
    reduced,
    members: (collection) => membersOf(collection),
  };
}
