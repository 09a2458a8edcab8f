import { Op, type Transaction } from "sequelize";
import type { ShopContent } from "~/render";
import { atomically, OrderLetterRow, OrderRow } from "../database/index.server";
import type { Shop } from "../shops/index.server";
import { cardLetters, orderLetter, type Told } from "./letters";
import { orderOf, renewLink } from "./read";

// A letter about an order is noted in the same transaction as what it tells. Whoever notes it sends it at once; what a server could not send
// before it was stopped is sent by the next one.

type From = { readonly shop: Shop; readonly content: ShopContent };

/** What may be noted: what happened to the order, or the gift cards that were bought with it. */
export type DueLetter = Told | "cards";

export const noteLetter = (
  orderId: string,
  what: DueLetter,
  text: string,
  transaction: Transaction,
): Promise<unknown> =>
  OrderLetterRow.create({ orderId, what, text: text.slice(0, 2000), createdAt: new Date() }, { transaction });

/** Notes that somebody wants a new link to their order; it goes to the mail address that the order has. */
export const askForNewLink = (orderId: string): Promise<void> =>
  atomically(async (transaction) => {
    await noteLetter(orderId, "link", "", transaction);
  });

/** Sends one letter, or none where another process is at it. */
const sendOne = (id: number, shopId: string, from: From): Promise<boolean> =>
  atomically(async (transaction) => {
    const due = await OrderLetterRow.findOne({ where: { id }, transaction, lock: true, skipLocked: true });
    if (!due) return false;
    await due.destroy({ transaction });
    const whole = await orderOf(shopId, due.orderId, transaction);
    if (!whole) return false;
    const what = due.what as DueLetter;
    if (what === "cards") await cardLetters(whole, from, transaction);
    else await orderLetter(whole, from, what, due.text);
    return true;
  });

/** Sends what is noted for one order. That a letter can’t be sent undoes nothing: it is tried again later. */
export async function sendLettersOf(orderId: string, shopId: string, from: From): Promise<void> {
  // Whatever a letter says, the link in it is good. An order is not held while its letter is sent.
  await renewLink(orderId);
  const due = await OrderLetterRow.findAll({ where: { orderId }, order: [["id", "ASC"]], attributes: ["id"] });
  for (const { id } of due)
    await sendOne(id, shopId, from).catch((error: unknown) =>
      console.error("the letter of an order could not be sent:", error),
    );
}

/** Sends none of what is noted for an order: nobody is there who would read it. */
export const forgetLettersOf = async (orderId: string): Promise<void> =>
  void (await OrderLetterRow.destroy({ where: { orderId } }));

/** A letter is left to whoever noted it for so long, in ms. */
const OWN_TIME = 30_000;
/** After so long nobody waits for it any more. */
const GIVEN_UP_MS = 3 * 86_400_000;
const AT_ONCE = 100;

/** Sends what nobody has sent yet. */
export async function sendDueOrderLetters(
  contentFor: (shopId: string) => Promise<From | undefined>,
  now = Date.now(),
): Promise<void> {
  await OrderLetterRow.destroy({ where: { createdAt: { [Op.lt]: new Date(now - GIVEN_UP_MS) } } });
  const due = await OrderLetterRow.findAll({
    where: { createdAt: { [Op.lt]: new Date(now - OWN_TIME) } },
    order: [["id", "ASC"]],
    limit: AT_ONCE,
  });
  for (const { orderId } of due) {
    const order = await OrderRow.findByPk(orderId, { attributes: ["shopId"] });
    const from = order && (await contentFor(order.shopId));
    if (from) await sendLettersOf(orderId, order.shopId, from);
  }
}
