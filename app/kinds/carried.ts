import { copyWithNewIds, entryOf, overIn, type Draft, type Part } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { readPart } from "./reading";
import { mapPart, type Reference } from "./references";

/** What of a shop a part can refer to. */
export type ShopAtHand = {
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  readonly documents: Draft["documents"];
  /** It comes from this shop itself, whose films are where they were. */
  readonly isOwn?: boolean;
};

/** Whether a shop has what a part refers to. */
export function hasIn({ goods, pictures, documents, isOwn = false }: ShopAtHand, { to, id }: Reference): boolean {
  switch (to) {
    case "product":
      return goods.products.some((p) => p.id === id);
    case "collection":
      return goods.collections.some((c) => c.id === id);
    case "page":
    case "menu":
    case "shared":
    case "offer":
      return entryOf(documents, id) !== undefined;
    case "over":
      return overIn(documents).some((part) => part.id === id);
    case "film":
    case "document":
      return isOwn;
    case "picture":
    case "file":
      return pictures.some((p) => p.id === id);
  }
}

/** A part from elsewhere as it can stand in this shop: with new ids, and without pictures, goods and pages that are another's. */
export const adapted = (node: Part, shop: ShopAtHand): Part =>
  copyWithNewIds(mapPart(readPart(node), (reference) => (hasIn(shop, reference) ? reference.id : null)));
