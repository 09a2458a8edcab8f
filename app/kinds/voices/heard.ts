import { isInCollection, productWith, type Goods, type Product, type Review } from "~/core/goods";
import type { VoicesProps } from "./definition";

export type Heard = { readonly review: Review; readonly product: Product };

type Rule = Pick<VoicesProps, "reviews" | "picks" | "collection" | "least" | "most">;

/** The newest that suit are shown; of one product two at most, so that it is not all about one thing. */
const MOST_OF_ONE = 2;

/**
 * The reviews that are shown with a rule, `most` at most: those that were picked by hand, in their order; without picks the
 * newest with enough stars, of the collection if it names one. What has gone meanwhile, or is not shown, is left out.
 */
export function heardIn(rule: Rule, goods: Goods): readonly Heard[] {
  if (!rule.reviews) return [];
  const all = Object.entries(goods.reviews ?? {}).flatMap(([id, reviews]) => {
    const product = productWith(goods, id);
    return product ? reviews.filter((r) => r.state === "shown").map((review): Heard => ({ review, product })) : [];
  });
  if (rule.picks.length) {
    const byId = new Map(all.map((heard) => [heard.review.id, heard]));
    return rule.picks.flatMap((id) => byId.get(id) ?? []).slice(0, rule.most);
  }
  const collection = goods.collections.find((c) => c.id === rule.collection);
  if (rule.collection !== null && !collection) return [];
  const counts = new Map<string, number>();
  return all
    .filter(({ review, product }) => {
      const suits = review.stars >= rule.least && review.text.trim() !== "";
      return suits && (!collection || isInCollection(goods, product, collection));
    })
    .sort((a, b) => (a.review.at < b.review.at ? 1 : a.review.at > b.review.at ? -1 : 0))
    .filter(({ product }) => {
      const count = (counts.get(product.id) ?? 0) + 1;
      counts.set(product.id, count);
      return count <= MOST_OF_ONE;
    })
    .slice(0, rule.most);
}
