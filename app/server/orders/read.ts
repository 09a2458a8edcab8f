import { randomBytes } from "node:crypto";
import { col, Op, type Transaction, type WhereOptions } from "sequelize";
import { writeCsv } from "~/core/formats";
import { decimalMoney } from "~/core/money";
import {
  orderBody,
  paidByCards,
  paidWith,
  standingWords,
  type Order,
  type OrderEvent,
  type OrderFilter,
  type OrdersAsked,
  type ListedOrder,
} from "~/core/orders";
import { addressLines, countryName } from "~/core/selling";
import { atomically, OrderEventRow, OrderRow } from "../database/index.server";

/** What stands in the link by which whoever bought it sees an order: 256 bits. */
export const newToken = (): string => randomBytes(32).toString("base64url");

/** An order as it is stored. @throws where it is none that was placed */
export function toOrder(row: OrderRow): Order {
  return {
    id: row.id,
    number: row.number!,
    isTest: row.isTest,
    at: row.createdAt.getTime(),
    state: row.state as Order["state"],
    handed: row.handed,
    paid: row.paid,
    refunded: row.refunded,
    version: row.version,
    body: orderBody.parse(JSON.parse(row.body!)),
  };
}

const listed = (row: OrderRow): ListedOrder => {
  const order = toOrder(row);
  return {
    id: order.id,
    number: order.number,
    isTest: order.isTest,
    at: order.at,
    buyer: row.buyer,
    mail: row.mail,
    total: order.body.total,
    currency: order.body.currency,
    count: order.body.lines.reduce((sum, line) => sum + line.count, 0),
    standing: standingWords(order),
  };
};

const PAGE = 50;
const PLACED = { number: { [Op.ne]: null } };

const DONE = { state: "placed", handed: ["sent", "collected"], refunded: 0 };

function narrowed(filter: OrderFilter): WhereOptions {
  switch (filter) {
    case "all":
      return { isTest: false };
    case "test":
      return { isTest: true };
    case "to-pay":
      // A gift card may have paid a part of it.
      return { isTest: false, state: "placed", paid: { [Op.lt]: col("total") } };
    case "to-hand":
      return { isTest: false, state: "placed", handed: ["open", "ready"] };
    case "done":
      return { isTest: false, ...DONE };
    case "cancelled":
      return { isTest: false, [Op.or]: [{ state: "cancelled" }, { refunded: { [Op.gt]: 0 } }] };
  }
}

const like = (text: string) => ({ [Op.like]: `%${text.replace(/[\\%_]/g, "\\$&")}%` });

/** Words that are looked for: a number; or a name, an address, what was bought. */
function found(find: string): WhereOptions {
  if (find === "") return {};
  const number = /^#?T?(\d{1,9})$/i.exec(find)?.[1];
  if (number !== undefined) return { number: Number(number) };
  return { [Op.or]: [{ buyer: like(find) }, { mail: like(find) }, { words: like(find) }] };
}

/** A page of a shop's orders, the latest first. */
export async function ordersOf(
  shopId: string,
  { find, filter, page }: OrdersAsked,
): Promise<{ readonly orders: readonly ListedOrder[]; readonly total: number; readonly pages: number }> {
  const { rows, count: total } = await OrderRow.findAndCountAll({
    where: { [Op.and]: [{ shopId, ...PLACED }, narrowed(filter), found(find)] },
    order: [
      ["createdAt", "DESC"],
      ["number", "DESC"],
    ],
    limit: PAGE,
    offset: (page - 1) * PAGE,
  });
  return { orders: rows.map(listed), total, pages: Math.max(1, Math.ceil(total / PAGE)) };
}

export type OrderCounts = Readonly<Record<OrderFilter, number>>;

/** How many orders there are of each sort. */
export async function countsOf(shopId: string): Promise<OrderCounts> {
  const many = (filter: OrderFilter) =>
    OrderRow.count({ where: { [Op.and]: [{ shopId, ...PLACED }, narrowed(filter)] } });
  const [all, toPay, toHand, done, cancelled, test] = await Promise.all(
    (["all", "to-pay", "to-hand", "done", "cancelled", "test"] as const).map(many),
  );
  return { all: all!, "to-pay": toPay!, "to-hand": toHand!, done: done!, cancelled: cancelled!, test: test! };
}

export type WholeOrder = {
  readonly order: Order;
  readonly events: readonly OrderEvent[];
  /** The link by which whoever bought it sees it. */
  readonly token: string;
};

async function whole(row: OrderRow | null, transaction?: Transaction): Promise<WholeOrder | undefined> {
  if (!row?.body || row.number === null) return undefined;
  const events = await OrderEventRow.findAll({
    where: { orderId: row.id },
    order: [["id", "ASC"]],
    raw: true,
    ...(transaction ? { transaction } : {}),
  });
  return {
    order: toOrder(row),
    token: row.token ?? "",
    events: events.map(({ what, text, amount, createdAt }) => ({
      what,
      text,
      amount: amount === null ? null : Number(amount),
      at: new Date(createdAt).getTime(),
    })),
  };
}

/** One order of a shop with its history; somebody else's is the same as none. */
export const orderOf = async (shopId: string, id: string, transaction?: Transaction): Promise<WholeOrder | undefined> =>
  whole(await OrderRow.findOne({ where: { id, shopId }, ...(transaction ? { transaction } : {}) }), transaction);

const OWN_PAGE = 10;

/** What somebody with an account has bought, the latest first. */
export async function ordersOfShopper(
  shopId: string,
  shopperId: string,
  page: number,
): Promise<{ readonly orders: readonly Order[]; readonly hasMore: boolean }> {
  const rows = await OrderRow.findAll({
    where: { shopId, shopperId, ...PLACED },
    order: [
      ["createdAt", "DESC"],
      ["number", "DESC"],
    ],
    limit: OWN_PAGE + 1,
    offset: (page - 1) * OWN_PAGE,
  });
  return { orders: rows.slice(0, OWN_PAGE).map(toOrder), hasMore: rows.length > OWN_PAGE };
}

/** One of them, by its number as it is written (“12”, or “T3” for a test); somebody else's is the same as none. */
export async function orderOfShopper(
  shopId: string,
  shopperId: string,
  written: string,
): Promise<WholeOrder | undefined> {
  const [, test, number] = /^(T?)(\d{1,9})$/.exec(written) ?? [];
  if (number === undefined) return undefined;
  return whole(await OrderRow.findOne({ where: { shopId, shopperId, isTest: test !== "", number: Number(number) } }));
}

/** All that somebody with an account has bought. */
export const allOrdersOf = async (shopId: string, shopperId: string): Promise<readonly Order[]> =>
  (await OrderRow.findAll({ where: { shopId, shopperId, ...PLACED }, order: [["createdAt", "ASC"]] })).map(toOrder);

/** The link to an order is good for so long after it was placed, in days. */
const LINK_DAYS = 180;
const DAY = 86_400_000;

/** An order that waits for its payment has no number yet; what is known of it is how it stands. */
export type ByToken =
  | ({ readonly is: "placed" } & WholeOrder)
  | { readonly is: "held"; readonly id: string; /** The bank asks whether it is them. */ readonly asks: boolean }
  | { readonly is: "gone" }
  /** The link was good for so long only. */
  | { readonly is: "old"; readonly id: string };

const isOld = ({ linkAt, createdAt }: OrderRow, now: number): boolean =>
  (linkAt ?? createdAt).getTime() < now - LINK_DAYS * DAY;

/** Makes a new link to an order whose link is no longer good; the one before it leads nowhere then. */
export async function renewLink(id: string, now = Date.now()): Promise<void> {
  const seen = await OrderRow.findByPk(id, { attributes: ["linkAt", "createdAt"] });
  if (!seen || !isOld(seen, now)) return;
  await atomically(async (transaction) => {
    const row = await OrderRow.findByPk(id, { transaction, lock: true });
    // Another letter may have brought a new one meanwhile, which is to stay good.
    if (row && isOld(row, now)) await row.update({ token: newToken(), linkAt: new Date(now) }, { transaction });
  });
}

/** The order to which a link leads; undefined where it leads nowhere, or no longer. */
export async function orderByToken(shopId: string, token: string, now = Date.now()): Promise<ByToken | undefined> {
  if (!/^[\w-]{43}$/.test(token)) return undefined;
  const row = await OrderRow.findOne({ where: { token, shopId } });
  if (!row) return undefined;
  if (isOld(row, now)) return row.number === null ? undefined : { is: "old", id: row.id };
  if (row.state === "held") return { is: "held", id: row.id, asks: row.bankAsks };
  if (row.state === "gone") return { is: "gone" };
  const found = await whole(row);
  return found && { is: "placed", ...found };
}

/** The order that a form made which was sent with this; undefined where there is none. */
export async function orderPressed(
  shopId: string,
  pressed: string,
): Promise<{ readonly token: string; readonly state: OrderRow["state"] } | undefined> {
  const row = await OrderRow.findOne({ where: { shopId, pressed }, attributes: ["token", "state"] });
  return row?.token ? { token: row.token, state: row.state } : undefined;
}

/** All orders as a table, a line for each thing that was bought. */
export async function ordersFile(shopId: string): Promise<string> {
  const rows = await OrderRow.findAll({ where: { shopId, isTest: false, ...PLACED }, order: [["number", "ASC"]] });
  const table = rows.flatMap((row) => {
    const { number, at, body, paid, refunded, ...standing } = toOrder(row);
    const money = (amount: number) => decimalMoney(amount, body.currency);
    const to = body.to;
    return body.lines.map((line) => [
      String(number),
      new Date(at).toISOString(),
      standingWords({ ...standing, paid, refunded, body }).join(", "),
      body.name,
      body.mail,
      body.phone,
      [to?.street, to?.more].filter(Boolean).join(", "),
      to?.postcode ?? "",
      to?.town ?? "",
      to?.area ?? "",
      to ? countryName(to.country) : "",
      body.bill ? addressLines(body.bill, countryName).join(", ") : "",
      body.way.name,
      line.sku,
      line.title,
      String(line.count),
      money(line.total),
      money(body.delivery.total),
      money(body.tax?.tax ?? 0),
      money(body.total),
      paidWith(body),
      money(paidByCards(body)),
      money(paid),
      money(refunded),
      body.currency,
      body.note,
    ]);
  });
  return writeCsv(
    [
      "Order",
      "Placed",
      "Status",
      "Name",
      "Mail",
      "Phone",
      "Street",
      "Postcode",
      "Town",
      "Region",
      "Country",
      "Bill to",
      "Delivery",
      "SKU",
      "Product",
      "Quantity",
      "Line total",
      "Delivery price",
      "Tax",
      "Total",
      "Paid with",
      "Paid by gift cards",
      "Paid",
      "Refunded",
      "Currency",
      "Note",
    ],
    table,
  );
}
