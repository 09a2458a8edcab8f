import { LRUCache } from "lru-cache";
import {
  carrySearch,
  goodsOn,
  goodsSettings,
  packGoods,
  type GoodsUpdate,
  ratingOf,
  type Goods,
  type GoodsSettings,
  type Review,
} from "~/core/goods";
import { currencyDigits } from "~/core/money";
import { dayOf, type Situation } from "~/core/situation";
import { countUp, ReviewRow, ShopRow, stateOf } from "../database/index.server";
import { forgetShops, type Shop } from "../shops/index.server";
import { withStock } from "../stock/index.server";
import { forgetLearnt, learn } from "./learn";
import { readAll, type All } from "./rows";

// The goods of a shop as this process knows them, read once for each version of them.

/** What it takes to know a shop's goods. */
type GoodsOwner = Pick<Shop, "id" | "goodsVersion" | "currency" | "timeZone">;

type KnownGoods = {
  readonly version: number;
  readonly all: All;
  readonly goods: Goods;
  /** From this version on, it is known which products have changed since. */
  readonly since: number;
  /** Products that were removed since then, and in which version. */
  readonly gone: ReadonlyMap<string, number>;
  /** Products of which pieces were sold or came back, and in which version that was last known of. */
  readonly counted: ReadonlyMap<string, number>;
  packed?: string;
};
/** Shops whose goods are held in memory. */
const cache = new LRUCache<string, KnownGoods>({ max: 50 });

const toReview = (row: ReviewRow): Review => ({
  id: row.id,
  product: row.productId,
  stars: row.stars,
  title: row.title,
  text: row.text,
  name: row.name,
  state: row.state,
  answer: row.answer,
  at: row.createdAt.toISOString(),
});

export async function reviewsOf(shopId: string): Promise<readonly Review[]> {
  const rows = await ReviewRow.findAll({
    where: { shopId },
    order: [
      ["createdAt", "DESC"],
      ["id", "ASC"],
    ],
  });
  return rows.map(toReview);
}
export const settingsOf = async (shopId: string): Promise<GoodsSettings> => {
  const { body } = await stateOf(shopId, "settings");
  return goodsSettings.parse(JSON.parse(body ?? "{}"));
};

/** The most reviews of one product that its page is drawn from. */
const MOST_REVIEWS = 60;

/** Goods as the shop shows them: with what shoppers said and bought. */
async function compose(shop: Pick<Shop, "id" | "currency" | "timeZone">, all: All): Promise<Goods> {
  const [reviews, { sold, together }, settings] = await Promise.all([
    reviewsOf(shop.id),
    learn(shop.id),
    settingsOf(shop.id),
  ]);
  const shown = new Map<string, Review[]>();
  for (const review of reviews) {
    if (review.state !== "shown") continue;
    const list = shown.get(review.product);
    if (list) list.push(review);
    else shown.set(review.product, [review]);
  }
  const rated = new Map([...shown].map(([id, list]) => [id, ratingOf(list)]));
  return {
    products: all.products
      .filter((p) => !p.archived)
      .map((p) => {
        const rating = rated.get(p.id);
        const score = sold.get(p.id);
        return rating || score
          ? {
              ...p,
              rating: rating ?? null,
              sold: Math.round((score ?? 0) * 1000) / 1000,
            }
          : p;
      }),
    collections: all.collections,
    asOf: dayOf(situationNow(shop)),
    words: settings.words,
    synonyms: settings.synonyms,
    digits: currencyDigits(shop.currency) ?? 2,
    reviews: Object.fromEntries([...shown].map(([id, list]) => [id, list.slice(0, MOST_REVIEWS)])),
    together,
  };
}

const NOTHING: ReadonlyMap<string, number> = new Map();
const underWay = new Map<string, Promise<KnownGoods>>();

async function known(shop: GoodsOwner): Promise<KnownGoods> {
  const have = cache.get(shop.id);
  // Whoever asks may have looked at the shop a moment ago; goods are never older than they were.
  if (have && have.version >= shop.goodsVersion) return have;
  const key = `${shop.id} ${shop.goodsVersion}`;
  // A thousand shoppers who come at once have the goods read once.
  const running = underWay.get(key);
  if (running) return running;
  const made = (async () => {
    const all = await readAll(shop.id);
    const { goodsVersion: version } = shop;
    const fresh = { version, all, goods: await compose(shop, all), since: version, gone: NOTHING, counted: NOTHING };
    remember(shop.id, fresh);
    return fresh;
  })().finally(() => underWay.delete(key));
  underWay.set(key, made);
  return made;
}

function remember(shopId: string, fresh: KnownGoods): void {
  const before = cache.get(shopId);
  const { asOf } = fresh.goods;
  if (before) carrySearch(goodsOn(before.goods, asOf), goodsOn(fresh.goods, asOf));
  cache.set(shopId, fresh);
}

/** The goods of a shop at a version, if they are known. */
export function knownAt(shopId: string, version: number): All | undefined {
  const have = cache.get(shopId);
  return have?.version === version ? have.all : undefined;
}

/** The most removed products that are remembered; after more, goods are told whole. */
const MOST_GONE = 5_000;

/**
 * Takes note of what a shop's goods have become. `isTold`: products say by their own version that they have changed, so that
 * who knows an earlier version can be told what is new.
 */
export async function nowKnown(
  shop: Omit<GoodsOwner, "goodsVersion">,
  version: number,
  all: All,
  isTold = false,
  recounted: readonly string[] = [],
): Promise<void> {
  const before = cache.get(shop.id);
  const goods = await compose(shop, all);
  const follows = isTold && before?.version === version - 1;
  const ids = new Set(all.products.map((p) => p.id));
  const lost = follows ? before.all.products.filter((p) => !ids.has(p.id)).map((p) => [p.id, version] as const) : [];
  const gone = follows && lost.length ? new Map([...before.gone, ...lost]) : (before?.gone ?? NOTHING);
  const isKnown = follows && gone.size <= MOST_GONE;
  const counted = new Map([...(before?.counted ?? []), ...recounted.map((id) => [id, version] as const)]);
  const story = isKnown ? { since: before.since, gone, counted } : { since: version, gone: NOTHING, counted: NOTHING };
  remember(shop.id, { version, all, goods, ...story });
  forgetShops();
}

/** What has changed of a shop's goods since a version that somebody knows. */
export async function goodsSince(shop: GoodsOwner, version: number): Promise<GoodsUpdate> {
  const have = await known(shop);
  if (version < have.since || version > have.version)
    return { isWhole: true, text: await packedGoodsOf(shop), gone: [] };
  const { products, collections } = await allGoodsOf(shop);
  const changed = products.filter((p) => p.version > version || (have.counted.get(p.id) ?? 0) > version);
  const gone = [...have.gone].flatMap(([id, at]) => (at > version ? [id] : []));
  return { isWhole: false, text: packGoods({ ...have.goods, products: changed, collections }), gone };
}

/** The situation at the shop just now; the one place where the shop's pages learn what time it is. */
export const situationNow = ({ timeZone }: Pick<Shop, "timeZone">, now = Date.now()): Situation => ({ now, timeZone });

/**
 * Everything that a shop sells, in the shop's own order, as it is in a situation. Read once for each version of the goods,
 * and worked out once a day.
 */
export const goodsOf = async (shop: GoodsOwner, situation: Situation = situationNow(shop)): Promise<Goods> =>
  goodsOn((await known(shop)).goods, dayOf(situation));

/** The same, as they are stored: what is to come is still to come, whatever day it is. */
export const goodsAsStored = async (shop: GoodsOwner): Promise<Goods> => (await known(shop)).goods;

/** All goods, what was archived among them, as the seller sees them. */
export async function allGoodsOf(shop: GoodsOwner): Promise<All> {
  const { all, goods } = await known(shop);
  const rated = new Map(goods.products.map((p) => [p.id, p]));
  return {
    collections: all.collections,
    products: all.products.map((p) => {
      const seen = rated.get(p.id);
      return seen ? { ...p, rating: seen.rating, sold: seen.sold } : p;
    }),
  };
}

/** All goods as one text, for the studio (`unpackGoods`). Written once for each version of the goods. */
export async function packedGoodsOf(shop: GoodsOwner): Promise<string> {
  const have = await known(shop);
  return (have.packed ??= packGoods({ ...have.goods, ...(await allGoodsOf(shop)) }));
}

/** Makes what sells be worked out anew, after new orders. */
export async function ordersMoved(shopId: string): Promise<void> {
  forgetLearnt(shopId);
  await goodsMoved(shopId);
}

/**
 * Makes everybody see what there is now, after pieces were sold or came back. Products don't count as changed by that: who is
 * writing one keeps on writing.
 */
export async function stockMoved(shopId: string): Promise<void> {
  await countUp(shopId, "goods");
  const [{ version }, { currency, timeZone }] = await Promise.all([
    stateOf(shopId, "goods"),
    ShopRow.findByPk(shopId, { attributes: ["currency", "timeZone"], rejectOnEmpty: true }),
  ]);
  const all = knownAt(shopId, version - 1);
  if (!all) {
    cache.delete(shopId);
    return forgetShops();
  }
  const products = await withStock(shopId, all.products);
  const recounted = products.flatMap((p, i) => (p === all.products[i] ? [] : [p.id]));
  await nowKnown({ id: shopId, currency, timeZone }, version, { ...all, products }, true, recounted);
}

/** Makes what goods are shown with (reviews, words, ranks) be put together anew; the goods themselves are as they were. */
export async function goodsMoved(shopId: string): Promise<void> {
  await countUp(shopId, "goods");
  const [{ version }, { currency, timeZone }] = await Promise.all([
    stateOf(shopId, "goods"),
    ShopRow.findByPk(shopId, { attributes: ["currency", "timeZone"], rejectOnEmpty: true }),
  ]);
  // Only when nothing else has happened since they were read.
  const all = knownAt(shopId, version - 1);
  if (all) return nowKnown({ id: shopId, currency, timeZone }, version, all);
  cache.delete(shopId);
  forgetShops();
}
