import { personalIn, personalParts, type Personal } from "~/core/conditions";
import type { Draft } from "~/core/document";
import { isGoal, offersOf } from "~/core/offers";
import { showsCart } from "./live";

/**
 * What a page has to know about whoever looks: what the conditions of its parts ask, and, where it says how far a cart is from an offer,
 * the cart and whatever those offers ask. `own`: the page's documents, by id; absent: any page.
 */
export function asksOn(documents: Draft["documents"], own?: ReadonlySet<string>): ReadonlySet<Personal> {
  const { asks } = personalParts(documents, own);
  if (!showsCart(documents, own)) return asks;
  const goals = offersOf(documents).filter(isGoal);
  return new Set([...asks, "cart", ...goals.flatMap(({ conditions }) => [...personalIn(conditions)])]);
}
