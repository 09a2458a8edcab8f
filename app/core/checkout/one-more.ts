import {
  firstVariant,
  goesWithAll,
  productWith,
  stateOf,
  type Availability,
  type Goods,
  type Product,
  type Variant,
} from "../goods";
import type { Line } from "../offers";

const AT_ONCE: ReadonlySet<Availability> = new Set(["in-stock", "low"]);

/** So many more are asked for than are shown, as some of them may not fit. */
const SPARE = 8;

export type OneMore = { readonly product: Product; readonly variant: Variant | undefined };

/**
 * What is offered besides before an order is paid: what was chosen for it, or else what goes with its goods. Only what comes at once and can
 * be sent with them: a press must not turn an order into one that is collected, or comes later. Of variants, the first that can be had.
 * @param chosen ids of products
 */
export function oneMore(
  goods: Goods,
  lines: readonly Pick<Line, "product">[],
  chosen: readonly string[],
  most: number,
): readonly OneMore[] {
  const inOrder = new Set(lines.map(({ product }) => product.id));
  const isFit = (product: Product): boolean => {
    const variant = firstVariant(product);
    return !inOrder.has(product.id) && AT_ONCE.has(stateOf(product, variant));
  };
  const products = chosen.length
    ? chosen.flatMap((id) => productWith(goods, id) ?? [])
    : // What the seller chose for a product comes whether it can be had or not: there are others behind it.
      goesWithAll(goods, [...new Set(lines.map(({ product }) => product))], most + SPARE, isFit).map(
        ({ product }) => product,
      );
  return products
    .filter(isFit)
    .slice(0, most)
    .map((product) => ({ product, variant: firstVariant(product) }));
}
