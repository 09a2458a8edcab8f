import { canBuy, firstVariant, type Goods, type Product } from "~/core/goods";
import { useMemo } from "react";
import type { Line, Offer, Priced } from "~/core/offers";
import { useEnv } from "./env";

/** A line of a cart. `problem`: why it can't be bought as it is, or was changed; undefined where it can. */
export type CartLine = Line & { readonly problem?: string };

export const CART_DONE = ["added", "code", "remind"] as const;
export type CartDone = (typeof CART_DONE)[number];

/** A cart as the page shows it. */
export type CartSeen = {
  readonly lines: readonly CartLine[];
  /** Those that the shopper gave, as `plainCode` writes them. */
  readonly codes?: readonly string[];
  /** What was just done: something put in, or a code noted. The head of the cart has the words for it. */
  readonly done?: CartDone;
  /** Where it would go, as far as the shopper has said it. */
  readonly place?: { readonly country: string; readonly postcode: string };
  /** What was just taken out of it. It can be put back as long as it is there. */
  readonly gone?: Line;
};

/** A cart to show what its page is like: some of what can be bought, or else of what there is; two of the first. */
export const sampleLines = ({ products }: Pick<Goods, "products">, most = 2): readonly CartLine[] =>
  (products.some((product) => canBuy(product)) ? products.filter((product) => canBuy(product)) : products)
    .slice(0, most)
    .map((product, i) => ({ product, variant: firstVariant(product), count: i === 0 ? 2 : 1 }));

export type CartShown = CartSeen & {
  readonly priced: Priced;
  readonly codes: readonly string[];
  /** All offers of the shop. */
  readonly offers: readonly Offer[];
};

/** The cart that the page shows, and what it costs. Miniatures of Add stand on no page: they show one with something in it. */
export function useCart(): CartShown {
  const { shown, goods, bill, offers } = useEnv();
  const seen = shown?.page === "cart" ? shown : undefined;
  return useMemo(() => {
    const lines = seen?.lines ?? sampleLines(goods);
    const codes = seen?.codes ?? [];
    return { ...seen, lines, codes, priced: bill(lines, codes), offers: seen?.offers ?? offers() };
  }, [seen, goods, bill, offers]);
}

/** The products in a cart, each once. */
export const productsIn = ({ lines }: CartSeen): readonly Product[] => [
  ...new Set(lines.map(({ product }) => product)),
];
