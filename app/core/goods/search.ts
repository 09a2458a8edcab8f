import MiniSearch, { type SearchOptions } from "minisearch";
import { indexOf } from "./facets";
import { descriptionOf, type Goods, type Product } from "./types";

/** Text as it is compared: lower case, without accents. */
const plain = (text: string) =>
  text
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .toLowerCase();

const wordsIn = (text: string): string[] => plain(text).match(/[\p{L}\p{N}]+/gu) ?? [];

const FIELDS = ["title", "sku", "tags", "collections", "facts", "description"] as const;
const BOOST = { title: 6, sku: 6, tags: 3, collections: 3, facts: 2, description: 1 };

/** Words that mean the same, each with the others of its groups. A group may hold phrases; their words count together. */
function synonymsOf(groups: readonly (readonly string[])[]): ReadonlyMap<string, readonly string[]> {
  const map = new Map<string, string[]>();
  for (const group of groups) {
    const phrases = group.map((g) => wordsIn(g).join(" ")).filter(Boolean);
    for (const phrase of phrases)
      map.set(phrase, [...new Set([...(map.get(phrase) ?? []), ...phrases.filter((p) => p !== phrase)])]);
  }
  return map;
}

type Indexed = Readonly<Record<(typeof FIELDS)[number] | "id", string>>;
type SearchIndex = { readonly mini: MiniSearch<Indexed>; readonly titles: ReadonlyMap<string, string> };

const indexes = new WeakMap<readonly Product[], SearchIndex>();
const synonyms = new WeakMap<object, ReadonlyMap<string, readonly string[]>>();
const NO_GROUPS: readonly (readonly string[])[] = [];

/** What of a product is searched. */
const textOf = (product: Product, titles: SearchIndex["titles"]): Indexed => ({
  id: product.id,
  title: product.title,
  sku: [product.sku, product.barcode, ...product.variants.flatMap((v) => [v.sku, v.barcode])].join(" "),
  tags: product.tags.join(" "),
  collections: product.collections.map((id) => titles.get(id) ?? "").join(" "),
  facts: [...Object.values(product.attributes), ...product.options.flatMap((o) => o.values.map((v) => v.name))].join(
    " ",
  ),
  description: descriptionOf(product),
});

const titlesOf = (goods: Goods) => new Map(goods.collections.map((c) => [c.id, c.title]));
const isSameTitles = (a: SearchIndex["titles"], b: SearchIndex["titles"]) =>
  a.size === b.size && [...a].every(([id, title]) => b.get(id) === title);

function indexFor(goods: Goods): SearchIndex["mini"] {
  const known = indexes.get(goods.products);
  const titles = titlesOf(goods);
  if (known && isSameTitles(known.titles, titles)) return known.mini;
  const mini = new MiniSearch<Indexed>({ fields: [...FIELDS], tokenize: wordsIn, processTerm: (term) => term });
  mini.addAll(goods.products.map((p) => textOf(p, titles)));
  indexes.set(goods.products, { mini, titles });
  return mini;
}

/**
 * Lets the search index of goods as they were go over to goods as they are, so that a change of one product reads that one anew
 * and not ten thousand. What was not searched yet has no index to hand on.
 */
export function carrySearch(from: Goods, to: Goods): void {
  const known = indexes.get(from.products);
  const titles = titlesOf(to);
  if (!known || from.products === to.products || !isSameTitles(known.titles, titles)) return;
  indexes.delete(from.products);
  const { mini } = known;
  const before = new Map(from.products.map((p) => [p.id, p]));
  for (const product of to.products) {
    const old = before.get(product.id);
    before.delete(product.id);
    if (old === product) continue;
    const text = textOf(product, titles);
    if (old) {
      const had = textOf(old, titles);
      if (FIELDS.every((field) => had[field] === text[field])) continue;
      mini.discard(product.id);
    }
    mini.add(text);
  }
  for (const id of before.keys()) mini.discard(id);
  indexes.set(to.products, known);
}

function waysFor(goods: Goods): ReadonlyMap<string, readonly string[]> {
  const groups = goods.synonyms ?? NO_GROUPS;
  let known = synonyms.get(groups);
  if (!known) synonyms.set(groups, (known = synonymsOf(groups)));
  return known;
}

/** Letters that may be wrong in a word: none up to 3, one up to 7, two beyond. */
const slack = (term: string): number => (/\d/.test(term) || term.length < 4 ? 0 : term.length < 8 ? 1 : 2);

function optionsFor(goods: Goods): (combineWith: "AND" | "OR") => SearchOptions {
  const { places, products } = indexOf(goods);
  return (combineWith) => ({
    prefix: (term) => term.length > 1,
    fuzzy: slack,
    boost: BOOST,
    weights: { fuzzy: 0.3, prefix: 0.6 },
    combineWith,
    boostDocument: (id: string) => 1 + Math.log1p(products[places.get(id)!]?.sold ?? 0) / 12,
  });
}

export type SearchResult = {
  readonly products: readonly Product[];
  /** `all`: every word occurs. `some`: nothing has all of them, these have some. */
  readonly fit: "all" | "some" | "none";
};

const MOST_WORDS = 8;
const MOST_WAYS = 12;

/**
 * Products that fit a query, best first: every word has to occur, as a whole, as a beginning, with a letter wrong, or as
 * a synonym. Where nothing has all of them, what has some is found and said to be so.
 */
export function searchGoods(goods: Goods, query: string, most = 500): SearchResult {
  const mini = indexFor(goods);
  const options = optionsFor(goods);
  const { places } = indexOf(goods);
  const synonyms = waysFor(goods);
  const terms = wordsIn(query).slice(0, MOST_WORDS);
  if (terms.length === 0) return { products: [], fit: "none" };
  // Each place of a word, or of a phrase of two, may be taken by what means the same.
  const waysOf = (words: readonly string[]): readonly string[] => {
    const ways = new Set([words.join(" ")]);
    for (let length = Math.min(3, words.length); length >= 1; length--) {
      for (let at = 0; at + length <= words.length; at++) {
        for (const other of synonyms.get(words.slice(at, at + length).join(" ")) ?? [])
          ways.add([...words.slice(0, at), other, ...words.slice(at + length)].join(" "));
      }
    }
    return [...ways].slice(0, MOST_WAYS);
  };
  const run = (ways: readonly string[], combineWith: "AND" | "OR") =>
    mini.search(
      { combineWith: "OR", queries: ways.map((way) => ({ ...options(combineWith), queries: [way] })) },
      { ...options(combineWith), combineWith: "OR" },
    );
  let all = run(waysOf(terms), "AND");
  // What nothing in the shop begins with was misspelt: then what begins with the word that was meant is found as well.
  const meant = terms.map((term) =>
    all.some((r) => r.terms.some((t) => t.startsWith(term))) ? term : nearest(mini, term),
  );
  if (meant.some((term, i) => term !== terms[i])) {
    const better = run(waysOf(meant), "AND");
    const first = new Set(better.map((r) => r.id as string));
    all = [...better, ...all.filter((r) => !first.has(r.id as string))];
  }
  const results = all.length ? all : terms.length > 1 ? run(waysOf(terms), "OR") : [];
  const products = results.slice(0, most).map(({ id }) => goods.products[places.get(id as string)!]!);
  return { products, fit: all.length ? "all" : products.length ? "some" : "none" };
}

/** The word of the shop that most products have among those that are spelt almost like this one; itself where there is none. */
function nearest(mini: SearchIndex["mini"], term: string): string {
  const counts = new Map<string, number>();
  // Two letters that changed places are one slip (Damerau 1964), though they are two by Levenshtein's count.
  const turned =
    slack(term) > 0
      ? Array.from(
          { length: term.length - 1 },
          (_, i) => `${term.slice(0, i)}${term[i + 1]}${term[i]}${term.slice(i + 2)}`,
        )
      : [];
  for (const word of [term, ...turned])
    for (const { terms } of mini.search(word, { fuzzy: word === term && slack, prefix: false }))
      for (const each of terms) counts.set(each, (counts.get(each) ?? 0) + 1);
  if (counts.has(term)) return term;
  return [...counts].toSorted(([, a], [, b]) => b - a)[0]?.[0] ?? term;
}

/** A query that finds something where this one finds nothing: its words put right; undefined where there is none. */
export function meantQuery(goods: Goods, query: string): string | undefined {
  const [best] = indexFor(goods).autoSuggest(query, { ...optionsFor(goods)("OR"), fuzzy: 0.34, prefix: true });
  return best && plain(best.suggestion) !== wordsIn(query).join(" ") ? best.suggestion : undefined;
}
