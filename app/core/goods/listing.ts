import { entryOf } from "../document";
import { both, countBoth, countOf, either, has, bitsFor, put, type Bits } from "./bits";
import { indexOf, RESERVED, type Facet, type GoodsIndex } from "./facets";
import { canBuy } from "./availability";
import { SORTS, type Collection, type Goods, type Product, type Sort } from "./types";

/** What a shopper asks of a list of goods; all of it stands in the address. Prices are in minor units. */
export type GoodsQuery = {
  /** Wanted values by facet key: any of them within one facet, all of the facets together. */
  readonly wanted: Readonly<Record<string, readonly string[]>>;
  readonly from: number | null;
  readonly to: number | null;
  /** Only what can be bought now; only what is reduced. */
  readonly now: boolean;
  readonly reduced: boolean;
  readonly sort: Sort | null;
  /** From 1. */
  readonly page: number;
};

export const NO_QUERY: GoodsQuery = {
  wanted: {},
  from: null,
  to: null,
  now: false,
  reduced: false,
  sort: null,
  page: 1,
};

const MOST_WANTED = 40;
const amount = (text: string | null, digits: number): number | null => {
  const plain = text?.trim().replace(",", ".") ?? "";
  return /^\d{1,9}(\.\d{1,3})?$/.test(plain) ? Math.round(Number(plain) * 10 ** digits) : null;
};

/** Reads what is asked for from an address. What makes no sense is left out, so that any address shows something. */
export function readQuery(search: URLSearchParams, digits: number): GoodsQuery {
  const wanted = new Map<string, string[]>();
  for (const [key, value] of search) {
    if (RESERVED.has(key) || !/^[a-z0-9-]{1,80}$/.test(key) || value === "" || value.length > 160) continue;
    const list = wanted.get(key) ?? [];
    wanted.set(key, list);
    if (list.length < MOST_WANTED && !list.includes(value)) list.push(value);
  }
  const [from, to] = [amount(search.get("from"), digits), amount(search.get("to"), digits)];
  const turned = from !== null && to !== null && from > to;
  const sort = search.get("sort");
  const page = Number(search.get("page"));
  return {
    wanted: Object.fromEntries(wanted),
    from: turned ? to : from,
    to: turned ? from : to,
    now: search.get("now") === "1",
    reduced: search.get("reduced") === "1",
    sort: (SORTS as readonly string[]).includes(sort ?? "") ? (sort as Sort) : null,
    page: Number.isInteger(page) && page >= 1 && page <= 10_000 ? page : 1,
  };
}

/** The part of an address after `?` that asks for this; facets and values in a fixed order, so that one list has one address. */
export function writeQuery(query: GoodsQuery, digits: number, more: Readonly<Record<string, string>> = {}): string {
  const search = new URLSearchParams(more);
  for (const key of Object.keys(query.wanted).toSorted())
    for (const value of entryOf(query.wanted, key)!.toSorted()) search.append(key, value);
  const money = (minor: number) => String(minor / 10 ** digits);
  if (query.from !== null) search.set("from", money(query.from));
  if (query.to !== null) search.set("to", money(query.to));
  if (query.now) search.set("now", "1");
  if (query.reduced) search.set("reduced", "1");
  if (query.sort) search.set("sort", query.sort);
  if (query.page > 1) search.set("page", String(query.page));
  return search.toString();
}

/** Whether anything narrows the list. */
export const isNarrowed = (query: GoodsQuery): boolean =>
  query.from !== null || query.to !== null || query.now || query.reduced || Object.keys(query.wanted).length > 0;

export type FacetValue = { readonly value: string; readonly count: number; readonly isWanted: boolean };
export type ListedFacet = Pick<Facet, "key" | "name" | "label" | "unit" | "colours"> & {
  readonly values: readonly FacetValue[];
};

export type Listing = {
  readonly products: readonly Product[];
  /** How many there are in all, on all pages. */
  readonly total: number;
  /** How many there would be if nothing narrowed the list. */
  readonly whole: number;
  readonly page: number;
  readonly pages: number;
  readonly facets: readonly ListedFacet[];
  /** The prices that there are with all else that is asked for. */
  readonly prices: { readonly least: number; readonly most: number } | null;
  /** How many of the list could be bought now, and how many are reduced. */
  readonly now: number;
  readonly reduced: number;
  readonly sort: Sort;
};

export type ListingOptions = {
  /** Attributes that filter, by name, in order; absent: all. */
  readonly facets?: readonly string[] | undefined;
  readonly perPage: number;
  /** What goods cost just now, where that is not what they usually do. The same object for as long as it says the same. */
  readonly costs?: ListedCosts | undefined;
};

/** What goods are put in order and narrowed by, where an offer changes it. */
export type ListedCosts = {
  readonly span: (product: Product) => { readonly least: number; readonly most: number };
  readonly isLess: (product: Product) => boolean;
};

/** What goods of an index cost, by their places, and which of them less than before. */
type Priced = Pick<GoodsIndex, "least" | "most" | "reduced">;

const pricedBy = new WeakMap<ListedCosts, WeakMap<GoodsIndex, Priced>>();

function pricedIn(index: GoodsIndex, costs: ListedCosts | undefined): Priced {
  if (!costs) return index;
  let all = pricedBy.get(costs);
  if (!all) pricedBy.set(costs, (all = new WeakMap<GoodsIndex, Priced>()));
  let priced = all.get(index);
  if (!priced) {
    const size = index.products.length;
    const [least, most, reduced] = [new Float64Array(size), new Float64Array(size), bitsFor(size)];
    index.products.forEach((product, at) => {
      const span = costs.span(product);
      least[at] = span.least;
      most[at] = span.most;
      if (costs.isLess(product)) put(reduced, at);
    });
    all.set(index, (priced = { least, most, reduced }));
  }
  return priced;
}

const ranks = new WeakMap<Priced, Map<string, Int32Array>>();

const byName = (a: Product, b: Product) => a.title.localeCompare(b.title, "en", { numeric: true });

/** Places of goods in the order of a sort; worked out once for each. What can't be bought comes last when arranged by hand. */
function orderOf(index: GoodsIndex, priced: Priced, sort: Sort, collection: Collection | undefined): Int32Array {
  const of = sort === "price-up" || sort === "price-down" ? priced : index;
  let known = ranks.get(of);
  if (!known) ranks.set(of, (known = new Map<string, Int32Array>()));
  const key = sort === "hand" ? `hand ${collection?.id ?? ""}` : sort;
  const done = known.get(key);
  if (done) return done;
  const { products } = index;
  const places = Int32Array.from(products, (_, i) => i);
  const by = (compare: (a: Product, b: Product) => number) =>
    places.sort((i, j) => compare(products[i]!, products[j]!) || i - j);
  const price = (list: Float64Array, turn: 1 | -1) => places.sort((i, j) => turn * (list[i]! - list[j]!) || i - j);
  if (sort === "name") by(byName);
  else if (sort === "price-up") price(priced.least, 1);
  else if (sort === "price-down") price(priced.most, -1);
  else if (sort === "newest") by((a, b) => (a.createdAt < b.createdAt ? 1 : a.createdAt > b.createdAt ? -1 : 0));
  else if (sort === "bestselling") by((a, b) => b.sold - a.sold);
  else {
    const given = new Map(collection?.order.map((id, i) => [id, i]));
    const rank = (p: Product, at: number) =>
      (given.size === 0 && !has(index.open, at) && isOver(p) ? 2e6 : 0) + (given.get(p.id) ?? 1e6);
    places.sort((i, j) => rank(products[i]!, i) - rank(products[j]!, j) || i - j);
  }
  known.set(key, places);
  return places;
}

/** Sold out or no longer made: nothing that a shopper could wait for. */
const isOver = (product: Product) => !canBuy(product) && product.availability !== "coming-soon";

function priceBits({ least, most }: Priced, from: number | null, to: number | null): Bits | undefined {
  if (from === null && to === null) return undefined;
  const bits = bitsFor(least.length);
  for (let i = 0; i < least.length; i++)
    // A product that costs from 20 to 40 is found by whoever looks between 30 and 50.
    if (most[i]! >= (from ?? -1) && least[i]! <= (to ?? Infinity)) put(bits, i);
  return bits;
}

/**
 * A page of goods with counts that stay true: the count beside a value says how many there would be if it were chosen
 * (as well, where its facet has others chosen), with all other facets as they are. `base`: what is listed at all.
 */
export function list(
  goods: Goods,
  base: { readonly collection: Collection | undefined } | { readonly found: readonly Product[] },
  query: GoodsQuery,
  { facets, perPage, costs }: ListingOptions,
): Listing {
  const index = indexOf(goods);
  const priced = pricedIn(index, costs);
  const size = index.products.length;
  let whole: Bits;
  if ("found" in base) {
    whole = bitsFor(size);
    for (const { id } of base.found) {
      const at = index.places.get(id);
      if (at !== undefined) put(whole, at);
    }
  } else whole = base.collection ? index.members(base.collection) : index.all;

  const offered = facets ? facets.flatMap((n) => index.facets.get(n) ?? []) : [...index.facets.values()];
  const chosen = offered.map((facet) => {
    const found = (entryOf(query.wanted, facet.key) ?? []).flatMap((value) => {
      const bits = facet.find(value);
      return bits ? [{ value, bits }] : [];
    });
    const bits = found.length
      ? either(
          size,
          found.map((f) => f.bits),
        )
      : undefined;
    return { facet, found, bits };
  });
  const price = priceBits(priced, query.from, query.to);
  const now = query.now ? index.open : undefined;
  const reduced = query.reduced ? priced.reduced : undefined;
  const result = both(whole, ...chosen.map((c) => c.bits), price, now, reduced);

  const listed = chosen.map(({ facet, found, bits }): ListedFacet => {
    const others = bits
      ? both(whole, ...chosen.filter((c) => c.facet !== facet).map((c) => c.bits), price, now, reduced)
      : result;
    // What is asked for and not offered, as an address may, is listed all the same, so that it can be taken back.
    const values = [...new Map([...facet.values, ...found.map((f) => [f.value, f.bits] as const)])].map(
      ([value, bearers]) => ({
        value,
        count: countBoth(others, bearers),
        isWanted: found.some((f) => f.value === value),
      }),
    );
    const { key, name, label, unit, colours } = facet;
    return { key, name, label, unit, colours, values: values.filter((v) => v.count > 0 || v.isWanted) };
  });

  const withoutPrice = price ? both(whole, ...chosen.map((c) => c.bits), now, reduced) : result;
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < size; i++) {
    if (!has(withoutPrice, i)) continue;
    least = Math.min(least, priced.least[i]!);
    most = Math.max(most, priced.most[i]!);
  }

  const collection = "collection" in base ? base.collection : undefined;
  const total = countOf(result);
  const pages = Math.max(1, Math.ceil(total / perPage));
  const page = Math.min(query.page, pages);
  const skip = (page - 1) * perPage;
  const sort = query.sort ?? collection?.sort ?? "hand";
  const products: Product[] = [];
  if ("found" in base && !query.sort) {
    // What was searched for comes in the order in which it fits.
    for (const product of base.found) {
      const at = index.places.get(product.id);
      if (at !== undefined && has(result, at)) products.push(product);
    }
    products.splice(0, skip);
    products.splice(perPage);
  } else {
    let passed = 0;
    for (const at of orderOf(index, priced, sort, collection)) {
      if (!has(result, at)) continue;
      if (passed++ < skip) continue;
      products.push(index.products[at]!);
      if (products.length === perPage) break;
    }
  }
  return {
    products,
    total,
    whole: countOf(whole),
    page,
    pages,
    facets: listed.filter((f) => f.values.length > 1 || f.values.some((v) => v.isWanted)),
    prices: most >= least ? { least, most } : null,
    now: countBoth(both(whole, ...chosen.map((c) => c.bits), price, reduced), index.open),
    reduced: countBoth(both(whole, ...chosen.map((c) => c.bits), price, now), priced.reduced),
    sort,
  };
}

/** Goods of a collection in its own order, of the whole shop where none is named; `most` at most. */
export function chosenProducts(
  goods: Goods,
  collection: string | null,
  most: number,
  costs?: ListedCosts,
): readonly Product[] {
  const found = collection === null ? undefined : goods.collections.find((c) => c.id === collection);
  if (collection !== null && !found) return [];
  return list(goods, { collection: found }, NO_QUERY, { perPage: most, facets: [], costs }).products;
}
