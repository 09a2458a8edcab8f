import { entryOf } from "../document";
import { canBuy } from "./availability";
import type { Product } from "./types";

/** The most values that a range like "2–5" stands for; a wider one is a value of its own. */
const WIDEST_RANGE = 24;
const RANGE = /^(\d{1,4})\s*(?:–|-|to)\s*(\d{1,4})$/;

/**
 * What an attribute says of a product, value by value: several stand apart by `|`, `;` or a comma, and a range of whole
 * numbers ("2–5") is each of them, so that whoever looks for 4 finds it.
 */
export function partsOf(value: string): readonly string[] {
  return value
    .split(/[|;]|,\s/)
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
  const written = entryOf(product.attributes, name);
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
