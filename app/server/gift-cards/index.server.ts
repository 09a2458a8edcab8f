import { randomInt } from "node:crypto";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { newId } from "~/core/document";
import {
  CARD_LENGTH,
  CARD_LETTERS,
  cardProblem,
  type CardDesign,
  type CardFor,
  type CardPart,
  type CardStanding,
  type GiftCard,
  type GiftCards,
  type GiftCardsAsked,
  type PayingCard,
} from "~/core/gift-cards";
import type { OrderBody } from "~/core/orders";
import { atomically, database, GiftCardRow, GiftCardUse, OrderRow } from "../database/index.server";

const YEAR_MS = 365.25 * 86_400_000;

/** A code that nobody can guess: each letter is drawn by the system’s own chance. */
const newCode = (): string =>
  Array.from({ length: CARD_LENGTH }, () => CARD_LETTERS[randomInt(CARD_LETTERS.length)]).join("");

const standing = (row: GiftCardRow, uses: CardStanding["uses"] = []): CardStanding => ({
  code: row.code,
  amount: row.amount,
  left: row.rest,
  currency: row.currency,
  until: row.until ? row.until.getTime() : null,
  isOff: row.isOff,
  isTest: row.isTest,
  uses,
});

/** What is on a card; undefined where there is none with this code. `code`: as `plainCard` writes it. */
export async function giftCardWith(shopId: string, code: string): Promise<CardStanding | undefined> {
  const row = await GiftCardRow.findOne({ where: { shopId, code } });
  if (!row) return undefined;
  type Use = { readonly amount: string; readonly createdAt: Date; readonly number: number | null };
  const uses = await database().query<Use>(
    `SELECT u.amount, u.createdAt, o.number FROM giftCardUses u LEFT JOIN orders o ON o.id = u.orderId
     WHERE u.cardId = ? AND o.number IS NOT NULL ORDER BY u.id DESC LIMIT 50`,
    { type: QueryTypes.SELECT, replacements: [row.id] },
  );
  return standing(
    row,
    uses.map(({ amount, createdAt, number }) => ({
      at: new Date(createdAt).getTime(),
      amount: Number(amount),
      order: number ?? 0,
    })),
  );
}

/** Cards that can pay, in the order in which they were given; those that can’t any more are left out. */
export async function payingCards(
  shopId: string,
  codes: readonly string[],
  currency: string,
  isTest: boolean,
  now = Date.now(),
): Promise<readonly PayingCard[]> {
  if (codes.length === 0) return [];
  const rows = await GiftCardRow.findAll({ where: { shopId, code: [...codes] } });
  return codes.flatMap((code) => {
    const row = rows.find((each) => each.code === code);
    // What was made to try the shop pays for nothing real, and the other way round.
    if (!row || row.isTest !== isTest || cardProblem(standing(row), now, currency)) return [];
    return [{ code, left: row.rest }];
  });
}

/** Takes from cards what they pay of an order, all of it or nothing; false where one has less than that by now. */
export async function spendCards(
  shopId: string,
  parts: readonly CardPart[],
  orderId: string,
  transaction: Transaction,
  now = Date.now(),
): Promise<boolean> {
  // In one order for everybody: two who pay with the same two cards can’t lock one another out.
  for (const { code, amount } of parts.toSorted((a, b) => (a.code < b.code ? -1 : 1))) {
    const [, changed] = await database().query(
      `UPDATE giftCards SET rest = rest - :amount WHERE shopId = :shopId AND code = :code AND rest >= :amount
       AND isOff = 0 AND (until IS NULL OR until > :now)`,
      { type: QueryTypes.UPDATE, replacements: { shopId, code, amount, now: new Date(now) }, transaction },
    );
    if (Number(changed) !== 1) return false;
    const row = await GiftCardRow.findOne({ where: { shopId, code }, attributes: ["id"], transaction, lock: true });
    await GiftCardUse.create({ cardId: row!.id, orderId, amount, createdAt: new Date(now) }, { transaction });
  }
  return true;
}

/**
 * Gives back to cards what an order took from them: `amount`, or all that has not come back yet. The last card that paid is the first that
 * gets something back.
 * @returns how much came back
 */
export async function returnToCards(orderId: string, transaction: Transaction, amount = Infinity): Promise<number> {
  const uses = await GiftCardUse.findAll({ where: { orderId }, order: [["id", "ASC"]], transaction, lock: true });
  const taken = new Map<string, number>();
  for (const use of uses) taken.set(use.cardId, (taken.get(use.cardId) ?? 0) + use.amount);
  let left = amount;
  for (const [cardId, spent] of [...taken].reverse()) {
    const back = Math.min(spent, left);
    if (back <= 0) continue;
    await database().query("UPDATE giftCards SET rest = rest + ? WHERE id = ?", {
      type: QueryTypes.UPDATE,
      replacements: [back, cardId],
      transaction,
    });
    await GiftCardUse.create({ cardId, orderId, amount: -back, createdAt: new Date() }, { transaction });
    left -= back;
  }
  return amount === Infinity ? [...taken.values()].reduce((sum, each) => sum + Math.max(0, each), 0) : amount - left;
}

type Made = {
  readonly shopId: string;
  readonly orderId: string | null;
  readonly amount: number;
  readonly currency: string;
  readonly isTest: boolean;
  readonly until: Date | null;
} & CardFor;

async function makeCard(made: Made, transaction?: Transaction): Promise<GiftCardRow> {
  const { to, from, amount, ...rest } = made;
  return GiftCardRow.create(
    {
      ...rest,
      id: newId(),
      code: newCode(),
      amount,
      rest: amount,
      toMail: to,
      fromName: from,
      createdAt: new Date(),
    },
    transaction ? { transaction } : {},
  );
}

/** Until when a card is good that is made now, in ms since 1970; null: without an end. */
export const endOfCards = (years: number | undefined, now = Date.now()): number | null =>
  years === undefined ? null : now + years * YEAR_MS;

/** Makes the gift cards that were bought with an order, once. `years`: how long they are good; undefined: without an end. */
export async function issueCards(
  { id: orderId, shopId, isTest }: Pick<OrderRow, "id" | "shopId" | "isTest">,
  body: OrderBody,
  years: number | undefined,
  transaction: Transaction,
): Promise<number> {
  const lines = body.lines.filter(({ isGiftCard }) => isGiftCard);
  if (lines.length === 0 || (await GiftCardRow.count({ where: { orderId }, transaction })) > 0) return 0;
  const cardFor: CardFor = body.cardFor ?? { design: "plain", to: "", from: "", message: "" };
  const end = endOfCards(years);
  const until = end === null ? null : new Date(end);
  let count = 0;
  for (const line of lines)
    for (let i = 0; i < line.count; i++, count++)
      // It is worth what it is sold for, whatever an offer took off.
      await makeCard(
        { ...cardFor, shopId, orderId, isTest, until, amount: line.each, currency: body.currency },
        transaction,
      );
  return count;
}

export type IssuedCard = CardFor & {
  readonly code: string;
  readonly amount: number;
  readonly currency: string;
  readonly until: number | null;
};
const issued = (row: GiftCardRow): IssuedCard => ({
  code: row.code,
  amount: row.amount,
  currency: row.currency,
  until: row.until ? row.until.getTime() : null,
  design: row.design as CardDesign,
  to: row.toMail,
  from: row.fromName,
  message: row.message,
});

/** The cards that were bought with an order. */
export async function cardsOfOrder(orderId: string, transaction?: Transaction): Promise<readonly IssuedCard[]> {
  const rows = await GiftCardRow.findAll({
    where: { orderId },
    order: [
      ["createdAt", "ASC"],
      ["id", "ASC"],
    ],
    ...(transaction ? { transaction } : {}),
  });
  return rows.map(issued);
}

/** Ends the cards of an order whose money went back. */
export async function endCardsOf(orderId: string, transaction: Transaction): Promise<void> {
  await GiftCardRow.update({ isOff: true }, { where: { orderId }, transaction });
}

/** Takes away cards that were made to try the shop out. */
export async function removeTestCards(shopId: string, transaction: Transaction): Promise<void> {
  await GiftCardRow.destroy({ where: { shopId, isTest: true }, transaction });
}

// For the seller

const PAGE = 50;
const like = (text: string) => ({ [Op.like]: `%${text.replace(/[\\%_]/g, "\\$&")}%` });

const listed = (row: GiftCardRow, number: number | null): GiftCard => {
  const { uses: _uses, ...card } = standing(row);
  const { id, isTest, toMail: to, fromName: from } = row;
  return { ...card, id, isTest, to, from, at: row.createdAt.getTime(), order: number };
};

/** Gift cards of a shop, the latest first, and what is left on all that are good. */
export async function giftCardsOf(shopId: string, { find, page }: GiftCardsAsked): Promise<GiftCards> {
  const plain = find.toUpperCase().replace(/[^A-Z\d]/g, "");
  const sought =
    find === ""
      ? {}
      : {
          [Op.or]: [
            { toMail: like(find) },
            { fromName: like(find) },
            ...(plain.length >= 4 ? [{ code: like(plain) }] : []),
          ],
        };
  const { rows, count: total } = await GiftCardRow.findAndCountAll({
    where: { shopId, ...sought },
    order: [
      ["createdAt", "DESC"],
      ["id", "ASC"],
    ],
    limit: PAGE,
    offset: (page - 1) * PAGE,
  });
  const orders = await OrderRow.findAll({
    where: { id: rows.flatMap(({ orderId }) => orderId ?? []) },
    attributes: ["id", "number"],
  });
  const numbers = new Map(orders.map(({ id, number }) => [id, number]));
  const open = await database().query<{ currency: string; left: string }>(
    `SELECT currency, SUM(rest) AS \`left\` FROM giftCards WHERE shopId = ? AND isOff = 0 AND isTest = 0
     AND (until IS NULL OR until > ?) GROUP BY currency`,
    { type: QueryTypes.SELECT, replacements: [shopId, new Date()] },
  );
  return {
    cards: rows.map((row) => listed(row, numbers.get(row.orderId ?? "") ?? null)),
    total,
    pages: Math.max(1, Math.ceil(total / PAGE)),
    open: open.map(({ currency, left }) => ({ currency, left: Number(left) })),
  };
}

/** Makes a card by the seller’s own hand: given away, or sold elsewhere. */
export async function makeGiftCard(
  shopId: string,
  given: CardFor & { readonly amount: number; readonly currency: string; readonly until: number | null },
): Promise<IssuedCard> {
  const { until, ...rest } = given;
  const row = await makeCard({
    ...rest,
    shopId,
    orderId: null,
    isTest: false,
    until: until === null ? null : new Date(until),
  });
  return issued(row);
}

/** Ends a card, or makes it good again; false where there is none. */
export const setCardOff = (shopId: string, id: string, isOff: boolean): Promise<boolean> =>
  atomically(async (transaction) => {
    const row = await GiftCardRow.findOne({ where: { id, shopId }, transaction, lock: true });
    await row?.update({ isOff }, { transaction });
    return row !== null;
  });
