import { LRUCache } from "lru-cache";
import { QueryTypes } from "sequelize";
import { bestselling, boughtTogether, type Basket, type Pair } from "~/core/goods";
import { DAY } from "~/core/situation";
import { database } from "../database/index.server";

/** How far back orders are learnt from. */
const LEARN_DAYS = 365;

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

export type Learnt = {
  readonly sold: ReadonlyMap<string, number>;
  readonly together: Readonly<Record<string, readonly Pair[]>>;
};
/** A change of a price teaches nothing about what sells: what was learnt holds for a while, or until there are new orders. */
const LEARNT_MS = 10 * 60_000;
const learnt = new LRUCache<string, Learnt>({ max: 200, ttl: LEARNT_MS });

/** What orders teach about a shop's goods. */
export async function learn(shopId: string): Promise<Learnt> {
  const have = learnt.get(shopId);
  if (have) return have;
  const baskets = await basketsOf(shopId);
  const fresh = {
    sold: bestselling(baskets, Date.now()),
    together: Object.fromEntries(boughtTogether(baskets)),
  };
  learnt.set(shopId, fresh);
  return fresh;
}

/** Makes what sells be worked out anew when it is next asked for. */
export const forgetLearnt = (shopId: string): void => void learnt.delete(shopId);
