import { isLogo, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { placeWords, referencesOf, whereUsed } from "~/kinds/references";

type WithPictures = Pick<Goods, "products" | "collections">;

/** Everything of the goods that shows pictures, each with what it is called and their ids. */
function* ofGoods({
  products,
  collections,
}: WithPictures): Generator<readonly [words: string, ids: readonly (string | null | undefined)[]]> {
  for (const { title, pictures, variants, search } of products)
    yield [title, [...pictures, ...variants.map((v) => v.picture), search.picture]];
  for (const { title, picture, search } of collections) yield [`the collection “${title}”`, [picture, search.picture]];
}

/** Whether goods or collections show a picture. */
export const goodsShow = (goods: WithPictures, picture: string): boolean =>
  [...ofGoods(goods)].some(([, ids]) => ids.includes(picture));

/** Where a picture stands, in words: pages, goods, collections, the logo. */
export function usesOfPicture(id: string, draft: Draft, goods: WithPictures): readonly string[] {
  const onPages = whereUsed(draft, (r) => r.to === "picture" && r.id === id).map(placeWords);
  return [
    ...(isLogo(draft.look.identity, id) ? ["your logo"] : []),
    ...(draft.look.identity.icon === id ? ["the browser’s tab"] : []),
    ...new Set(onPages),
    ...[...ofGoods(goods)].flatMap(([words, ids]) => (ids.includes(id) ? [words] : [])),
  ];
}

/** Ids of all pictures that stand anywhere: on pages, with goods and collections, as logo or icon, with what is shared. */
export function usedIn(
  { documents, look: { identity } }: Draft,
  goods: WithPictures,
  pictures: readonly Picture[],
): ReadonlySet<string> {
  const onPages = Object.values(documents)
    .flatMap(referencesOf)
    .flatMap(({ to, id }) => (to === "picture" || to === "file" ? [id] : []));
  const withGoods = [...ofGoods(goods)].flatMap(([, ids]) => ids.filter((id) => typeof id === "string"));
  const logos = pictures.filter(({ id }) => isLogo(identity, id)).map(({ id }) => id);
  return new Set([...onPages, ...withGoods, ...logos, ...(identity.icon === undefined ? [] : [identity.icon])]);
}
