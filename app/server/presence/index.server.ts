import { Op } from "sequelize";
import { z } from "zod";
import { database, Presence } from "../database/index.server";

/** A tab that has not been heard of for this long is gone, in ms. Tabs in view ask every few seconds. */
const GONE_AFTER_MS = 16_000;

export const presenceSchema = z.object({
  tab: z.string().regex(/^[\w-]{1,40}$/),
  place: z.string().max(40).catch(""),
});

export type Other = { readonly who: string; readonly place: string };

/** Notes that a tab has a shop open, and tells which others have. */
export async function meet(
  shopId: string,
  who: string,
  { tab, place }: z.infer<typeof presenceSchema>,
  now = new Date(),
): Promise<readonly Other[]> {
  database();
  await Presence.upsert({ tab, shopId, who: who.slice(0, 80), place, seenAt: now });
  const since = new Date(now.getTime() - GONE_AFTER_MS);
  await Presence.destroy({ where: { shopId, seenAt: { [Op.lt]: since } } });
  const rows = await Presence.findAll({ where: { shopId, tab: { [Op.ne]: tab } }, order: [["tab", "ASC"]], limit: 20 });
  return rows.map((row) => ({ who: row.who, place: row.place }));
}

/** A tab that was closed says so. */
export async function leave(shopId: string, tab: string): Promise<void> {
  database();
  await Presence.destroy({ where: { shopId, tab } });
}
