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

/** Where any of these pictures stand, in words: pages, goods, collections, the logo. However many they are, all is looked through once. */
export function usesOfPictures(ids: ReadonlySet<string>, draft: Draft, goods: WithPictures): readonly string[] {
  const { identity } = draft.look;
  const onPages = whereUsed(draft, (r) => r.to === "picture" && ids.has(r.id)).map(placeWords);
  return [
    ...([...ids].some((id) => isLogo(identity, id)) ? ["your logo"] : []),
    ...(identity.icon !== undefined && ids.has(identity.icon) ? ["the browser’s tab"] : []),
    ...new Set(onPages),
    ...[...ofGoods(goods)].flatMap(([words, shown]) => (shown.some((id) => id && ids.has(id)) ? [words] : [])),
  ];
}

/** Where one picture stands, in words. */
export const usesOfPicture = (id: string, draft: Draft, goods: WithPictures): readonly string[] =>
  usesOfPictures(new Set([id]), draft, goods);

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
