import { entryOf } from "../document";
import { productWith } from "./facets";
import { factWords, type Goods, type Product } from "./types";
import { valuesOf } from "./values";

/** What was bought at once: products with how many of each, and when (ms since 1970). */
export type Basket = {
  readonly at: number;
  readonly lines: readonly { readonly product: string; readonly count: number }[];
};

/** After this many days, a sale counts half. */
export const HALF_LIFE_DAYS = 30;
const DAY = 86_400_000;

/**
 * How well each product sells of late: every piece sold counts 1 on its day and half as much each `HALF_LIFE_DAYS` later,
 * n(t) = n0 · 2^(−t/T) (exponential decay). Sales in the future count as of now.
 */
export function bestselling(baskets: readonly Basket[], now: number): ReadonlyMap<string, number> {
  const scores = new Map<string, number>();
  for (const { at, lines } of baskets) {
    const weight = 2 ** (-Math.max(0, now - at) / DAY / HALF_LIFE_DAYS);
    for (const { product, count } of lines) scores.set(product, (scores.get(product) ?? 0) + count * weight);
  }
  return scores;
}

/** How often two things were bought together, seen from one of them (Agrawal, Imieliński, Swami 1993). */
export type Pair = {
  readonly id: string;
  /** Baskets with both. */
  readonly count: number;
  /** Share of all baskets that have both. */
  readonly support: number;
  /** Share of the baskets with the first that have the other as well. */
  readonly confidence: number;
  /** How many times more often that is than by chance: confidence over the other's own share of baskets. */
  readonly lift: number;
};

type Least = { readonly count?: number; readonly lift?: number; readonly most?: number };

/**
 * For each product, what was bought together with it: at least `count` times, and at least `lift` times as often as by
 * chance; strongest first (by lift, damped for what was seen rarely), `most` of each.
 */
export function boughtTogether(
  baskets: readonly Basket[],
  { count: least = 3, lift: leastLift = 1.2, most = 8 }: Least = {},
): ReadonlyMap<string, readonly Pair[]> {
  const alone = new Map<string, number>();
  const pairs = new Map<string, Map<string, number>>();
  const total = baskets.length;
  for (const { lines } of baskets) {
    const ids = [...new Set(lines.map((l) => l.product))].slice(0, 60);
    for (const a of ids) {
      alone.set(a, (alone.get(a) ?? 0) + 1);
      let row = pairs.get(a);
      if (!row) pairs.set(a, (row = new Map<string, number>()));
      for (const b of ids) if (b !== a) row.set(b, (row.get(b) ?? 0) + 1);
    }
  }
  const result = new Map<string, readonly Pair[]>();
  for (const [a, row] of pairs) {
    const found: Pair[] = [];
    for (const [id, count] of row) {
      if (count < least) continue;
      const confidence = count / alone.get(a)!;
      const lift = confidence / (alone.get(id)! / total);
      if (lift >= leastLift) found.push({ id, count, support: count / total, confidence, lift });
    }
    if (found.length === 0) continue;
    const strength = (p: Pair) => p.lift * (p.count / (p.count + least));
    result.set(a, found.toSorted((x, y) => strength(y) - strength(x) || y.count - x.count).slice(0, most));
  }
  return result;
}

/**
 * Goods like this one: shared values of attributes and options, tags and collections, each counting the more the rarer it
 * is (inverse document frequency, Spärck Jones 1972), and a price that is not far off. Without what can't be bought.
 */
export function alike(goods: Goods, product: Product, most: number, open: (p: Product) => boolean): readonly Product[] {
  const all = bearersOf(goods);
  const scores = new Map<Product, number>();
  for (const mark of marksOf(product)) {
    // What is only being written has marks that nothing in the shop bears yet.
    const bearers = all.get(mark) ?? [];
    const weight = Math.log(goods.products.length / bearers.length);
    for (const other of bearers) scores.set(other, (scores.get(other) ?? 0) + weight);
  }
  return [...scores]
    .filter(([other, score]) => other.id !== product.id && score > 0 && open(other))
    .map(([other, score]) => {
      const ratio = Math.abs(Math.log((other.price + 1) / (product.price + 1)));
      return { other, score: score / (1 + 0.35 * ratio) };
    })
    .toSorted((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ other }) => other);
}

type Bearers = ReadonlyMap<string, readonly Product[]>;
const known = new WeakMap<Goods, Bearers>();
/** What is known of a product stays true for as long as it is the same object: a change of one leaves the others' marks. */
const marked = new WeakMap<Product, readonly string[]>();

/** What a product has in common with others, if they have it. */
function marksOf(p: Product): readonly string[] {
  const done = marked.get(p);
  if (done) return done;
  const marks = [
    ...new Set([
      ...[...p.options.map((o) => o.name), ...Object.keys(p.attributes)].flatMap((name) =>
        valuesOf(p, name).map((value) => `${name}\u0000${value}`),
      ),
      ...p.tags.map((t) => `#${t}`),
      ...p.collections.map((c) => `@${c}`),
    ]),
  ];
  marked.set(p, marks);
  return marks;
}

function bearersOf(goods: Goods): Bearers {
  const done = known.get(goods);
  if (done) return done;
  const bearers = new Map<string, Product[]>();
  for (const p of goods.products)
    for (const mark of marksOf(p)) {
      const list = bearers.get(mark);
      if (list) list.push(p);
      else bearers.set(mark, [p]);
    }
  // A mark that half the shop bears tells nothing, and is where the time would go.
  for (const [mark, list] of bearers) if (list.length > Math.max(200, goods.products.length / 2)) bearers.set(mark, []);
  known.set(goods, bearers);
  return bearers;
}

/** What two products share, in words: "Level Anyone, Lines 1". */
export const sharedWords = (a: Product, b: Product): readonly string[] =>
  [...new Set([...Object.keys(a.attributes), ...a.options.map((o) => o.name)])].flatMap((name) => {
    const others = valuesOf(b, name);
    return valuesOf(a, name)
      .filter((v) => others.includes(v))
      .slice(0, 1)
      .map((v) => {
        const fact = factWords(name, v);
        return `${fact.name} ${fact.value}`;
      });
  });

/** Why something is suggested beside a product. */
export type Suggestion = {
  readonly product: Product;
  readonly why: "chosen" | "together" | "alike";
  readonly pair?: Pair;
};

/** What is known to go with a product: what its seller chose, then what is bought together with it. */
function toldOf(goods: Goods, product: Product, open: (p: Product) => boolean): readonly Suggestion[] {
  const result = new Map<string, Suggestion>();
  const add = (id: string, suggestion: Omit<Suggestion, "product">) => {
    const found = productWith(goods, id);
    if (found && id !== product.id && !result.has(id) && (suggestion.why === "chosen" || open(found)))
      result.set(id, { ...suggestion, product: found });
  };
  for (const id of product.related) add(id, { why: "chosen" });
  for (const pair of entryOf(goods.together, product.id) ?? []) add(pair.id, { why: "together", pair });
  return [...result.values()];
}

/** Goods that go with a product: what the seller chose, then what is bought together with it, then what is like it. */
export const goesWith = (
  goods: Goods,
  product: Product,
  most: number,
  open: (p: Product) => boolean,
): readonly Suggestion[] => goesWithAll(goods, [product], most, open);

/**
 * Goods that go with several: what the seller chose for any of them first, then what is bought together with them, then, as far as
 * there is room left, what is like one after the other. None of themselves.
 */
export function goesWithAll(
  goods: Goods,
  products: readonly Product[],
  most: number,
  open: (p: Product) => boolean,
): readonly Suggestion[] {
  const own = new Set(products.map(({ id }) => id));
  const found = new Map<string, Suggestion>();
  const add = (each: Suggestion) => {
    if (!own.has(each.product.id) && !found.has(each.product.id)) found.set(each.product.id, each);
  };
  const told = products.map((product) => toldOf(goods, product, open));
  for (const why of ["chosen", "together"]) for (const list of told) list.filter((s) => s.why === why).forEach(add);
  // What is like each of them takes a while to find among thousands; mostly the first has enough.
  for (const product of products) {
    if (found.size >= most) break;
    for (const other of alike(goods, product, most + own.size, open)) add({ product: other, why: "alike" });
  }
  return [...found.values()].slice(0, most);
}

/** How one product does, for its seller. */
export type Selling = {
  readonly id: string;
  readonly title: string;
  readonly picture: string | null;
  readonly score: number;
  /** Pieces sold and looks in each of the last weeks, oldest first. */
  readonly sold: readonly number[];
  readonly seen: readonly number[];
  readonly together: readonly (Pair & { readonly title: string })[];
};
export type SellsData = { readonly orders: number; readonly products: readonly Selling[] };
