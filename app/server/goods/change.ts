import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import { Op, type Transaction } from "sequelize";
import { makeCollection, type Collection, type Product } from "~/core/goods";
import { atomically, GoodsLog, lockState } from "../database/index.server";
import type { Shop } from "../shops/index.server";
import { knownAt, nowKnown } from "./known";
import { holdStock } from "../stock/index.server";
import { readAll, type All } from "./rows";
import { write, type GoodsChange, type Steps } from "./write";

const [pack, unpack] = [promisify(gzip), promisify(gunzip)];

/** What the log of goods holds of a change: everything that it touched, before and after. */
type LoggedGoods = {
  readonly products: readonly (readonly [before: Product | null, after: Product | null])[];
  readonly collections: readonly (readonly [before: Collection | null, after: Collection | null])[];
};

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
    const all = knownAt(shop.id, state.version) ?? (await readAll(shop.id, transaction));
    const { result, change, besides } = await decide(all, transaction);
    if (!change || isNothing(change)) return { result, fresh: undefined };
    const version = state.version + 1;
    const next = await write(shop.id, all, change, version, transaction, steps);
    await besides?.(all, next, transaction);
    steps.signal?.throwIfAborted();
    await state.update({ version }, { transaction });
    // Products that lose a collection because it is gone don't say so by themselves.
    const isTold = ![...(change.collections?.values() ?? [])].includes(null);
    return { result, fresh: { version, all: next, isTold } };
  });
  if (fresh) await nowKnown(shop, fresh.version, fresh.all, fresh.isTold);
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
  const body: LoggedGoods = {
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

/** How many there are once a change of a number is taken back: what was sold since stays sold. */
const recounted = (from: number | null, to: number | null, now: number | null): number | null =>
  from === to ? now : from === null || to === null || now === null ? to : Math.max(0, now + to - from);

/** A product as a step leaves it: as it was logged, but for pieces that were sold or came back since. */
function stepped(from: Product | null, to: Product | null, now: Product | undefined): Product | null {
  if (!from || !to || !now) return to;
  const variantOf = (product: Product, id: string) => product.variants.find((v) => v.id === id);
  return {
    ...to,
    stock: recounted(from.stock, to.stock, now.stock),
    variants: to.variants.map((v) => {
      const [was, is] = [variantOf(from, v.id), variantOf(now, v.id)];
      return was && is ? { ...v, stock: recounted(was.stock, v.stock, is.stock) } : v;
    }),
  };
}

/** Takes the last change of goods back, or does again what was taken back last; its words, or undefined where there is none. */
export const stepGoods = (shop: Shop, direction: "undo" | "redo"): Promise<string | undefined> =>
  inTurn(shop, {}, async (all, transaction) => {
    const entry = await GoodsLog.findOne({
      where: { shopId: shop.id, undone: direction === "redo" },
      order: [["seq", direction === "undo" ? "DESC" : "ASC"]],
      transaction,
    });
    if (!entry) return { result: undefined };
    const logged = JSON.parse((await unpack(entry.body)).toString("utf8")) as LoggedGoods;
    const side = direction === "undo" ? 0 : 1;
    const idOf = (pair: readonly ({ readonly id: string } | null)[]) => (pair[0] ?? pair[1])!.id;
    const touched = new Set(logged.products.map(idOf));
    const there = all.products.filter(({ id }) => touched.has(id));
    const now = new Map((await holdStock(shop.id, there, transaction)).map((p) => [p.id, p]));
    return {
      result: entry.label,
      change: {
        products: new Map(
          logged.products.map((pair) => [
            idOf(pair),
            stepped(pair[1 - side] ?? null, pair[side] ?? null, now.get(idOf(pair))),
          ]),
        ),
        // What was logged before a collection could say something, says nothing of it.
        collections: new Map(logged.collections.map((pair) => [idOf(pair), pair[side] && makeCollection(pair[side])])),
      },
      besides: async () => void (await entry.update({ undone: direction === "undo" }, { transaction })),
    };
  });
