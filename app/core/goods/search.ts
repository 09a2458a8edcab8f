import type { Goods, Product } from "./types";

/** Text as it is compared: lower case, without accents. */
const plain = (text: string) =>
  text
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .toLowerCase();

const wordsIn = (text: string): readonly string[] => plain(text).match(/[\p{L}\p{N}]+/gu) ?? [];

/** How well one sought word fits: whole words count more than beginnings, titles more than descriptions. 0: not at all. */
function fit(sought: string, product: Product): number {
  const places: readonly (readonly [text: string, weight: number])[] = [
    [product.title, 6],
    [product.sku, 6],
    [product.tags.join(" "), 3],
    [Object.values(product.attributes).join(" "), 2],
    [product.description, 1],
  ];
  let best = 0;
  for (const [text, weight] of places) {
    for (const word of wordsIn(text)) {
      if (word === sought) best = Math.max(best, weight * 2);
      else if (word.startsWith(sought)) best = Math.max(best, weight);
    }
  }
  return best;
}

/** Products in which every sought word, or a word that begins with it, occurs; best fits first, then in the shop's order. */
export function searchProducts(goods: Goods, query: string, most = 60): readonly Product[] {
  const sought = wordsIn(query).slice(0, 8);
  if (sought.length === 0) return [];
  return goods.products
    .map((product) => {
      const fits = sought.map((word) => fit(word, product));
      return { product, score: fits.every(Boolean) ? fits.reduce((a, b) => a + b, 0) : 0 };
    })
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ product }) => product);
}
