import { indexOf } from "./facets";
import { descriptionOf, type Goods, type Product } from "./types";
import {
  addDocument,
  beginningWith,
  createWordIndex,
  nearTo,
  rarity,
  removeDocument,
  type Entry,
  type WordIndex,
} from "./word-index";

/** Text as it is compared: lower case, without accents. */
const plain = (text: string) =>
  text
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .toLowerCase();

const wordsIn = (text: string): string[] => plain(text).match(/[\p{L}\p{N}]+/gu) ?? [];

/** What of a product is searched, and how much each of it counts: title, numbers, tags, collections, facts, description. */
const BOOSTS = [6, 6, 3, 3, 2, 1] as const;

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

type SearchIndex = { readonly words: WordIndex; readonly titles: ReadonlyMap<string, string> };

const indexes = new WeakMap<readonly Product[], SearchIndex>();
const synonyms = new WeakMap<object, ReadonlyMap<string, readonly string[]>>();
const NO_GROUPS: readonly (readonly string[])[] = [];

/** What of a product is searched, field by field. */
const textOf = (product: Product, titles: SearchIndex["titles"]): readonly string[] => [
  product.title,
  [product.sku, product.barcode, ...product.variants.flatMap((v) => [v.sku, v.barcode])].join(" "),
  product.tags.join(" "),
  product.collections.map((id) => titles.get(id) ?? "").join(" "),
  [...Object.values(product.attributes), ...product.options.flatMap((o) => o.values.map((v) => v.name))].join(" "),
  descriptionOf(product),
];

const titlesOf = (goods: Goods) => new Map(goods.collections.map((c) => [c.id, c.title]));
const isSameTitles = (a: SearchIndex["titles"], b: SearchIndex["titles"]) =>
  a.size === b.size && [...a].every(([id, title]) => b.get(id) === title);

const addProduct = (words: WordIndex, id: string, text: readonly string[]): void =>
  addDocument(words, id, text.map(wordsIn), BOOSTS);

function indexFor(goods: Goods): WordIndex {
  const known = indexes.get(goods.products);
  const titles = titlesOf(goods);
  if (known && isSameTitles(known.titles, titles)) return known.words;
  const words = createWordIndex(BOOSTS.length);
  for (const product of goods.products) addProduct(words, product.id, textOf(product, titles));
  indexes.set(goods.products, { words, titles });
  return words;
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
  const { words } = known;
  const before = new Map(from.products.map((p) => [p.id, p]));
  for (const product of to.products) {
    const old = before.get(product.id);
    before.delete(product.id);
    if (old === product) continue;
    const text = textOf(product, titles);
    if (old) {
      const had = textOf(old, titles);
      if (had.every((field, i) => field === text[i])) continue;
      removeDocument(words, product.id);
    }
    addProduct(words, product.id, text);
  }
  for (const id of before.keys()) removeDocument(words, id);
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

/** How much a word counts that only begins with what was asked for, and one that is spelt otherwise. */
const BEGINS = 0.6;
const SPELT_OTHERWISE = 0.3;

/** Adds to each document what a word that was asked for brings it: the word itself, what begins with it, what is spelt almost like it. */
function score(index: WordIndex, term: string, into: Float64Array): void {
  const take = (entry: Entry, share: number) => {
    const each = share * rarity(index, entry);
    const { documents, weights } = entry;
    for (let i = 0; i < documents.length; i++) into[documents[i]!]! += each * weights[i]!;
  };
  const exact = index.entries.get(term);
  if (exact && exact.count > 0) take(exact, 1);
  if (term.length > 1)
    for (const entry of beginningWith(index, term))
      if (entry !== exact)
        take(entry, (BEGINS * term.length) / (term.length + 0.3 * (entry.word.length - term.length)));
  const most = slack(term);
  if (most > 0)
    for (const { entry, distance } of nearTo(index, term, most))
      if (!entry.word.startsWith(term)) take(entry, (SPELT_OTHERWISE * term.length) / (term.length + distance));
}

/** What each document brings for these words. `all`: one that lacks a word brings nothing. */
function scoresOf(index: WordIndex, terms: readonly string[], all: boolean): Float64Array {
  const total = new Float64Array(index.ids.length);
  const own = new Float64Array(index.ids.length);
  terms.forEach((term, t) => {
    own.fill(0);
    score(index, term, own);
    for (let i = 0; i < own.length; i++)
      total[i] = all && t > 0 && (total[i] === 0 || own[i] === 0) ? 0 : total[i]! + own[i]!;
  });
  return total;
}

const places = new WeakMap<readonly Product[], { readonly of: WordIndex; readonly at: Int32Array }>();

/** Where in the list of goods each document of the index stands; -1 for those that are gone. */
function placesIn(goods: Goods, index: WordIndex): Int32Array {
  const known = places.get(goods.products);
  if (known?.of === index && known.at.length === index.ids.length) return known.at;
  const { places: byId } = indexOf(goods);
  const at = Int32Array.from(index.ids, (id) => (id === undefined ? -1 : (byId.get(id) ?? -1)));
  places.set(goods.products, { of: index, at });
  return at;
}

/** The goods with the highest scores, best first. What sold well stands a little further up. */
function best(goods: Goods, index: WordIndex, scores: Float64Array, most: number): readonly Product[] {
  const at = placesIn(goods, index);
  const found: number[] = [];
  for (let i = 0; i < scores.length; i++) {
    if (scores[i] === 0) continue;
    if (at[i]! < 0) {
      scores[i] = 0;
      continue;
    }
    scores[i]! *= 1 + Math.log1p(goods.products[at[i]!]!.sold) / 12;
    found.push(i);
  }
  // Only what is shown has to be in order.
  let least = 0;
  if (found.length > most) least = Float64Array.from(found, (i) => scores[i]!).sort()[found.length - most]!;
  return found
    .filter((i) => scores[i]! >= least)
    .sort((a, b) => scores[b]! - scores[a]! || at[a]! - at[b]!)
    .slice(0, most)
    .map((i) => goods.products[at[i]!]!);
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
  const index = indexFor(goods);
  const synonyms = waysFor(goods);
  const terms = wordsIn(query).slice(0, MOST_WORDS);
  if (terms.length === 0) return { products: [], fit: "none" };
  // Each place of a word, or of a phrase of two, may be taken by what means the same.
  const waysOf = (words: readonly string[]): readonly (readonly string[])[] => {
    const ways = new Set([words.join(" ")]);
    for (let length = Math.min(3, words.length); length >= 1; length--) {
      for (let at = 0; at + length <= words.length; at++) {
        for (const other of synonyms.get(words.slice(at, at + length).join(" ")) ?? [])
          ways.add([...words.slice(0, at), other, ...words.slice(at + length)].join(" "));
      }
    }
    return [...ways].slice(0, MOST_WAYS).map((way) => way.split(" "));
  };
  /** The best that any of the ways brings. */
  const run = (words: readonly string[], all: boolean): Float64Array => {
    const [first, ...others] = waysOf(words).map((way) => scoresOf(index, way, all));
    for (const other of others)
      for (let i = 0; i < other.length; i++) if (other[i]! > first![i]!) first![i] = other[i]!;
    return first!;
  };
  const asked = best(goods, index, run(terms, true), most);
  // What nothing in the shop begins with was misspelt: then what begins with the word that was meant is found as well, and first.
  const meant = terms.map((term) => (beginningWith(index, term).length ? term : nearest(index, term)));
  let all = asked;
  if (meant.some((term, i) => term !== terms[i])) {
    const better = best(goods, index, run(meant, true), most);
    const first = new Set(better);
    all = [...better, ...asked.filter((p) => !first.has(p))].slice(0, most);
  }
  if (all.length) return { products: all, fit: "all" };
  const some = terms.length > 1 ? best(goods, index, run(terms, false), most) : [];
  return { products: some, fit: some.length ? "some" : "none" };
}

/** Two letters that changed places are one slip (Damerau 1964), though they are two by Levenshtein's count. */
const turned = (term: string): readonly string[] =>
  Array.from({ length: term.length - 1 }, (_, i) => `${term.slice(0, i)}${term[i + 1]}${term[i]}${term.slice(i + 2)}`);

/** The word of the shop that most products have among those that are spelt almost like this one; itself where there is none. */
function nearest(index: WordIndex, term: string, letters = slack(term)): string {
  if (letters === 0 || (index.entries.get(term)?.count ?? 0) > 0) return term;
  const near = nearTo(index, term, letters).map(({ entry }) => entry);
  const likely = [...near, ...turned(term).flatMap((other) => index.entries.get(other) ?? [])];
  return likely.reduce<Entry | undefined>((a, b) => (b.count > (a?.count ?? 0) ? b : a), undefined)?.word ?? term;
}

/** So much of a word may be wrong for it to be a guess at another one, and so many letters at most: more take long, and guess anything. */
const GUESS = 0.34;
const MOST_GUESSED = 4;

/** A query that finds something where this one finds nothing: its words put right; undefined where there is none. */
export function meantQuery(goods: Goods, query: string): string | undefined {
  const index = indexFor(goods);
  const terms = wordsIn(query).slice(0, MOST_WORDS);
  const meant = terms.map((term) =>
    beginningWith(index, term).length
      ? term
      : nearest(index, term, Math.min(MOST_GUESSED, Math.round(term.length * GUESS))),
  );
  const isBetter = meant.join(" ") !== terms.join(" ") && searchGoods(goods, meant.join(" "), 1).products.length > 0;
  return isBetter ? meant.join(" ") : undefined;
}
