import { randomBytes } from "node:crypto";
import { Op, type Transaction } from "sequelize";
import { z } from "zod";
import { cartProblem, mostOf, variantById, type Goods } from "~/core/goods";
import type { CartLine } from "~/kinds/parts";
import { AlertRow, atomically, CartRow } from "../database/index.server";

/** What is stored of a cart: what, how many, and the codes that were given. Prices are always those of now. */
type Line = { readonly product: string; readonly variant: string | null; readonly count: number };
type Stored = { readonly lines: readonly Line[]; readonly codes: readonly string[] };
const storedLines = z.array(
  z.object({ product: z.string(), variant: z.string().nullable(), count: z.number().int().min(1) }),
);
const stored = z.union([
  z.object({ lines: storedLines, codes: z.array(z.string()) }),
  // Carts from before there were codes are their lines alone.
  storedLines.transform((lines) => ({ lines, codes: [] })),
]);
const read = (row: CartRow | null): Stored => (row ? stored.parse(JSON.parse(row.body)) : { lines: [], codes: [] });

const MOST_LINES = 100;
/** Of more codes than that, the first is forgotten. */
const MOST_CODES = 10;
const MOST_OF_ONE = 99;
/** A cart that nobody touched for so long is gone. */
const KEPT_DAYS = 60;
const DAY = 86_400_000;

export const isCartId = (text: string | undefined): text is string => /^[\w-]{43}$/.test(text ?? "");
const newCartId = () => randomBytes(32).toString("base64url");

/** A cart as it is shown: with the goods that there are now, what is wrong with a line, and the codes that were given. */
export async function cartOf(
  shopId: string,
  id: string | undefined,
  goods: Goods,
): Promise<{ readonly lines: readonly CartLine[]; readonly codes: readonly string[] }> {
  const { lines, codes } = read(isCartId(id) ? await CartRow.findOne({ where: { id, shopId } }) : null);
  const shown = lines.flatMap((line): CartLine[] => {
    const product = goods.products.find((p) => p.id === line.product);
    const variant = product && variantById(product, line.variant);
    if (!product || (line.variant !== null && !variant)) return [];
    const problem = cartProblem(line.count, mostOf(product, variant));
    return [{ product, variant, count: line.count, ...(problem ? { problem } : {}) }];
  });
  return { lines: shown, codes };
}

/** Changes what is stored of a cart, alone; one is made when it is needed first. `change` gives undefined where nothing is to be stored. */
async function changed(
  shopId: string,
  id: string | undefined,
  change: (cart: Stored) => Stored | undefined,
): Promise<{ readonly id: string; readonly cart: Stored } | undefined> {
  return atomically(async (transaction) => {
    const row = isCartId(id) ? await CartRow.findOne({ where: { id, shopId }, transaction, lock: true }) : null;
    const cart = change(read(row));
    if (!cart) return undefined;
    const body = JSON.stringify(cart);
    const cartId = row?.id ?? newCartId();
    if (row) await row.update({ body, updatedAt: new Date() }, { transaction });
    else await CartRow.create({ id: cartId, shopId, body, updatedAt: new Date() }, { transaction });
    return { id: cartId, cart };
  });
}

const countOf = ({ lines }: Stored): number => lines.reduce((sum, line) => sum + line.count, 0);

/** Notes a code that a shopper gave, as `plainCode` writes it, or takes it out again. That there is such an offer is the caller's to know. */
export async function changeCode(
  shopId: string,
  id: string | undefined,
  code: string,
  how: "add" | "remove",
): Promise<{ readonly id: string; readonly count: number }> {
  const done = await changed(shopId, id, ({ lines, codes }) => {
    const others = codes.filter((each) => each !== code);
    return { lines, codes: how === "add" ? [...others, code].slice(-MOST_CODES) : others };
  });
  return { id: done!.id, count: countOf(done!.cart) };
}

export const cartInput = z.object({
  product: z.string().min(1).max(40),
  variant: z
    .string()
    .max(40)
    .default("")
    .transform((v) => v || null),
  count: z.coerce.number().int("Write a whole number.").min(0).max(MOST_OF_ONE, "That is too many.").default(1),
});

export type CartChanged =
  /** `gone`: so many pieces were taken out, and none of them is left. */
  | { readonly ok: true; readonly id: string; readonly count: number; readonly said: string; readonly gone: number }
  | { readonly ok: false; readonly why: string };

/**
 * Puts something into a cart (`add`) or says how many of it there are to be (`set`; 0 takes it out). What there is not
 * enough of is put in as far as it goes, and said. A cart is made when it is needed first.
 */
export async function changeCart(
  shopId: string,
  id: string | undefined,
  goods: Goods,
  how: "add" | "set",
  { product: productId, variant: variantId, count }: z.infer<typeof cartInput>,
): Promise<CartChanged> {
  const product = goods.products.find((p) => p.id === productId);
  if (!product && how === "add") return { ok: false, why: "This is no longer in the shop." };
  const variant = product && variantById(product, variantId);
  if (how === "add" && product!.variants.length && !variant)
    return { ok: false, why: "There is nothing in this combination. Choose another one." };
  const most = product ? Math.min(mostOf(product, variant), MOST_OF_ONE) : 0;
  if (how === "add" && most === 0) return { ok: false, why: `“${product!.title}” can’t be bought just now.` };
  let said = "";
  let gone = 0;
  const done = await changed(shopId, id, ({ lines: before, codes }) => {
    const lines = [...before];
    const at = lines.findIndex((l) => l.product === productId && l.variant === variantId);
    const has = lines[at]?.count ?? 0;
    const wanted = how === "add" ? has + Math.max(1, count) : count;
    const next = Math.min(wanted, most);
    said =
      wanted > next && next > 0
        ? has === next
          ? `All ${most} that there are lie in your cart already.`
          : `There are only ${most} of it; that many are in your cart.`
        : "";
    gone = next === 0 ? has : 0;
    if (next === 0) {
      if (at >= 0) lines.splice(at, 1);
    } else if (at >= 0) lines[at] = { ...lines[at]!, count: next };
    else if (lines.length >= MOST_LINES) return undefined;
    else lines.push({ product: productId, variant: variantId, count: next });
    return { lines, codes };
  });
  return done
    ? { ok: true, id: done.id, count: countOf(done.cart), said, gone }
    : { ok: false, why: "The cart is full." };
}

/** So long after it was asked for, a cart is brought to mind. */
const REMIND_HOURS = 24;
const AT_ONCE = 100;

/** Notes to whom a cart is to be brought to mind; false where there is no such cart. */
export async function remindOf(shopId: string, id: string | undefined, to: string, now = Date.now()): Promise<boolean> {
  if (!isCartId(id)) return false;
  const remindAt = new Date(now + REMIND_HOURS * 3_600_000);
  const [count] = await CartRow.update({ remindTo: to, remindAt }, { where: { id, shopId } });
  return count > 0;
}

/** Carts that are due to be brought to mind. */
export async function dueReminders(
  now: number,
): Promise<readonly { readonly id: string; readonly shopId: string; readonly to: string }[]> {
  const rows = await CartRow.findAll({
    where: { remindAt: { [Op.lte]: new Date(now) } },
    order: [["remindAt", "ASC"]],
    limit: AT_ONCE,
  });
  return rows.map(({ id, shopId, remindTo }) => ({ id, shopId, to: remindTo! }));
}

/** Forgets who is to be reminded of a cart; false where somebody else did already. */
export async function reminded(id: string, to: string): Promise<boolean> {
  const [count] = await CartRow.update({ remindTo: null, remindAt: null }, { where: { id, remindTo: to } });
  return count > 0;
}

/** How much is in a cart to which a letter leads back; undefined where it is gone. */
export async function cartCount(shopId: string, id: string): Promise<number | undefined> {
  const row = isCartId(id) ? await CartRow.findOne({ where: { id, shopId } }) : null;
  return row ? countOf(read(row)) : undefined;
}

/** Takes away a cart of which an order was made. */
export async function dropCart(shopId: string, id: string | undefined, transaction: Transaction): Promise<void> {
  if (isCartId(id)) await CartRow.destroy({ where: { id, shopId }, transaction });
}

/** Takes away carts that nobody came back to. */
export async function dropOldCarts(now = Date.now()): Promise<void> {
  await CartRow.destroy({ where: { updatedAt: { [Op.lt]: new Date(now - KEPT_DAYS * DAY) } } });
}

export const tellInput = z.object({
  product: z.string().min(1).max(40),
  variant: z.string().max(40).default(""),
  address: z.string().trim().toLowerCase().max(254).pipe(z.email("That is not a mail address. Please check it.")),
});

/** Notes who is to be told when something can be had. Twice is once. */
export async function tellWhenThere(shopId: string, goods: Goods, input: z.infer<typeof tellInput>): Promise<boolean> {
  if (!goods.products.some((p) => p.id === input.product)) return false;
  await AlertRow.upsert({
    shopId,
    productId: input.product,
    variantId: input.variant,
    address: input.address,
    createdAt: new Date(),
  });
  return true;
}

/** How many wait for each product. */
export async function waitingFor(shopId: string): Promise<ReadonlyMap<string, number>> {
  const rows = await AlertRow.findAll({ where: { shopId }, attributes: ["productId"], raw: true });
  const counts = new Map<string, number>();
  for (const { productId } of rows) counts.set(productId, (counts.get(productId) ?? 0) + 1);
  return counts;
}
