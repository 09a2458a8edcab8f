import type { Line } from "~/core/offers";

/** A line of a cart. `problem`: why it can't be bought as it is, or was changed; undefined where it can. */
export type CartLine = Line & { readonly problem?: string };

/** The page on which a cart is seen. */
export type CartTarget = {
  readonly page: "cart";
  readonly lines: readonly CartLine[];
  /** Those that the shopper gave, as `plainCode` writes them. */
  readonly codes?: readonly string[];
  readonly said?: string;
};
