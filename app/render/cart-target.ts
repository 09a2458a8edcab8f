import { priceOf, type Goods, type Product } from "~/core/goods";
import type { Offer } from "~/core/offers";
import type { InCart } from "~/core/situation";
import { sampleLines, type CartLine, type CartSeen } from "~/kinds/parts";

/** The page on which a cart is seen. */
export type CartTarget = {
  readonly page: "cart";
  /** It stands at the side of another page: by itself, without what is around every page. */
  readonly side?: true;
} & CartSeen;

/** What lies in a cart, as conditions ask about it. */
export const inCartOf = (lines: readonly CartLine[]): InCart => ({
  count: lines.reduce((sum, line) => sum + line.count, 0),
  worth: lines.reduce((sum, { product, variant, count }) => sum + priceOf(product, variant) * count, 0),
  products: lines.map(({ product }) => product.id),
  lines: lines.map(({ product, variant, count }) => ({ product: product.id, variant: variant?.id ?? null, count })),
});

const MANY = 14;
const CASE = "case";

type Case = { readonly name: string; readonly cart: CartSeen };

/** Carts in which the page is likeliest to break, as far as the shop has goods for them, by what an address calls them. */
function cases(goods: Goods, offers: readonly Offer[]): ReadonlyMap<string, Case> {
  const some = sampleLines(goods);
  const [first] = some;
  const found = new Map<string, Case>([["empty", { name: "Nothing in it", cart: { lines: [] } }]]);
  if (!first) return found;
  const add = (id: string, name: string, cart: CartSeen) => found.set(id, { name, cart });
  const many = sampleLines(goods, MANY);
  if (many.length > 3) add("many", `${many.length} lines`, { lines: many });
  const byLength = (a: Product, b: Product) => b.title.length - a.title.length;
  const long = sampleLines({ ...goods, products: goods.products.toSorted(byLength).slice(0, 40) }, 3);
  add("long", "Longest titles", { lines: long });
  const bare = goods.products.find((p) => p.pictures.length === 0);
  if (bare) add("bare", "No picture", { lines: [{ product: bare, variant: undefined, count: 1 }] });
  const coded = offers.find((offer) => offer.code !== "" && !offer.isOff);
  if (coded) add("code", "With a code", { lines: some, codes: [coded.code] });
  add("sold", "Sold out meanwhile", {
    lines: [{ ...first, problem: "This can’t be bought any more. Take it out." }, ...some.slice(1)],
  });
  add("added", "Just put in", { lines: some, said: "It is in your cart." });
  add("gone", "Just taken out", { lines: some.slice(1), gone: first });
  return found;
}

/** The hard cases of a cart, each with the address that it is looked at by. */
export const cartCases = (goods: Goods, offers: readonly Offer[]) =>
  [...cases(goods, offers)].map(([id, { name }]) => ({ name, address: `/cart?${CASE}=${id}` }));

/** A cart to look at its page with: one of the hard cases, by its address, or one with something in it. */
export function cartShown(goods: Goods, offers: readonly Offer[], address: string | null): CartTarget {
  const wished = address === null ? null : new URL(address, "http://shop.example").searchParams.get(CASE);
  return { page: "cart", ...(cases(goods, offers).get(wished ?? "")?.cart ?? { lines: sampleLines(goods) }) };
}
