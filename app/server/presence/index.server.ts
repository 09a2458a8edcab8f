import { Op } from "sequelize";
import { Presence } from "../database/index.server";

/** A tab that has not been heard of for this long is gone, in ms. Tabs in view ask every few seconds. */
const GONE_AFTER_MS = 16_000;

/** A tab that has the shop open, and where in the studio it is: a page's id, or an area. */
export type Here = { readonly tab: string; readonly place: string };

export type Other = { readonly who: string; readonly place: string; readonly tab: string };

/** Notes that a tab has a shop open, and tells which others have. */
export async function meet(
  shopId: string,
  who: string,
  { tab, place }: Here,
  now = new Date(),
): Promise<readonly Other[]> {
  await Presence.upsert({ tab, shopId, who: who.slice(0, 80), place, seenAt: now });
  const since = new Date(now.getTime() - GONE_AFTER_MS);
  await Presence.destroy({ where: { shopId, seenAt: { [Op.lt]: since } } });
  const rows = await Presence.findAll({ where: { shopId, tab: { [Op.ne]: tab } }, order: [["tab", "ASC"]], limit: 20 });
  return rows.map((row) => ({ who: row.who, place: row.place, tab: row.tab }));
}

/** A tab that was closed says so. */
export async function leave(shopId: string, tab: string): Promise<void> {
  await Presence.destroy({ where: { shopId, tab } });
}
