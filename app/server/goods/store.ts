import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { currencyDigits } from "~/core/money";
import {
  boughtTogether,
  bestselling,
  carrySearch,
  goodsSettings,
  packGoods,
  ratingOf,
  type Basket,
  type Collection,
  type Goods,
  type GoodsSettings,
  type Pair,
  type Product,
  type Review,
  type StoredCollection,
  type StoredProduct,
} from "~/core/goods";
import { readAll, toCollectionRow, toRow, type All } from "./rows";
import {
  atomically,
  CollectionRow,
  database,
  GoodsLog,
  ProductCollection,
  ProductRow,
  ReviewRow,
  ShopRow,
  countUp,
  lockState,
  stateOf,
} from "../database/index.server";
import { forgetShops, type Shop } from "../shops/index.server";

const [pack, unpack] = [promisify(gzip), promisify(gunzip)];

type Known = { readonly version: number; readonly all: All; readonly goods: Goods; packed?: string };
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
  type Row = { readonly id: string; readonly createdAt: Date; readonly productId: string; readonly count: number };
  const rows = await database().query<Row>(
    `SELECT o.id, o.createdAt, l.productId, l.count FROM orders o JOIN orderLines l ON l.orderId = o.id
     WHERE o.shopId = ? AND o.createdAt >= ? ORDER BY o.id, l.line`,
    { type: QueryTypes.SELECT, replacements: [shopId, new Date(now - LEARN_DAYS * DAY)] },
  );
  const baskets = new Map<string, { at: number; lines: { product: string; count: number }[] }>();
  for (const { id, createdAt, productId, count } of rows) {
    let basket = baskets.get(id);
    if (!basket) baskets.set(id, (basket = { at: new Date(createdAt).getTime(), lines: [] }));
    basket.lines.push({ product: productId, count });
  }
  return [...baskets.values()];
}

type Learnt = {
  readonly until: number;
  readonly sold: ReadonlyMap<string, number>;
  readonly together: Readonly<Record<string, readonly Pair[]>>;
};
/** A change of a price teaches nothing about what sells: what was learnt holds for a while, or until there are new orders. */
const LEARNT_MS = 10 * 60_000;
const learnt = new Map<string, Learnt>();

async function learn(shopId: string): Promise<Learnt> {
  const have = learnt.get(shopId);
  if (have && have.until > Date.now()) return have;
  const baskets = await basketsOf(shopId);
  const fresh = {
    until: Date.now() + LEARNT_MS,
    sold: bestselling(baskets, Date.now()),
    together: Object.fromEntries(boughtTogether(baskets)),
  };
  if (learnt.size >= MOST_SHOPS) learnt.clear();
  learnt.set(shopId, fresh);
  return fresh;
}

/** Makes what sells be worked out anew, after new orders. */
export async function ordersMoved(shopId: string): Promise<void> {
  learnt.delete(shopId);
  await goodsMoved(shopId);
}

export const settingsOf = async (shopId: string): Promise<GoodsSettings> => {
  const { body } = await stateOf(shopId, "settings");
  return goodsSettings.parse(JSON.parse(body ?? "{}"));
};

/** The most reviews of one product that its page is drawn from. */
const MOST_REVIEWS = 60;

/** Goods as the shop shows them: with what shoppers said and bought. */
async function compose(shop: Pick<Shop, "id" | "currency">, all: All): Promise<Goods> {
  const [reviews, { sold, together }, settings] = await Promise.all([
    reviewsOf(shop.id),
    learn(shop.id),
    settingsOf(shop.id),
  ]);
  const shown: Record<string, Review[]> = {};
  for (const review of reviews) if (review.state === "shown") (shown[review.product] ??= []).push(review);
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
              rating: rating ?? null,
              sold: Math.round((score ?? 0) * 1000) / 1000,
            }
          : p;
      }),
    collections: all.collections,
    words: settings.words,
    synonyms: settings.synonyms,
    digits: currencyDigits(shop.currency) ?? 2,
    reviews: Object.fromEntries(Object.entries(shown).map(([id, list]) => [id, list.slice(0, MOST_REVIEWS)])),
    together,
  };
}

const underWay = new Map<string, Promise<Known>>();

async function known(shop: Pick<Shop, "id" | "goodsVersion" | "currency">): Promise<Known> {
  const have = cache.get(shop.id);
  // Whoever asks may have looked at the shop a moment ago; goods are never older than they were.
  if (have && have.version >= shop.goodsVersion) return have;
  const key = `${shop.id} ${shop.goodsVersion}`;
  // A thousand shoppers who come at once have the goods read once.
  const running = underWay.get(key);
  if (running) return running;
  const made = (async () => {
    const all = await readAll(shop.id);
    const fresh = { version: shop.goodsVersion, all, goods: await compose(shop, all) };
    remember(shop.id, fresh);
    return fresh;
  })().finally(() => underWay.delete(key));
  underWay.set(key, made);
  return made;
}

function remember(shopId: string, fresh: Known): void {
  const before = cache.get(shopId);
  if (before) carrySearch(before.goods, fresh.goods);
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

/** All goods as one text, for the studio (`unpackGoods`). Written once for each version of the goods. */
export async function packedGoodsOf(shop: Pick<Shop, "id" | "goodsVersion" | "currency">): Promise<string> {
  const have = await known(shop);
  return (have.packed ??= packGoods({ ...have.goods, ...(await allGoodsOf(shop)) }));
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

type Decided<T> = {
  readonly result: T;
  readonly change?: GoodsChange | undefined;
  /** What has to be stored besides, in the same transaction. */
  readonly besides?: (before: All, after: All, transaction: Transaction) => Promise<void>;
};

const isNothing = ({ products, collections }: GoodsChange) => !products?.size && !collections?.size;

/** Lets one change of a shop's goods be made after the other, each of them whole, and remembers what came of it. */
async function inTurn<T>(
  shop: Shop,
  steps: Steps,
  decide: (all: All, transaction: Transaction) => Promise<Decided<T>>,
): Promise<T> {
  const { result, fresh } = await atomically(async (transaction) => {
    // Two changes of goods at once happen one after the other; nothing else waits for them.
    const state = await lockState(shop.id, "goods", transaction);
    const have = cache.get(shop.id);
    const all = have && have.version === state.version ? have.all : await readAll(shop.id, transaction);
    const { result, change, besides } = await decide(all, transaction);
    if (!change || isNothing(change)) return { result, fresh: undefined };
    const version = state.version + 1;
    const next = await write(shop.id, all, change, version, transaction, steps);
    await besides?.(all, next, transaction);
    steps.signal?.throwIfAborted();
    await state.update({ version }, { transaction });
    return { result, fresh: { version, all: next } };
  });
  if (fresh) {
    remember(shop.id, { ...fresh, goods: await compose(shop, fresh.all) });
    forgetShops();
  }
  return result;
}

/**
 * Changes goods, all of it or nothing, as one step that can be taken back. `decide` sees goods as they are once nobody else
 * can change them; it answers with what to change, or with a reason not to.
 */
export const changeGoods = <T extends { readonly change?: GoodsChange }>(
  shop: Shop,
  label: string,
  decide: (all: All) => T,
  steps: Steps = {},
): Promise<T> =>
  inTurn(shop, steps, async (all) => {
    const result = decide(all);
    const { change } = result;
    return {
      result,
      change,
      besides: (before, after, transaction) => log(shop.id, label, before, after, change!, transaction),
    };
  });

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
  const at = (undone: boolean, direction: "ASC" | "DESC") =>
    GoodsLog.findOne({ where: { shopId, undone }, order: [["seq", direction]], attributes: ["label"] });
  const [undo, redo] = await Promise.all([at(false, "DESC"), at(true, "ASC")]);
  return { undo: undo?.label ?? null, redo: redo?.label ?? null };
}

/** Takes the last change of goods back, or does again what was taken back last; its words, or undefined where there is none. */
export const stepGoods = (shop: Shop, direction: "undo" | "redo"): Promise<string | undefined> =>
  inTurn(shop, {}, async (_all, transaction) => {
    const entry = await GoodsLog.findOne({
      where: { shopId: shop.id, undone: direction === "redo" },
      order: [["seq", direction === "undo" ? "DESC" : "ASC"]],
      transaction,
    });
    if (!entry) return { result: undefined };
    const logged = JSON.parse((await unpack(entry.body)).toString("utf8")) as Logged;
    const side = direction === "undo" ? 0 : 1;
    const idOf = (pair: readonly ({ readonly id: string } | null)[]) => (pair[0] ?? pair[1])!.id;
    return {
      result: entry.label,
      change: {
        products: new Map(logged.products.map((pair) => [idOf(pair), pair[side]!])),
        collections: new Map(logged.collections.map((pair) => [idOf(pair), pair[side]!])),
      },
      besides: async () => void (await entry.update({ undone: direction === "undo" }, { transaction })),
    };
  });

/** Makes what goods are shown with (reviews, words, ranks) be put together anew; the goods themselves are as they were. */
export async function goodsMoved(shopId: string): Promise<void> {
  await countUp(shopId, "goods");
  const [{ version }, { currency }] = await Promise.all([
    stateOf(shopId, "goods"),
    ShopRow.findByPk(shopId, { attributes: ["currency"], rejectOnEmpty: true }),
  ]);
  const have = cache.get(shopId);
  // Only when nothing else has happened since they were read.
  if (have && have.version === version - 1)
    remember(shopId, {
      version,
      all: have.all,
      goods: await compose({ id: shopId, currency }, have.all),
    });
  else cache.delete(shopId);
  forgetShops();
}
