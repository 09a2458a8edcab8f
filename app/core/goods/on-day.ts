import type { Axes, OnDay } from "../situation";
import type { Goods, Product } from "./types";

/** The states that end on a product's day: from then on, its stock says whether it can be had. */
const UNTIL_ITS_DAY: ReadonlySet<Product["availability"]> = new Set(["coming-soon", "pre-order"]);

const hasCome = (product: Product, day: string): boolean =>
  product.availableFrom !== null && UNTIL_ITS_DAY.has(product.availability) && product.availableFrom <= day;

/** A product as it is on a day: what was to come by then is there. */
export const productOn = (product: Product, day: string): Product =>
  hasCome(product, day) ? { ...product, availability: "in-stock", availableFrom: null } : product;

const seen = new WeakMap<Goods, Goods>();
const axes = new WeakMap<Goods, Axes>();

/**
 * Goods as they are on a day of the shop's own time zone: what was to come by then is there, and whatever counts days counts
 * up to it. The same object for the same goods and day, so that what is worked out from them is worked out once a day.
 */
export function goodsOn(goods: Goods, { day, timeZone }: OnDay): Goods {
  if (goods.asOf.day === day && goods.asOf.timeZone === timeZone && !goods.products.some((p) => hasCome(p, day)))
    return goods;
  const known = seen.get(goods);
  if (known?.asOf.day === day && known.asOf.timeZone === timeZone) return known;
  const products = goods.products.some((p) => hasCome(p, day))
    ? goods.products.map((p) => productOn(p, day))
    : goods.products;
  const now: Goods = { ...goods, products, asOf: { day, timeZone } };
  seen.set(goods, now);
  return now;
}

/** What of a situation a shop's goods depend on. */
export function axesOf(goods: Goods): Axes {
  let known = axes.get(goods);
  if (!known) {
    const day =
      goods.products.some((p) => p.availableFrom !== null) ||
      goods.collections.some((c) => c.rules?.rules.some((rule) => rule.field === "age"));
    axes.set(goods, (known = { day }));
  }
  return known;
}
