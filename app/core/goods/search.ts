import MiniSearch from "minisearch";
import { descriptionOf, type Goods, type Product } from "./types";

/** Text as it is compared: lower case, without accents. */
const plain = (text: string) =>
  text
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .toLowerCase();

const wordsIn = (text: string): string[] => plain(text).match(/[\p{L}\p{N}]+/gu) ?? [];

type Indexed = { readonly id: number };
type SearchIndex = { readonly mini: MiniSearch<Indexed>; readonly synonyms: ReadonlyMap<string, readonly string[]> };

const indexes = new WeakMap<Goods, SearchIndex>();

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

function indexFor(goods: Goods): SearchIndex {
  const known = indexes.get(goods);
  if (known) return known;
  const titles = new Map(goods.collections.map((c) => [c.id, c.title]));
  const text = (product: Product, field: string): string => {
    switch (field) {
      case "title":
        return product.title;
      case "sku":
        return [product.sku, product.barcode, ...product.variants.flatMap((v) => [v.sku, v.barcode])].join(" ");
      case "tags":
        return product.tags.join(" ");
      case "collections":
        return product.collections.map((id) => titles.get(id) ?? "").join(" ");
      case "facts":
        return [
          ...Object.values(product.attributes),
          ...product.options.flatMap((o) => o.values.map((v) => v.name)),
        ].join(" ");
      default:
        return descriptionOf(product);
    }
  };
  const mini = new MiniSearch<Indexed>({
    fields: [...FIELDS],
    tokenize: wordsIn,
    processTerm: (term) => term,
    extractField: (document, field) =>
      field === "id" ? (document.id as unknown as string) : text(goods.products[document.id]!, field),
  });
  mini.addAll(goods.products.map((_, id) => ({ id })));
  const made = { mini, synonyms: synonymsOf(goods.synonyms ?? []) };
  indexes.set(goods, made);
  return made;
}

/** Letters that may be wrong in a word: none up to 3, one up to 7, two beyond. */
const slack = (term: string): number => (/\d/.test(term) || term.length < 4 ? 0 : term.length < 8 ? 1 : 2);

const options = (goods: Goods, combineWith: "AND" | "OR") => ({
  prefix: (term: string) => term.length > 1,
  fuzzy: slack,
  boost: BOOST,
  weights: { fuzzy: 0.3, prefix: 0.6 },
  combineWith,
  boostDocument: (id: number) => 1 + Math.log1p(goods.products[id]?.sold ?? 0) / 12,
});

export type Found = {
  readonly products: readonly Product[];
  /** `all`: every word occurs. `some`: nothing has all of them, these have some. */
  readonly fit: "all" | "some" | "none";
};

const MOST_WORDS = 8;

/**
 * Products that fit a query, best first: every word has to occur, as a whole, as a beginning, with a letter wrong, or as
 * a synonym. Where nothing has all of them, what has some is found and said to be so.
 */
export function searchGoods(goods: Goods, query: string, most = 500): Found {
  const { mini, synonyms } = indexFor(goods);
  const terms = wordsIn(query).slice(0, MOST_WORDS);
  if (terms.length === 0) return { products: [], fit: "none" };
  const phrase = terms.join(" ");
  // Each place of a word, or of a phrase of two, may be taken by what means the same.
  const ways = new Set([phrase]);
  for (let length = Math.min(3, terms.length); length >= 1; length--) {
    for (let at = 0; at + length <= terms.length; at++) {
      for (const other of synonyms.get(terms.slice(at, at + length).join(" ")) ?? [])
        ways.add([...terms.slice(0, at), other, ...terms.slice(at + length)].join(" "));
    }
  }
  const run = (combineWith: "AND" | "OR") =>
    mini.search(
      {
        combineWith: "OR",
        queries: [...ways].slice(0, 12).map((way) => ({ ...options(goods, combineWith), queries: [way], combineWith })),
      },
      { ...options(goods, combineWith), combineWith: "OR" },
    );
  const all = run("AND");
  const results = all.length ? all : terms.length > 1 ? run("OR") : [];
  const products = results.slice(0, most).map(({ id }) => goods.products[id as number]!);
  return { products, fit: all.length ? "all" : products.length ? "some" : "none" };
}

/** A query that finds something where this one finds nothing: its words put right; undefined where there is none. */
export function meantQuery(goods: Goods, query: string): string | undefined {
  const { mini } = indexFor(goods);
  const [best] = mini.autoSuggest(query, { ...options(goods, "OR"), fuzzy: 0.34, prefix: true });
  return best && plain(best.suggestion) !== wordsIn(query).join(" ") ? best.suggestion : undefined;
}
