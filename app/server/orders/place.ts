import { Op, type Transaction } from "sequelize";
import { newId } from "~/core/document";
import { FEW } from "~/core/goods";
import type { CardPart } from "~/core/gift-cards";
import { dueOf, orderBody, paidByCards, type Order, type OrderBody } from "~/core/orders";
import { atomically, lockState, OrderEventRow, OrderLine, OrderRow } from "../database/index.server";
import { dropCart } from "../carts/index.server";
import { stockMoved } from "../goods/index.server";
import type { Shop } from "../shops/index.server";
import { giveBack, takeStock, type Pieces, type Wish } from "../stock/index.server";
import { issueCards, returnToCards, spendCards } from "../gift-cards/index.server";
import { dropUses, noteUses, type Use } from "../offer-uses/index.server";
import { noteLetter } from "./letters-due";
import { newToken, toOrder } from "./read";

/** So long the goods of an order are kept while it is being paid. */
export const HOLD_MINUTES = 15;

export type Placing = {
  readonly body: OrderBody;
  /** What it takes from the stock. */
  readonly wishes: readonly Wish[];
  /** What the form was sent with: sent twice with the same, it is one order. */
  readonly pressed: string;
  /** It is made to try the shop out. */
  readonly isTest: boolean;
  /** It waits for its payment: its goods are kept, and it has no number yet. */
  readonly waits: boolean;
  /** The cart that it is made of, which is empty once it is placed. */
  readonly cart?: string | undefined;
  /** The account that it belongs to; null or absent: none. */
  readonly shopper?: string | null;
  /** What it has of offers. */
  readonly uses?: readonly Use[];
  /** What gift cards pay of it. */
  readonly byCards?: readonly CardPart[];
  /** How long gift cards are good that are bought with it, in years; absent: without an end. */
  readonly cardYears?: number | undefined;
};

export type PlacedOrder = { readonly id: string; readonly token: string; readonly state: OrderRow["state"] };
export type Placed =
  | {
      readonly ok: true;
      readonly order: PlacedOrder;
      /** It was made just now, and not by the press before. */ readonly isNew: boolean;
    }
  | {
      readonly ok: false;
      /** What there is too little of, and how much there is. */
      readonly short: readonly Pieces[];
      /** What else there is too little of. */
      readonly lacks?: "card" | "offer";
    };

class Short extends Error {
  constructor(
    readonly short: readonly Pieces[],
    readonly lacks?: "card" | "offer",
  ) {
    super("there is too little of something");
  }
}

const placed = ({ id, token, state }: OrderRow): PlacedOrder => ({ id, token: token!, state });

/** The next number of a shop's orders. Whoever has it keeps others from theirs until the order is stored, so that none is left out. */
async function nextNumber(shopId: string, isTest: boolean, transaction: Transaction): Promise<number> {
  const counter = await lockState(shopId, isTest ? "testOrders" : "orders", transaction);
  const number = counter.version + 1;
  await counter.update({ version: number }, { transaction });
  return number;
}

/** What is learnt from: tests teach nothing. */
async function noteSold(row: OrderRow, body: OrderBody, transaction: Transaction): Promise<void> {
  if (row.isTest) return;
  await OrderLine.bulkCreate(
    body.lines.map(({ product, variant, count, each }, line) => ({
      orderId: row.id,
      line,
      productId: product,
      variantId: variant,
      count,
      price: Math.round(each),
    })),
    { transaction },
  );
}

/** Shops of which pieces were sold that need not show at once: there are enough left. */
const moved = new Set<string>();

/** Makes what was sold show, at once where few are left of it. */
async function show(shopId: string, left: readonly Pieces[]): Promise<void> {
  if (!left.some(({ count }) => count <= FEW)) return void moved.add(shopId);
  moved.delete(shopId);
  await stockMoved(shopId);
}

/** Makes what was sold of late show everywhere. */
export async function tellStock(): Promise<void> {
  const shops = [...moved];
  moved.clear();
  for (const shopId of shops) await stockMoved(shopId);
}

/**
 * Places an order: its goods are taken, its number counted and itself stored, all of it or nothing. What there is too little of is
 * said, and nothing is taken.
 */
export async function placeOrder(
  shop: Pick<Shop, "id">,
  { body, wishes, pressed, isTest, waits, cart, shopper = null, byCards = [], cardYears, uses: had = [] }: Placing,
): Promise<Placed> {
  try {
    const { order, isNew, left, usedUp } = await atomically(async (transaction) => {
      // Not locked: what isn’t there would be locked as a gap, into which fifty who order at once could not write past one another.
      const before = await OrderRow.findOne({ where: { shopId: shop.id, pressed }, transaction });
      if (before) return { order: placed(before), isNew: false, left: [], usedUp: false };
      const id = newId();
      const taken = await takeStock(shop.id, wishes, id, transaction);
      if (!taken.ok) throw new Short(taken.short);
      if (!(await spendCards(shop.id, byCards, id, transaction))) throw new Short([], "card");
      const now = new Date();
      const row = await OrderRow.create(
        {
          id,
          shopId: shop.id,
          number: waits ? null : await nextNumber(shop.id, isTest, transaction),
          isTest,
          token: newToken(),
          pressed,
          state: waits ? "held" : "placed",
          total: body.total,
          mail: body.mail,
          buyer: body.name.slice(0, 160),
          words: [...body.lines.map(({ title, sku }) => `${title} ${sku}`)].join("\n").slice(0, 10_000),
          body: JSON.stringify(body),
          heldUntil: waits ? new Date(now.getTime() + HOLD_MINUTES * 60_000) : null,
          shopperId: shopper,
          paid: waits ? 0 : paidByCards(body),
          createdAt: now,
        },
        { transaction },
      );
      // What is tried out uses nothing up.
      const uses = isTest
        ? []
        : await noteUses({ shopId: shop.id, orderId: id, mail: body.mail, total: body.total }, had, transaction);
      if (!uses) throw new Short([], "offer");
      if (!waits) {
        await begin(row, body, { card: 0, cardYears }, transaction);
        await dropCart(shop.id, cart, transaction);
      }
      return { order: placed(row), isNew: true, left: taken.left, usedUp: uses.length > 0 };
    });
    // An offer that nobody can have any more is to be seen nowhere.
    if (usedUp) await stockMoved(shop.id);
    await show(shop.id, left);
    return { ok: true, order, isNew };
  } catch (error) {
    if (error instanceof Short)
      return { ok: false, short: error.short, ...(error.lacks ? { lacks: error.lacks } : {}) };
    // Both presses found nothing, and the other one was first.
    const first = isDuplicate(error) ? await OrderRow.findOne({ where: { shopId: shop.id, pressed } }) : null;
    if (first) return { ok: true, order: placed(first), isNew: false };
    throw error;
  }
}

const isDuplicate = (error: unknown): boolean =>
  error instanceof Error && error.name === "SequelizeUniqueConstraintError";

async function begin(
  row: OrderRow,
  body: OrderBody,
  { card, cardYears }: { readonly card: number; readonly cardYears: number | undefined },
  transaction: Transaction,
): Promise<void> {
  const at = new Date();
  const note = (what: "placed" | "paid", text: string, amount: number | null) =>
    OrderEventRow.create({ orderId: row.id, what, text, amount, createdAt: at }, { transaction });
  await note("placed", "", null);
  for (const { last, amount } of body.byCards) await note("paid", `By gift card ${last}`, amount);
  if (card > 0) await note("paid", "By card", card);
  await noteSold(row, body, transaction);
  await noteLetter(row.id, "placed", "", transaction);
  if (row.paid >= body.total) await handOverCards(row, body, cardYears, transaction);
}

/** Makes the gift cards of an order that is paid, and sends them. Where there is nothing else in it, it is sent with them. */
export async function handOverCards(
  row: OrderRow,
  body: OrderBody,
  cardYears: number | undefined,
  transaction: Transaction,
): Promise<void> {
  if ((await issueCards(row, body, cardYears, transaction)) === 0) return;
  await noteLetter(row.id, "cards", "", transaction);
  if (!body.way.isLetter) return;
  await row.update({ handed: "sent" }, { transaction });
  await OrderEventRow.create(
    { orderId: row.id, what: "sent", text: "By mail.", amount: null, createdAt: new Date() },
    { transaction },
  );
}

/**
 * Ends the waiting of an order: paid, it gets its number, and the cart that it was made of is empty; else its goods go back. Whatever
 * comes second changes nothing.
 * @returns how it stands; `isNew`: by this
 */
export async function settleOrder(
  id: string,
  isPaid: boolean,
  cart?: string,
  cardYears?: number,
): Promise<
  { readonly order: Order | undefined; readonly state: OrderRow["state"]; readonly isNew: boolean } | undefined
> {
  const done = await atomically(async (transaction) => {
    const row = await OrderRow.findByPk(id, { transaction, lock: true });
    if (!row?.body) return undefined;
    const was = { shopId: row.shopId, left: [] as readonly Pieces[], isGood: false };
    if (row.state !== "held") return { ...was, row, isNew: false };
    const body = orderBody.parse(JSON.parse(row.body));
    if (isPaid) {
      await row.update(
        {
          number: await nextNumber(row.shopId, row.isTest, transaction),
          state: "placed",
          paid: body.total,
          heldUntil: null,
          createdAt: new Date(),
        },
        { transaction },
      );
      await begin(row, body, { card: dueOf(body), cardYears }, transaction);
      await dropCart(row.shopId, cart, transaction);
      return { ...was, row, isNew: true };
    }
    const left = await giveBack(row.shopId, row.id, transaction);
    await returnToCards(row.id, transaction);
    const isGood = await dropUses(row.shopId, row.id, transaction);
    // The same form may be sent again, with another card.
    await row.update({ state: "gone", pressed: null, heldUntil: null }, { transaction });
    return { ...was, row, left, isNew: true, isGood };
  });
  if (!done) return undefined;
  const { shopId, row, left, isNew, isGood } = done;
  // What came back may have been called sold out, and an offer used up.
  if (left.length || isGood) await stockMoved(shopId);
  return { order: row.number === null ? undefined : toOrder(row), state: row.state, isNew };
}

/** Notes that the bank wants to know from whoever ordered whether it is really them. */
export async function bankAsks(id: string): Promise<void> {
  await OrderRow.update({ bankAsks: true }, { where: { id, state: "held" } });
}

/** So long it is known of an order that its payment came to nothing. */
const LOST_DAYS = 30;

/** Takes away orders that came to nothing: nobody needs to know any more who had wanted what. */
export async function dropLost(now = Date.now()): Promise<void> {
  await OrderRow.destroy({
    where: { state: "gone", createdAt: { [Op.lt]: new Date(now - LOST_DAYS * 86_400_000) } },
  });
}

/** Gives back what is kept for orders that nobody paid in time. */
export async function dropHeld(now = Date.now()): Promise<void> {
  const late = await OrderRow.findAll({
    where: { state: "held", heldUntil: { [Op.lt]: new Date(now) } },
    attributes: ["id"],
    raw: true,
  });
  for (const { id } of late) await settleOrder(id, false);
}
