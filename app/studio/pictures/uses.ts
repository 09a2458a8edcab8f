import { isLogo, type Draft } from "~/core/document";
import type { SellersGoods } from "~/core/goods";
import { placeWords, whereUsed } from "~/kinds/references";

/** Where a picture stands, in words: pages, goods, collections, the logo. */
export function usesOfPicture(id: string, draft: Draft, goods: SellersGoods): readonly string[] {
  const onPages = whereUsed(draft, (r) => r.to === "picture" && r.id === id).map(placeWords);
  const products = goods.products.filter(
    (p) => p.pictures.includes(id) || p.search.picture === id || p.variants.some((v) => v.picture === id),
  );
  const collections = goods.collections.filter((c) => c.picture === id || c.search.picture === id);
  return [
    ...(isLogo(draft.look.identity, id) ? ["your logo"] : []),
    ...(draft.look.identity.icon === id ? ["the browser’s tab"] : []),
    ...new Set(onPages),
    ...products.map((p) => p.title),
    ...collections.map((c) => `the collection “${c.title}”`),
  ];
}
