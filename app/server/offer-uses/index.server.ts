import { QueryTypes, type Transaction } from "sequelize";
import { plainMail } from "~/core/account";
import type { Offer, OfferUses } from "~/core/offers";
import { database, OfferUse } from "../database/index.server";

/** What an order has of an offer, and how often that may be had. */
export type Use = Pick<Offer, "id" | "mostUses" | "mostEach"> & { readonly amount: number };
type Limited = Pick<Offer, "id" | "mostUses" | "mostEach" | "isOff">;

/** Offers that have been had as often as they may be, whoever asks. */
export async function usedUp(shopId: string, offers: readonly Limited[]): Promise<ReadonlySet<string>> {
  const limited = offers.filter(({ mostUses, isOff }) => mostUses > 0 && !isOff);
  if (limited.length === 0) return new Set();
  const rows = await database().query<{ offerId: string; used: number }>(
    "SELECT offerId, used FROM offerCounts WHERE shopId = ? AND offerId IN (?)",
    { type: QueryTypes.SELECT, replacements: [shopId, limited.map(({ id }) => id)] },
  );
  const used = new Map(rows.map((row) => [row.offerId, Number(row.used)]));
  return new Set(limited.flatMap(({ id, mostUses }) => ((used.get(id) ?? 0) >= mostUses ? [id] : [])));
}

/** Offers that somebody has had as often as one shopper may, known by the mail address that they order with. */
export async function usedUpBy(shopId: string, offers: readonly Limited[], mail: string): Promise<ReadonlySet<string>> {
  const limited = offers.filter(({ mostEach, isOff }) => mostEach > 0 && !isOff);
  if (limited.length === 0 || mail === "") return new Set();
  const rows = await database().query<{ offerId: string; used: number }>(
    "SELECT offerId, COUNT(*) AS used FROM offerUses WHERE shopId = ? AND mail = ? AND offerId IN (?) GROUP BY offerId",
    { type: QueryTypes.SELECT, replacements: [shopId, plainMail(mail), limited.map(({ id }) => id)] },
  );
  const used = new Map(rows.map((row) => [row.offerId, Number(row.used)]));
  return new Set(limited.flatMap(({ id, mostEach }) => ((used.get(id) ?? 0) >= mostEach ? [id] : [])));
}

/**
 * Notes what an order has of each offer; false where one of them has been had as often as it may be by now. Whoever counts first keeps
 * others from counting until their order is stored, so that the last use goes to one alone.
 * @returns which of them are used up with this
 */
export async function noteUses(
  {
    shopId,
    orderId,
    mail,
    total,
  }: { readonly shopId: string; readonly orderId: string; readonly mail: string; readonly total: number },
  uses: readonly Use[],
  transaction: Transaction,
): Promise<readonly string[] | undefined> {
  const last: string[] = [];
  const own = plainMail(mail);
  // In one order for everybody, so that nobody waits for somebody who waits for them.
  for (const { id, mostUses, mostEach, amount } of uses.toSorted((a, b) => (a.id < b.id ? -1 : 1))) {
    // Counted whether there is a limit or not: one that is set later knows what was had before it.
    await database().query(
      "INSERT INTO offerCounts (shopId, offerId, used) VALUES (?, ?, 1) ON DUPLICATE KEY UPDATE used = used + 1",
      { replacements: [shopId, id], transaction },
    );
    if (mostUses > 0) {
      const [row] = await database().query<{ used: number }>(
        "SELECT used FROM offerCounts WHERE shopId = ? AND offerId = ? FOR UPDATE",
        { type: QueryTypes.SELECT, replacements: [shopId, id], transaction },
      );
      const used = Number(row!.used);
      if (used > mostUses) return undefined;
      if (used === mostUses) last.push(id);
    }
    if (mostEach > 0) {
      const before = await OfferUse.findAll({
        where: { shopId, offerId: id, mail: own },
        attributes: ["id"],
        transaction,
        lock: true,
      });
      if (before.length >= mostEach) return undefined;
    }
    await OfferUse.create(
      { shopId, offerId: id, orderId, mail: own, amount, total, createdAt: new Date() },
      { transaction },
    );
  }
  return last;
}

/** Gives back what an order had of offers: it came to nothing. True where that makes one good again. */
export async function dropUses(shopId: string, orderId: string, transaction: Transaction): Promise<boolean> {
  const uses = await OfferUse.findAll({ where: { orderId }, transaction, lock: true });
  if (uses.length === 0) return false;
  await OfferUse.destroy({ where: { orderId }, transaction });
  const [, changed] = await database().query(
    "UPDATE offerCounts SET used = used - 1 WHERE shopId = ? AND offerId IN (?) AND used > 0",
    { type: QueryTypes.UPDATE, replacements: [shopId, uses.map(({ offerId }) => offerId)], transaction },
  );
  return Number(changed) > 0;
}

/** What each offer did: in how many orders, what it took off, what those orders came to, and by month. */
export async function usesOf(shopId: string): Promise<readonly OfferUses[]> {
  type Row = { offerId: string; month: string; orders: number; off: string; total: string };
  const rows = await database().query<Row>(
    `SELECT offerId, DATE_FORMAT(createdAt, '%Y-%m') AS month, COUNT(*) AS orders, SUM(amount) AS off, SUM(total) AS total
     FROM offerUses WHERE shopId = ? GROUP BY offerId, month ORDER BY offerId, month`,
    { type: QueryTypes.SELECT, replacements: [shopId] },
  );
  const byOffer = new Map<string, { month: string; orders: number; off: number; total: number }[]>();
  for (const { offerId, month, orders, off, total } of rows) {
    const months = byOffer.get(offerId) ?? [];
    months.push({ month, orders: Number(orders), off: Number(off), total: Number(total) });
    byOffer.set(offerId, months);
  }
  return [...byOffer].map(([offer, months]) => ({ offer, months }));
}
