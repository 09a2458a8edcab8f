import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import { Op, type Transaction } from "sequelize";
import { currencyDigits } from "~/core/money";
import {
  boughtTogether,
  bestselling,
  goodsSettings,
  ratingOf,
  type Basket,
  type Collection,
  type Goods,
  type GoodsSettings,
  type Product,
  type Review,
} from "~/core/goods";
import { readAll, toCollectionRow, toRow, type All, type StoredCollection, type StoredProduct } from "./rows";
import {
  atomically,
  CollectionRow,
  database,
  GoodsLog,
  OrderLine,
  OrderRow,
  ProductCollection,
  ProductRow,
  ReviewRow,
  ShopRow,
} from "../database/index.server";
import { forgetShops, type Shop } from "../shops/index.server";

const [pack, unpack] = [promisify(gzip), promisify(gunzip)];

type Known = { readonly version: number; readonly all: All; readonly goods: Goods };
const cache = new Map<string, Known>();
/** Shops whose goods are held in memory. */
const MOST_SHOPS = 50;

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
  database();
  const rows = await ReviewRow.findAll({
    where: { shopId },
    order: [
      ["createdAt", "DESC"],
      ["id", "ASC"],
    ],
  });
  return rows.map(toReview);
}

/** How far back orders are learnt from. */
const LEARN_DAYS = 365;
const DAY = 86_400_000;

/** What was bought at once, of late. */
export async function basketsOf(shopId: string, now = Date.now()): Promise<readonly Basket[]> {
  database();
  const orders = await OrderRow.findAll({
    where: { shopId, createdAt: { [Op.gte]: new Date(now - LEARN_DAYS * DAY) } },
    raw: true,
  });
  const lines = await OrderLine.findAll({ where: { orderId: { [Op.in]: orders.map((o) => o.id) } }, raw: true });
  const byOrder = new Map<string, { product: string; count: number }[]>();
  for (const line of lines) {
    const list = byOrder.get(line.orderId) ?? [];
    list.push({ product: line.productId, count: line.count });
    byOrder.set(line.orderId, list);
  }
  return orders.map((o) => ({ at: new Date(o.createdAt).getTime(), lines: byOrder.get(o.id) ?? [] }));
}

export const settingsOf = async (shopId: string): Promise<GoodsSettings> => {
  database();
  const row = await ShopRow.findByPk(shopId, { attributes: ["goodsSettings"], rejectOnEmpty: true });
  return goodsSettings.parse(JSON.parse(row.goodsSettings));
};

/** The most reviews of one product that its page is drawn from. */
const MOST_REVIEWS = 60;

/** Goods as the shop shows them: with what shoppers said and bought. */
async function compose(shop: Pick<Shop, "id" | "currency">, all: All): Promise<Goods> {
  const [reviews, baskets, settings] = await Promise.all([reviewsOf(shop.id), basketsOf(shop.id), settingsOf(shop.id)]);
  const shown: Record<string, Review[]> = {};
  for (const review of reviews) if (review.state === "shown") (shown[review.product] ??= []).push(review);
  const sold = bestselling(baskets, Date.now());
  const rated = new Map(Object.entries(shown).map(([id, list]) => [id, ratingOf(list)]));
  return {
    products: all.products
      .filter((p) => !p.archived)
      .map((p) => {
        const rating = rated.get(p.id);
        const score = sold.get(p.id);
        return rating || score
          ? {
              ...p,
              rating: rating ? { average: rating.average, count: rating.count } : null,
              sold: Math.round((score ?? 0) * 1000) / 1000,
            }
          : p;
      }),
    collections: all.collections,
    words: settings.words,
    synonyms: settings.synonyms,
    digits: currencyDigits(shop.currency) ?? 2,
    reviews: Object.fromEntries(Object.entries(shown).map(([id, list]) => [id, list.slice(0, MOST_REVIEWS)])),
    together: Object.fromEntries(boughtTogether(baskets)),
  };
}

const underWay = new Map<string, Promise<Known>>();

async function known(shop: Pick<Shop, "id" | "goodsVersion" | "currency">): Promise<Known> {
  const have = cache.get(shop.id);
  if (have && have.version === shop.goodsVersion) return have;
  const key = `${shop.id} ${shop.goodsVersion}`;
  // A thousand shoppers who come at once have the goods read once.
  const running = underWay.get(key);
  if (running) return running;
  const made = (async () => {
    database();
    const all = await readAll(shop.id);
    const fresh = { version: shop.goodsVersion, all, goods: await compose(shop, all) };
    remember(shop.id, fresh);
    return fresh;
  })().finally(() => underWay.delete(key));
  underWay.set(key, made);
  return made;
}

function remember(shopId: string, fresh: Known): void {
  cache.delete(shopId);
  if (cache.size >= MOST_SHOPS) cache.delete(cache.keys().next().value!);
  cache.set(shopId, fresh);
}

/** Everything that a shop sells, in the shop's own order. Read once for each version of the goods. */
export const goodsOf = async (shop: Pick<Shop, "id" | "goodsVersion" | "currency">): Promise<Goods> =>
  (await known(shop)).goods;

/** All goods, what was archived among them, as the seller sees them. */
export async function allGoodsOf(shop: Pick<Shop, "id" | "goodsVersion" | "currency">): Promise<All> {
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

/** What a change makes of goods: what is put in place of the product or collection with that id; null takes it away. */
export type GoodsChange = {
  readonly products?: ReadonlyMap<string, Product | null>;
  readonly collections?: ReadonlyMap<string, Collection | null>;
};
type Logged = {
  readonly products: readonly (readonly [before: Product | null, after: Product | null])[];
  readonly collections: readonly (readonly [before: Collection | null, after: Collection | null])[];
};

const BATCH = 500;

export type Steps = { readonly step?: (done: number, total: number) => void; readonly signal?: AbortSignal };

async function write(
  shopId: string,
  all: All,
  { products = new Map(), collections = new Map() }: GoodsChange,
  version: number,
  transaction: Transaction,
  { step, signal }: Steps,
): Promise<All> {
  const inside = { transaction };
  const goneCollections = [...collections].filter(([, c]) => c === null).map(([id]) => id);
  const goneProducts = [...products].filter(([, p]) => p === null).map(([id]) => id);
  // A new one comes last; one that comes back takes its old place.
  const merge = <T extends { readonly id: string; readonly position: number }>(
    old: readonly T[],
    change: ReadonlyMap<string, Omit<T, "position"> | null>,
  ): T[] => {
    const had = new Map(old.map((o) => [o.id, o]));
    let last = old.reduce((most, o) => Math.max(most, o.position), -1);
    const kept = old.filter((each) => !change.has(each.id));
    const put = [...change.values()].flatMap((each) => {
      if (each === null) return [];
      const next = each as unknown as T;
      return [{ ...next, position: next.position ?? had.get(next.id)?.position ?? ++last }];
    });
    return [...kept, ...put].sort((a, b) => a.position - b.position);
  };
  const nextCollections = merge<StoredCollection>(all.collections, collections);
  // In the order of the collections, as they are read.
  const order = new Map(nextCollections.map((c, i) => [c.id, i]));
  const ordered = (ids: readonly string[]) =>
    [...new Set(ids)].filter((c) => order.has(c)).sort((x, y) => order.get(x)! - order.get(y)!);
  const stamped = new Map(
    [...products].map(([id, p]) => [id, p && { ...p, collections: ordered(p.collections), version }] as const),
  );
  const nextProducts = merge<StoredProduct>(all.products, stamped);
  if (goneProducts.length) await ProductRow.destroy({ where: { id: { [Op.in]: goneProducts }, shopId }, ...inside });
  if (goneCollections.length)
    await CollectionRow.destroy({ where: { id: { [Op.in]: goneCollections }, shopId }, ...inside });
  // Addresses and SKUs may change hands within one change; for a moment nobody has them.
  const touchedCollections = nextCollections.flatMap((c) =>
    collections.has(c.id) ? [toCollectionRow(shopId, c)] : [],
  );
  const oldCollections = new Set(all.collections.map((c) => c.id));
  await freeNames(
    "collections",
    ["slug"],
    touchedCollections.filter((r) => oldCollections.has(r.id)),
    transaction,
  );
  if (touchedCollections.length)
    await CollectionRow.bulkCreate(touchedCollections, {
      ...inside,
      updateOnDuplicate: [
        "slug",
        "title",
        "description",
        "pictureId",
        "parentId",
        "rules",
        "sort",
        "handOrder",
        "position",
      ],
    });
  const rows = nextProducts.flatMap((p) => (products.has(p.id) ? [toRow(shopId, p)] : []));
  const oldProducts = new Map(all.products.map((p) => [p.id, p]));
  const moved = rows.filter((r) => {
    const old = oldProducts.get(r.id);
    return old && (old.slug !== r.slug || old.sku !== r.sku);
  });
  await freeNames("products", ["slug", "sku"], moved, transaction);
  for (let at = 0; at < rows.length; at += BATCH) {
    signal?.throwIfAborted();
    const batch = rows.slice(at, at + BATCH);
    await ProductRow.bulkCreate(batch, {
      ...inside,
      updateOnDuplicate: Object.keys(batch[0]!).filter((k) => k !== "id" && k !== "shopId") as (keyof ProductRow &
        string)[] as never,
    });
    const ids = batch.map((r) => r.id);
    await ProductCollection.destroy({ where: { productId: { [Op.in]: ids } }, ...inside });
    await ProductCollection.bulkCreate(
      ids.flatMap((productId) =>
        stamped.get(productId)!.collections.map((collectionId) => ({ productId, collectionId })),
      ),
      inside,
    );
    step?.(Math.min(rows.length, at + BATCH), rows.length);
  }
  // What was taken away is nowhere any more.
  if (goneCollections.length) {
    const gone = new Set(goneCollections);
    return {
      collections: nextCollections,
      products: nextProducts.map((p) =>
        p.collections.some((c) => gone.has(c)) ? { ...p, collections: p.collections.filter((c) => !gone.has(c)) } : p,
      ),
    };
  }
  return { products: nextProducts, collections: nextCollections };
}

async function freeNames(
  table: "products" | "collections",
  columns: readonly string[],
  rows: readonly { readonly id: string }[],
  transaction: Transaction,
): Promise<void> {
  if (rows.length === 0) return;
  const set = columns.map((c) => `${c} = CONCAT('~', id)`).join(", ");
  await database().query(`UPDATE ${table} SET ${set} WHERE id IN (?)`, {
    replacements: [rows.map((r) => r.id)],
    transaction,
  });
}

/** How many changes can be taken back. */
const REMEMBERED = 60;

/**
 * Changes goods, all of it or nothing, as one step that can be taken back. `change` sees goods as they are once nobody else
 * can change them; it answers with what to change, or with a reason not to.
 */
export async function changeGoods<T extends { readonly change?: GoodsChange }>(
  shop: Shop,
  label: string,
  decide: (all: All) => Promise<T> | T,
  steps: Steps = {},
): Promise<T> {
  database();
  const { result, fresh } = await atomically(async (transaction) => {
    // The shop's row is the lock: two changes at once happen one after the other.
    const row = await ShopRow.findByPk(shop.id, { transaction, lock: true, rejectOnEmpty: true });
    const have = cache.get(shop.id);
    const all = have && have.version === row.goodsVersion ? have.all : await readAll(shop.id, transaction);
    const result = await decide(all);
    const change = result.change;
    if (!change || ((change.products?.size ?? 0) === 0 && (change.collections?.size ?? 0) === 0))
      return { result, fresh: undefined };
    const version = row.goodsVersion + 1;
    const next = await write(shop.id, all, change, version, transaction, steps);
    await log(shop.id, label, all, next, change, transaction);
    steps.signal?.throwIfAborted();
    await row.update({ goodsVersion: version }, { transaction });
    return { result, fresh: { version, all: next } };
  });
  if (fresh) {
    remember(shop.id, { ...fresh, goods: await compose(shop, fresh.all) });
    forgetShops();
  }
  return result;
}

async function log(
  shopId: string,
  label: string,
  before: All,
  after: All,
  change: GoodsChange,
  transaction: Transaction,
): Promise<void> {
  const pairs = <T extends { readonly id: string }>(
    ids: ReadonlyMap<string, unknown> | undefined,
    one: readonly T[],
    two: readonly T[],
  ) => {
    const [was, is] = [new Map(one.map((p) => [p.id, p])), new Map(two.map((p) => [p.id, p]))];
    return [...(ids?.keys() ?? [])].map((id) => [was.get(id) ?? null, is.get(id) ?? null] as const);
  };
  // What a collection takes along when it goes belongs to the same step.
  const touched = new Map<string, unknown>(change.products);
  const was = new Map(before.products.map((p) => [p.id, p]));
  for (const p of after.products) if (was.has(p.id) && was.get(p.id) !== p) touched.set(p.id, p);
  const body: Logged = {
    products: pairs(touched, before.products, after.products),
    collections: pairs(change.collections, before.collections, after.collections),
  };
  const last = (await GoodsLog.max<number | null, GoodsLog>("seq", { where: { shopId }, transaction })) ?? 0;
  // What was taken back cannot be done again after something else was done.
  await GoodsLog.destroy({ where: { shopId, undone: true }, transaction });
  await GoodsLog.create(
    {
      shopId,
      seq: last + 1,
      label: label.slice(0, 160),
      body: await pack(JSON.stringify(body)),
      undone: false,
      createdAt: new Date(),
    },
    { transaction },
  );
  await GoodsLog.destroy({ where: { shopId, seq: { [Op.lte]: last + 1 - REMEMBERED } }, transaction });
}

export type GoodsSteps = { readonly undo: string | null; readonly redo: string | null };

/** What can be taken back, and done again, in words. */
export async function goodsSteps(shopId: string): Promise<GoodsSteps> {
  database();
  const at = (undone: boolean, direction: "ASC" | "DESC") =>
    GoodsLog.findOne({ where: { shopId, undone }, order: [["seq", direction]], attributes: ["label"] });
  const [undo, redo] = await Promise.all([at(false, "DESC"), at(true, "ASC")]);
  return { undo: undo?.label ?? null, redo: redo?.label ?? null };
}

/** Takes the last change of goods back, or does again what was taken back last; its words, or undefined where there is none. */
export async function stepGoods(shop: Shop, direction: "undo" | "redo"): Promise<string | undefined> {
  database();
  const done = await atomically(async (transaction) => {
    const row = await ShopRow.findByPk(shop.id, { transaction, lock: true, rejectOnEmpty: true });
    const entry = await GoodsLog.findOne({
      where: { shopId: shop.id, undone: direction === "redo" },
      order: [["seq", direction === "undo" ? "DESC" : "ASC"]],
      transaction,
    });
    if (!entry) return undefined;
    const logged = JSON.parse((await unpack(entry.body)).toString("utf8")) as Logged;
    const side = direction === "undo" ? 0 : 1;
    const idOf = (pair: readonly ({ readonly id: string } | null)[]) => (pair[0] ?? pair[1])!.id;
    const change: GoodsChange = {
      products: new Map(logged.products.map((pair) => [idOf(pair), pair[side]!])),
      collections: new Map(logged.collections.map((pair) => [idOf(pair), pair[side]!])),
    };
    const version = row.goodsVersion + 1;
    await write(shop.id, await readAll(shop.id, transaction), change, version, transaction, {});
    await entry.update({ undone: direction === "undo" }, { transaction });
    await row.update({ goodsVersion: version }, { transaction });
    return entry.label;
  });
  if (done !== undefined) {
    cache.delete(shop.id);
    forgetShops();
  }
  return done;
}

/** Makes all that is worked out from goods, reviews and orders be worked out anew. */
export async function goodsMoved(shopId: string, transaction?: Transaction): Promise<void> {
  await ShopRow.increment("goodsVersion", { where: { id: shopId }, ...(transaction ? { transaction } : {}) });
  cache.delete(shopId);
  forgetShops();
}
