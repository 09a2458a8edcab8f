import { countOf, has } from "./bits";
import { indexOf } from "./facets";
import type { Collection, Goods, Product } from "./types";

/** How many goods a collection shows. */
export const sizeOf = (goods: Goods, collection: Collection): number => countOf(indexOf(goods).members(collection));

/** Whether a product is in a collection, by hand, by rules, or through one inside of it. */
export const isInCollection = (goods: Goods, product: Product, collection: Collection): boolean => {
  const index = indexOf(goods);
  const at = index.places.get(product.id);
  return at !== undefined && has(index.members(collection), at);
};

/** The ids of all collections that a product is in, by hand or otherwise. */
export const collectionsWith = (goods: Goods, product: Product): readonly string[] =>
  goods.collections
    // What is only being written is where it was put, though the shop does not sell it yet.
    .filter((c) => product.collections.includes(c.id) || isInCollection(goods, product, c))
    .map((c) => c.id);

/** A collection and those around it, outermost first. */
export function pathOf(collections: readonly Collection[], collection: Collection | undefined): readonly Collection[] {
  const path: Collection[] = [];
  for (let at = collection; at && !path.includes(at); at = collections.find((c) => c.id === at.parent))
    path.unshift(at);
  return path;
}

/** The collection in whose trail a product stands: the first that it was put into, or that its rules put it into. */
export const homeOf = (goods: Goods, product: Product): Collection | undefined =>
  goods.collections.find((c) => c.id === product.collections[0]) ??
  goods.collections.find((c) => isInCollection(goods, product, c));
