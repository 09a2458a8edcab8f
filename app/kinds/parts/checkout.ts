import { useMemo } from "react";
import { checkoutOf, NOTHING_GIVEN, type Checkout, type CheckoutStep, type CheckoutValues } from "~/core/checkout";
import type { SavedAddress } from "~/core/account";
import type { PayingCard } from "~/core/gift-cards";
import type { Order, OrderEvent } from "~/core/orders";
import type { Offer } from "~/core/offers";
import { sampleLines, type CartLine } from "./cart";
import { useEnv } from "./env";

/** A checkout as its page shows it. */
export type CheckoutSeen = {
  readonly lines: readonly CartLine[];
  readonly codes?: readonly string[];
  readonly values?: CheckoutValues;
  /** What has to be put right, by the name of its field. */
  readonly problems?: ReadonlyMap<string, string>;
  /** What is said above everything: why the order was not placed. */
  readonly said?: string;
  /** Which part is being filled in, where it is gone through in steps. */
  readonly step?: CheckoutStep;
  /** By which the same press is known when it comes twice. */
  readonly pressed?: string;
  /** Gift cards that were given, with what is left on each. */
  readonly paying?: readonly PayingCard[];
  /** What was just put in by a press, by its name. */
  readonly added?: string;
  /** Whoever is signed in, with the addresses that they keep. */
  readonly account?: { readonly name: string; readonly mail: string; readonly addresses: readonly SavedAddress[] };
};

export type CheckoutShown = CheckoutSeen &
  Checkout & {
    readonly values: CheckoutValues;
    readonly problems: ReadonlyMap<string, string>;
    readonly codes: readonly string[];
    readonly offers: readonly Offer[];
  };

const NO_PROBLEMS: ReadonlyMap<string, string> = new Map();

/** The checkout that the page shows, and what it comes to. Miniatures of Add show one with something in it. */
export function useCheckout(): CheckoutShown {
  const { shown, goods, bill, offers, selling, currency } = useEnv();
  const seen = shown?.page === "checkout" ? shown : undefined;
  return useMemo(() => {
    const lines = seen?.lines ?? sampleLines(goods);
    const codes = seen?.codes ?? [];
    const values = seen?.values ?? NOTHING_GIVEN;
    const checkout = checkoutOf(selling, lines, values, (more) => bill(lines, codes, more), currency, seen?.paying);
    return {
      ...seen,
      ...checkout,
      lines,
      codes,
      values,
      problems: seen?.problems ?? NO_PROBLEMS,
      offers: seen?.offers ?? offers(),
    };
  }, [seen, goods, bill, offers, selling, currency]);
}

/** An order as whoever bought it sees it. */
export type OrderSeen = {
  readonly order: Order;
  readonly events: readonly OrderEvent[];
  /** Its address, without what stands before it. */
  readonly address: string;
};

/** The order that the page shows; miniatures of Add show the one that pages are looked at with. */
export function useOrder(): OrderSeen {
  const { shown, sampleOrder } = useEnv();
  return useMemo(() => {
    const seen = shown?.page === "order" || shown?.page === "thanks" ? shown : { sample: null };
    return "sample" in seen ? sampleOrder(seen.sample) : seen;
  }, [shown, sampleOrder]);
}
