import { Op, type Transaction } from "sequelize";
import type { Collection, Product, StoredCollection, StoredProduct } from "~/core/goods";
import { CollectionRow, database, ProductCollection, ProductRow } from "../database/index.server";
import { settleStock } from "../stock/index.server";
import { toCollectionRow, toRow, type All } from "./rows";

/** What a change makes of goods: what is put in place of the product or collection with that id; null takes it away. */
export type GoodsChange = {
  readonly products?: ReadonlyMap<string, Product | null>;
  readonly collections?: ReadonlyMap<string, Collection | null>;
};

const BATCH = 500;

export type Steps = { readonly step?: (done: number, total: number) => void; readonly signal?: AbortSignal };

/** Stores a change of goods and gives the goods after it. */
export async function write(
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
  const stamped = await settleStock(
    shopId,
    new Map(all.products.map((p) => [p.id, p])),
    new Map([...products].map(([id, p]) => [id, p && { ...p, collections: ordered(p.collections), version }] as const)),
    transaction,
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
      updateOnDuplicate: Object.keys(batch[0]!).filter((k) => k !== "id" && k !== "shopId") as never,
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
