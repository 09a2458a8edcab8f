import { Op } from "sequelize";
import { newId, entryOf } from "~/core/document";
import type { SellsData } from "~/core/goods";
import { atomically, OrderLine, OrderRow, ProductView } from "../database/index.server";
import type { Shop } from "../shops/index.server";
import { allGoodsOf, goodsOf, ordersMoved } from "./known";
import { basketsOf } from "./learn";

const DAY = 86_400_000;
const dayOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);

/** Notes that a product was looked at. */
export async function noteView(shopId: string, productId: string, now = Date.now()): Promise<void> {
  const row = { shopId, productId, day: dayOf(now) };
  await ProductView.sequelize!.query(
    "INSERT INTO productViews (shopId, productId, day, count) VALUES (:shopId, :productId, :day, 1) ON DUPLICATE KEY UPDATE count = count + 1",
    { replacements: row },
  );
}

/** Stores looks as they were, by product and day; used to load what happened elsewhere. */
export async function recordViews(
  shopId: string,
  views: readonly { readonly product: string; readonly day: string; readonly count: number }[],
): Promise<void> {
  await ProductView.bulkCreate(
    views.map(({ product, day, count }) => ({ shopId, productId: product, day, count })),
    { updateOnDuplicate: ["count"] },
  );
}

/** Weeks that charts go back. */
export const CHART_WEEKS = 12;

/** What sells, what is looked at, and what is bought together, for the seller to read. */
export async function whatSells(shop: Shop, now = Date.now()): Promise<SellsData> {
  const since = now - CHART_WEEKS * 7 * DAY;
  const [{ products }, goods, baskets, views] = await Promise.all([
    allGoodsOf(shop),
    goodsOf(shop),
    basketsOf(shop.id, now),
    ProductView.findAll({ where: { shopId: shop.id, day: { [Op.gt]: dayOf(since) } }, raw: true }),
  ]);
  const weekOf = (ms: number) => Math.floor((ms - since) / (7 * DAY));
  const empty = () => Array.from({ length: CHART_WEEKS }, () => 0);
  const sold = new Map<string, number[]>();
  const seen = new Map<string, number[]>();
  const add = (map: Map<string, number[]>, id: string, week: number, count: number) => {
    if (week < 0 || week >= CHART_WEEKS) return;
    const list = map.get(id) ?? empty();
    list[week]! += count;
    map.set(id, list);
  };
  for (const { at, lines } of baskets) for (const l of lines) add(sold, l.product, weekOf(at), l.count);
  for (const v of views) add(seen, v.productId, weekOf(Date.parse(`${v.day}T12:00:00Z`)), v.count);
  const titles = new Map(products.map((p) => [p.id, p.title]));
  return {
    orders: baskets.length,
    products: products
      .filter((p) => !p.archived)
      .map((p) => ({
        id: p.id,
        title: p.title,
        picture: p.pictures[0] ?? null,
        score: p.sold,
        sold: sold.get(p.id) ?? empty(),
        seen: seen.get(p.id) ?? empty(),
        together: (entryOf(goods.together, p.id) ?? []).map((pair) => ({ ...pair, title: titles.get(pair.id) ?? "?" })),
      }))
      .sort((a, b) => b.score - a.score)
      .slice(0, 200),
  };
}

export type NewOrder = {
  readonly at: Date;
  readonly lines: readonly {
    readonly product: string;
    readonly variant: string | null;
    readonly count: number;
    readonly price: number;
  }[];
};

/** Stores orders as they were; used to load what happened elsewhere. */
export async function recordOrders(shopId: string, orders: readonly NewOrder[]): Promise<void> {
  const rows = orders.map((order) => ({ order, id: newId() }));
  await atomically(async (transaction) => {
    await OrderRow.bulkCreate(
      rows.map(({ order, id }) => ({ id, shopId, createdAt: order.at })),
      { transaction },
    );
    await OrderLine.bulkCreate(
      rows.flatMap(({ order, id }) =>
        order.lines.map((l, line) => ({
          orderId: id,
          line,
          productId: l.product,
          variantId: l.variant,
          count: l.count,
          price: l.price,
        })),
      ),
      { transaction },
    );
  });
  await ordersMoved(shopId);
}
