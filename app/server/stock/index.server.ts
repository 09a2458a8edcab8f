import { QueryTypes, type Transaction } from "sequelize";
import type { Product } from "~/core/goods";
import { database, StockLog, StockRow } from "../database/index.server";

// How many pieces there are of each thing. It is counted apart from what else is known of goods: selling one changes nothing that a seller
// could be writing just then, and taking a change of goods back brings back nothing that has been sold.

/** One thing that is counted: a product, or a variant of it (`variant` is empty for the product itself). */
export type Item = { readonly product: string; readonly variant: string };
/** So many pieces of it. */
export type Pieces = Item & { readonly count: number };

const keyOf = ({ product, variant }: Item): string => `${product} ${variant}`;
const byKey = (a: Item, b: Item): number => (keyOf(a) < keyOf(b) ? -1 : 1);

/** What there is in a shop, of everything that is counted. */
async function counts(
  shopId: string,
  transaction?: Transaction,
  products?: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  const rows = await StockRow.findAll({
    where: { shopId, ...(products ? { productId: [...products] } : {}) },
    attributes: ["productId", "variantId", "pieces"],
    raw: true,
    ...(transaction ? { transaction } : {}),
    // Who changes goods and who buys them wait for one another.
    ...(products && transaction ? { lock: true } : {}),
  });
  return new Map(rows.map(({ productId, variantId, pieces }) => [`${productId} ${variantId}`, pieces]));
}

/** A product with the stock that there is. */
function counted<P extends Product>(product: P, stock: ReadonlyMap<string, number>): P {
  const at = (variant: string) => stock.get(`${product.id} ${variant}`) ?? null;
  const isSame = product.stock === at("") && product.variants.every((v) => v.stock === at(v.id));
  if (isSame) return product;
  return { ...product, stock: at(""), variants: product.variants.map((v) => ({ ...v, stock: at(v.id) })) };
}

/** Goods with the stock that there is now. */
export async function withStock<P extends Product>(
  shopId: string,
  products: readonly P[],
  transaction?: Transaction,
): Promise<readonly P[]> {
  const stock = await counts(shopId, transaction);
  return products.map((product) => counted(product, stock));
}

/** These products with the stock that there is, which nobody changes until the transaction ends. */
export async function holdStock<P extends Product>(
  shopId: string,
  products: readonly P[],
  transaction: Transaction,
): Promise<readonly P[]> {
  const stock = await counts(
    shopId,
    transaction,
    products.map(({ id }) => id),
  );
  return products.map((product) => counted(product, stock));
}

const itemsOf = ({ id, stock, variants }: Product): readonly (Item & { readonly stock: number | null })[] => [
  { product: id, variant: "", stock },
  ...variants.map((v) => ({ product: id, variant: v.id, stock: v.stock })),
];

/**
 * Stores what a change of goods says of stock: only where it says another number than the goods did that it was made of. The
 * change is given back with the stock that there is then.
 */
export async function settleStock<P extends Product>(
  shopId: string,
  before: ReadonlyMap<string, Product>,
  change: ReadonlyMap<string, P | null>,
  transaction: Transaction,
): Promise<ReadonlyMap<string, P | null>> {
  const now = new Map(await counts(shopId, transaction, [...change.keys()]));
  const set: (Pieces & { readonly had: number })[] = [];
  const gone: Item[] = [];
  for (const [id, product] of change) {
    const was = new Map((before.has(id) ? itemsOf(before.get(id)!) : []).map((item) => [keyOf(item), item]));
    for (const item of product ? itemsOf(product) : []) {
      const old = was.get(keyOf(item));
      was.delete(keyOf(item));
      if (old && old.stock === item.stock) continue;
      const had = now.get(keyOf(item));
      if (item.stock === null) gone.push(item);
      else set.push({ ...item, count: item.stock, had: had ?? 0 });
    }
    gone.push(...was.values());
  }
  for (const { product: productId, variant: variantId } of gone) {
    if (!now.delete(`${productId} ${variantId}`)) continue;
    await StockRow.destroy({ where: { shopId, productId, variantId }, transaction });
  }
  const createdAt = new Date();
  if (set.length) {
    await StockRow.bulkCreate(
      // Whoever counts anew owes nothing that was not counted in.
      set.map(({ product, variant, count }) => ({
        shopId,
        productId: product,
        variantId: variant,
        pieces: count,
        owed: 0,
      })),
      { transaction, updateOnDuplicate: ["pieces", "owed"] },
    );
    await StockLog.bulkCreate(
      set.map(({ product, variant, count, had }) => ({
        shopId,
        productId: product,
        variantId: variant,
        pieces: count - had,
        why: "set" as const,
        orderId: null,
        createdAt,
      })),
      { transaction },
    );
    for (const item of set) now.set(keyOf(item), item.count);
  }
  return new Map([...change].map(([id, product]) => [id, product && counted(product, now)]));
}

/** A wish for pieces. `canOwe`: it is sold even when none are left. */
export type Wish = Pieces & { readonly canOwe: boolean };

export type Taken =
  | { readonly ok: true; /** What is left of each. */ readonly left: readonly Pieces[] }
  | {
      readonly ok: false;
      /** What there is too little of, and how much there is. */ readonly short: readonly Pieces[];
    };

/**
 * Takes pieces for an order, each by one conditional update: of ten pieces, ten are taken and never eleven. Where one is short, it
 * says so, and whoever asks takes the whole transaction back. What nobody counts is not taken.
 */
export async function takeStock(
  shopId: string,
  wishes: readonly Wish[],
  orderId: string,
  transaction: Transaction,
): Promise<Taken> {
  // Always in the same order: two who buy the same two things never wait for one another.
  const all = new Map<string, Wish>();
  for (const wish of wishes) {
    const had = all.get(keyOf(wish));
    all.set(keyOf(wish), had ? { ...had, count: had.count + wish.count } : wish);
  }
  const inOrder = [...all.values()].sort(byKey);
  const where = "WHERE shopId = ? AND productId = ? AND variantId = ?";
  const taken: Pieces[] = [];
  const left: Pieces[] = [];
  const short: Pieces[] = [];
  for (const item of inOrder) {
    const { product: productId, variant: variantId, count, canOwe } = item;
    // MariaDB sets columns from left to right: what is owed is worked out before the pieces are taken.
    const [, changed] = await database().query(
      canOwe
        ? `UPDATE stock SET owed = owed + GREATEST(CAST(? AS SIGNED) - CAST(pieces AS SIGNED), 0),
             pieces = GREATEST(CAST(pieces AS SIGNED) - ?, 0) ${where}`
        : `UPDATE stock SET pieces = pieces - ? ${where} AND pieces >= ?`,
      {
        type: QueryTypes.UPDATE,
        replacements: canOwe
          ? [count, count, shopId, productId, variantId]
          : [count, shopId, productId, variantId, count],
        transaction,
      },
    );
    // Locked, or it would be what there was when the transaction began.
    const row = await StockRow.findOne({ where: { shopId, productId, variantId }, transaction, lock: true, raw: true });
    if (changed) taken.push(item);
    // Its seller may have stopped counting it meanwhile: then there is enough.
    else if (row) short.push({ product: productId, variant: variantId, count: row.pieces });
    if (changed && row) left.push({ product: productId, variant: variantId, count: row.pieces });
  }
  if (short.length) return { ok: false, short };
  await note(
    shopId,
    taken.map((item) => ({ ...item, count: -item.count })),
    "order",
    orderId,
    transaction,
  );
  return { ok: true, left };
}

const note = (
  shopId: string,
  changes: readonly Pieces[],
  why: StockLog["why"],
  orderId: string,
  transaction: Transaction,
) =>
  StockLog.bulkCreate(
    changes.map(({ product, variant, count }) => ({
      shopId,
      productId: product,
      variantId: variant,
      pieces: count,
      why,
      orderId,
      createdAt: new Date(),
    })),
    { transaction },
  );

/**
 * Gives pieces back that an order had taken: all that it still has, or, of each thing, no more than the given numbers. What was sold
 * beyond what there was is no longer owed first. Done twice, it gives back once.
 */
export async function giveBack(
  shopId: string,
  orderId: string,
  transaction: Transaction,
  most?: readonly Pieces[],
): Promise<readonly Pieces[]> {
  // Whoever asks holds the order: nobody else gives back for it meanwhile.
  const rows = await StockLog.findAll({ where: { orderId }, transaction });
  const has = new Map<string, Pieces>();
  for (const { productId: product, variantId: variant, pieces } of rows) {
    const item = { product, variant };
    has.set(keyOf(item), { ...item, count: (has.get(keyOf(item))?.count ?? 0) - pieces });
  }
  // The same thing may stand in two lines, as what was bought and as a gift.
  const limits = most && new Map<string, number>();
  for (const item of most ?? []) limits!.set(keyOf(item), (limits!.get(keyOf(item)) ?? 0) + item.count);
  const back = [...has.values()]
    .map((item) => ({ ...item, count: Math.min(item.count, limits ? (limits.get(keyOf(item)) ?? 0) : item.count) }))
    .filter(({ count }) => count > 0)
    .sort(byKey);
  for (const { product, variant, count } of back)
    await database().query(
      `UPDATE stock SET pieces = pieces + ? - LEAST(owed, ?), owed = owed - LEAST(owed, ?)
       WHERE shopId = ? AND productId = ? AND variantId = ?`,
      { type: QueryTypes.UPDATE, replacements: [count, count, count, shopId, product, variant], transaction },
    );
  await note(shopId, back, "back", orderId, transaction);
  return back;
}
