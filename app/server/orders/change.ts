import type { Transaction } from "sequelize";
import { actionsFor, backToCards, type Handed, type Order, type OrderEvent, type OrderRequest } from "~/core/orders";
import { formatMoney } from "~/core/money";
import { atomically, OrderEventRow, OrderLine, OrderRow } from "../database/index.server";
import { ordersMoved, stockMoved } from "../goods/index.server";
import { cardPayments } from "../payments/index.server";
import { giveBack } from "../stock/index.server";
import { endCardsOf, removeTestCards, returnToCards } from "../gift-cards/index.server";
import { dropUses } from "../offer-uses/index.server";
import { noteLetter } from "./letters-due";
import { handOverCards } from "./place";
import { toOrder } from "./read";

export type OrderChanged =
  | {
      readonly ok: true;
      /** What whoever bought it is to be told. */ readonly tell?: OrderEvent["what"];
      readonly text: string;
    }
  | { readonly ok: false; readonly status: 404 | 409 | 422; readonly field: string; readonly why: string };

const refused = (status: 404 | 409 | 422, field: string, why: string): OrderChanged => ({
  ok: false,
  status,
  field,
  why,
});
const GONE = refused(404, "", "There is no such order.");
const MOVED = refused(409, "", "This order has changed meanwhile. Look at it again, then do it once more.");

const ACTION_OF: Readonly<Record<Exclude<Handed, "open">, "ready" | "sent" | "collected">> = {
  ready: "ready",
  sent: "sent",
  collected: "collected",
};

type Change = Exclude<OrderRequest, { readonly do: "remove-tests" }>;

/** Changes an order as its seller asks, all of it or nothing, and notes it in its history. */
export async function changeOrder(shopId: string, change: Change, cardYears?: number): Promise<OrderChanged> {
  const { done, hasStock } = await atomically(async (transaction) => {
    const row = await OrderRow.findOne({ where: { id: change.id, shopId }, transaction, lock: true });
    if (!row?.body || row.number === null) return { done: GONE, hasStock: false };
    const order = toOrder(row);
    if (change.do !== "note" && change.version !== order.version) return { done: MOVED, hasStock: false };
    const applying = await applied(row, order, change, cardYears, transaction);
    const { done } = applying;
    if (done.ok && done.tell && done.tell !== "note" && done.tell !== "mail")
      await noteLetter(row.id, done.tell, done.text, transaction);
    return applying;
  });
  if (hasStock) await stockMoved(shopId);
  if (done.ok && change.do === "cancel") await ordersMoved(shopId);
  return done;
}

type Applied = { readonly done: OrderChanged; readonly hasStock: boolean };

async function applied(
  row: OrderRow,
  order: Order,
  change: Change,
  cardYears: number | undefined,
  transaction: Transaction,
): Promise<Applied> {
  const note = (what: OrderEvent["what"], text: string, amount: number | null = null) =>
    OrderEventRow.create({ orderId: row.id, what, text, amount, createdAt: new Date() }, { transaction });
  const update = (values: Partial<Pick<OrderRow, "state" | "handed" | "paid" | "refunded">>) =>
    row.update({ ...values, version: order.version + 1 }, { transaction });
  const can = actionsFor(order);
  const no = (why: string): Applied => ({ done: refused(422, "", why), hasStock: false });
  const yes = (tell?: OrderEvent["what"], text = "", hasStock = false): Applied => ({
    done: { ok: true, text, ...(tell ? { tell } : {}) },
    hasStock,
  });
  switch (change.do) {
    case "note":
      await note("note", change.text);
      return yes();
    case "paid":
      if (!can.includes("paid")) return no("It is paid already.");
      await update({ paid: order.body.total });
      await note("paid", "", order.body.total - order.paid);
      await handOverCards(row, order.body, cardYears, transaction);
      return yes("paid");
    case "hand": {
      if (change.handed === "open" || !can.includes(ACTION_OF[change.handed]))
        return no("That can’t be done with this order any more.");
      await update({ handed: change.handed });
      await note(change.handed, change.text);
      return yes(change.tells ? change.handed : undefined, change.text);
    }
    case "refund": {
      const most = order.paid - order.refunded;
      if (!can.includes("refund")) return no("Nothing has been paid that could be given back.");
      if (change.amount > most) {
        const why = `${formatMoney(most, order.body.currency, order.body.moneyFormat)} can be given back at most.`;
        return { done: refused(422, "amount", why), hasStock: false };
      }
      const onCards = backToCards(order, order.refunded, change.amount);
      const onCard = change.amount - onCards;
      if (
        order.body.pay === "card" &&
        onCard > 0 &&
        !(await cardPayments.refund(order.id, onCard, `${order.id} ${order.version}`))
      )
        return no("The card was not refunded. Please try again.");
      if (onCards > 0) await returnToCards(order.id, transaction, onCards);
      const back = order.body.lines.flatMap(({ product, variant }, i) =>
        change.back[i] ? [{ product, variant: variant ?? "", count: change.back[i] }] : [],
      );
      const given = back.length ? await giveBack(row.shopId, row.id, transaction, back) : [];
      // Whoever has their money back has no card for it besides.
      if (order.refunded + change.amount >= order.paid) await endCardsOf(order.id, transaction);
      await update({ refunded: order.refunded + change.amount });
      await note("refunded", change.text, change.amount);
      return yes(change.tells ? "refunded" : undefined, change.text, given.length > 0);
    }
    case "cancel": {
      if (!can.includes("cancel")) return no("That can’t be done with this order any more.");
      const given = await giveBack(row.shopId, row.id, transaction);
      await endCardsOf(row.id, transaction);
      const isGood = await dropUses(row.shopId, row.id, transaction);
      await OrderLine.destroy({ where: { orderId: row.id }, transaction });
      await update({ state: "cancelled" });
      await note("cancelled", change.text);
      return yes(change.tells ? "cancelled" : undefined, change.text, given.length > 0 || isGood);
    }
  }
}

/** Takes away the orders that were made to try the shop out; what they had taken goes back. `mail`: those of one address alone. */
export async function removeTestOrders(shopId: string, mail?: string): Promise<number> {
  const removed = await atomically(async (transaction) => {
    const where = { shopId, isTest: true, ...(mail === undefined ? {} : { mail }) };
    const rows = await OrderRow.findAll({ where, transaction, lock: true });
    for (const row of rows) {
      await giveBack(shopId, row.id, transaction);
      await returnToCards(row.id, transaction);
    }
    if (mail === undefined) await removeTestCards(shopId, transaction);
    await OrderRow.destroy({ where, transaction });
    return rows.length;
  });
  if (removed) await stockMoved(shopId);
  return removed;
}
