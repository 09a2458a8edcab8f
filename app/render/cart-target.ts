import { cartProblem, makeProduct, priceOf, type Goods, type Product } from "~/core/goods";
import type { Offer } from "~/core/offers";
import type { InCart } from "~/core/situation";
import { sampleLines, type CartLine, type CartSeen } from "~/kinds/parts";

/** The page on which a cart is seen. */
export type CartTarget = {
  readonly page: "cart";
  /** It stands at the side of another page: by itself, without what is around every page. */
  readonly isBeside?: boolean;
} & CartSeen;

export const isBeside = (target: { readonly page: string; readonly isBeside?: boolean }): boolean =>
  target.isBeside === true;

/** What lies in a cart, as conditions ask about it. */
export const inCartOf = (lines: readonly CartLine[]): InCart => ({
  count: lines.reduce((sum, line) => sum + line.count, 0),
  worth: lines.reduce((sum, { product, variant, count }) => sum + priceOf(product, variant) * count, 0),
  products: lines.map(({ product }) => product.id),
  lines: lines.map(({ product, variant, count }) => ({ product: product.id, variant: variant?.id ?? null, count })),
});

/** What stands on the layouts of products and of the cart while the shop sells nothing yet. */
export const NO_PRODUCT = makeProduct({
  id: "none",
  title: "Your first product",
  description: "What it is, what it is made of, and who it is for. It stands here once you bring goods in.",
  price: 2500,
});

const MANY = 14;
const CASE = "case";

/** What is in a cart to look at: goods of the shop, or, while it sells nothing yet, one that stands for them. */
const sampleOf = (goods: Goods) => sampleLines(goods.products.length ? goods : { products: [NO_PRODUCT] });

type Case = { readonly name: string; readonly cart: CartSeen };

/** Carts in which the page is likeliest to break, as far as the shop has goods for them, by what an address calls them. */
function cases(goods: Goods, offers: readonly Offer[]): ReadonlyMap<string, Case> {
  const some = sampleOf(goods);
  const first = some[0]!;
  const found = new Map<string, Case>([["empty", { name: "Nothing in it", cart: { lines: [] } }]]);
  const add = (id: string, name: string, cart: CartSeen) => found.set(id, { name, cart });
  const many = sampleLines(goods, MANY);
  if (many.length > 3) add("many", `${many.length} lines`, { lines: many });
  const byLength = (a: Product, b: Product) => b.title.length - a.title.length;
  const long = sampleLines({ ...goods, products: goods.products.toSorted(byLength).slice(0, 40) }, 3);
  if (long.length) add("long", "Longest titles", { lines: long });
  const bare = goods.products.find((p) => p.pictures.length === 0);
  if (bare) add("bare", "No picture", { lines: [{ product: bare, variant: undefined, count: 1 }] });
  const coded = offers.find((offer) => offer.code !== "" && !offer.isOff);
  if (coded) add("code", "With a code", { lines: some, codes: [coded.code] });
  add("sold", "Sold out meanwhile", {
    lines: [{ ...first, problem: cartProblem(first.count, 0)! }, ...some.slice(1)],
  });
  add("added", "Just put in", { lines: some, done: "added" });
  add("gone", "Just taken out", { lines: some.slice(1), gone: first });
  return found;
}

/** The hard cases of a cart, each with the address that it is looked at by. */
export const cartCases = (goods: Goods, offers: readonly Offer[]) =>
  [...cases(goods, offers)].map(([id, { name }]) => ({ name, address: `/cart?${CASE}=${id}` }));

/** A cart to look at its page with: one of the hard cases, by its address, or one with something in it. */
export function cartShown(goods: Goods, offers: readonly Offer[], address: string | null): CartTarget {
  const wished = address === null ? null : new URL(address, "http://shop.example").searchParams.get(CASE);
  const cart = wished === null ? undefined : cases(goods, offers).get(wished)?.cart;
  return { page: "cart", ...(cart ?? { lines: sampleOf(goods) }) };
}
