import { holds, type Asked } from "../conditions";
import { productWith, variantById, type Goods } from "../goods";
import type { Offer } from "./offer";
import { price, type Line } from "./price";

/**
 * How far a cart is from an offer that comes by itself from a worth or a number of pieces on. Amounts in minor units, or in pieces.
 * With a goal of 60 and 26 in the cart, 34 are to go (common practice, no source).
 */
export type Goal = {
  readonly offer: Offer;
  readonly by: "worth" | "count";
  readonly goal: number;
  readonly toGo: number;
};

type Given = {
  readonly offers: readonly Offer[];
  readonly goods: Goods;
  /** With whoever looks: what lies in their cart is theirs. */
  readonly asked: Asked;
};

/** Whether it comes by itself, from a worth or a number of pieces on. */
export const isGoal = ({ code, fromWorth, fromCount }: Offer): boolean =>
  code === "" && (fromWorth > 0 || fromCount > 1);

/** The offers that are goals for whoever looks, with how far away each of them is: the smallest goal first. */
export function goalsOf({ offers, goods, asked }: Given): readonly Goal[] {
  const those = offers.filter((offer) => isGoal(offer) && !offer.isOff && holds(offer.conditions, asked) !== false);
  if (those.length === 0) return [];
  const cart = asked.person?.cart;
  const lines = (cart?.lines ?? []).flatMap(({ product: id, variant, count }): Line[] => {
    const product = productWith(goods, id);
    return product ? [{ product, variant: variantById(product, variant), count }] : [];
  });
  const { refused } = price({ lines, offers, codes: [], goods, asked });
  return those
    .map((offer): Goal => {
      const first = offer.fromWorth > 0 ? "worth" : "count";
      const goalBy = (by: Goal["by"]) => (by === "worth" ? offer.fromWorth : offer.fromCount);
      const at = (by: Goal["by"], toGo: number): Goal => ({ offer, by, goal: Math.max(goalBy(by), toGo), toGo });
      // A cart that is only pretended has a worth and no goods in it.
      if (cart && !cart.lines) return at(first, Math.max(0, goalBy(first) - cart[first]));
      const why = refused.get(offer.id);
      if (why?.why === "goods") return at(first, goalBy(first));
      return why && "toGo" in why ? at(why.why, why.toGo) : at(first, 0);
    })
    .toSorted((a, b) => (a.by === b.by ? a.goal - b.goal : a.by === "worth" ? -1 : 1));
}
