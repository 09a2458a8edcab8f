import { hash, verify } from "@node-rs/argon2";
import { Op, UniqueConstraintError, type Transaction } from "sequelize";
import { plainMail, withAddress, type SavedAddress } from "~/core/account";
import { newId } from "~/core/document";
import type { PostalAddress } from "~/core/selling";
import { newSecret, sha256 } from "../accounts/index.server";
import { atomically, OrderRow, Shopper, ShopperLink } from "../database/index.server";
import { countTry, forgive, placeOf, takeBack, waitWords, within } from "../limits/index.server";
import { closeOtherSessions, identityOf, type ShopperIdentity } from "./sessions";

// Whether somebody has an account is nobody else's business: every answer is the same for an address that has one and one that has none, and takes as
// long. What differs is the letter, which only whoever reads the letters of that address sees.

/** Tries that cost no waiting: of one account, from one place. */
const FREE_OF_ACCOUNT = 5;
const FREE_OF_PLACE = 30;
const FREE_OF_LINK = 10;
const HOUR = 3600;
const MOST_LETTERS_TO_ONE = 4;
const MOST_LETTERS_FROM_PLACE = 20;
const MOST_LETTERS_OF_SHOP = 500;
const LINK_MINUTES = 60;

export type ShopperResult =
  { readonly ok: true; readonly shopper: ShopperIdentity } | { readonly ok: false; readonly why: string };

const tooMany = (seconds: number) => `Too many tries. Please wait ${waitWords(seconds)}, then try again.`;
const WRONG = "The address or the password is wrong.";

const shopperWith = async (shopId: string, mail: string, transaction?: Transaction): Promise<Shopper | null> =>
  Shopper.findOne({ where: { shopId, mail }, ...(transaction ? { transaction } : {}) });

/** The account that an order of somebody belongs to; null where they have none. */
export const shopperIdFor = async (shopId: string, mail: string): Promise<string | null> =>
  (await shopperWith(shopId, plainMail(mail).slice(0, 254)))?.id ?? null;

/** Compared with where there is no such account, so that this takes as long as for one that there is. */
const nobody = hash("no account has this password");

/** Checks address and password; each try is counted before it is checked. `from`: the address that asks. */
export async function signInShopper(
  shopId: string,
  address: string,
  password: string,
  from: string,
  now = Date.now(),
): Promise<ShopperResult> {
  const mail = plainMail(address).slice(0, 254);
  const own = `shopper:${shopId}:${mail}`;
  const place = `shoppers:${shopId}:${placeOf(from)}`;
  const seconds = Math.max(await countTry(place, FREE_OF_PLACE, now), await countTry(own, FREE_OF_ACCOUNT, now));
  if (seconds > 0) return { ok: false, why: tooMany(seconds) };
  const shopper = await shopperWith(shopId, mail);
  const fits = await verify(shopper?.password ?? (await nobody), password.slice(0, 200));
  if (!shopper || !fits) return { ok: false, why: WRONG };
  await forgive(own);
  await takeBack(place, now);
  return { ok: true, shopper: identityOf(shopper) };
}

/** What a letter says to whoever reads it. */
type Linked = { readonly to: string; readonly name: string; readonly token: string };
/** Letters whose words are the seller’s, and those that say the same in every shop. */
export type OpeningLetter = { readonly what: "open" | "forgotten" } & Linked;
export type FixedLetter =
  | ({ readonly what: "known" | "mail" } & Linked)
  | { readonly what: "moved" | "deleted" | "changed"; readonly to: string; readonly name: string };
export type ShopperLetter = OpeningLetter | FixedLetter;
export type SendLetter = (letter: ShopperLetter) => Promise<unknown>;

async function makeLink(
  shopId: string,
  mail: string,
  name: string,
  shopperId: string | null,
  now: number,
): Promise<string> {
  const token = newSecret();
  await ShopperLink.destroy({ where: { expiresAt: { [Op.lt]: new Date(now) } } });
  await ShopperLink.create({
    id: sha256(token),
    shopId,
    shopperId,
    mail,
    name,
    expiresAt: new Date(now + LINK_MINUTES * 60_000),
  });
  return token;
}

/** Whether a letter may go to an address: somebody else's box is not to be filled from here. */
async function mayWrite(shopId: string, mail: string, from: string, now: number): Promise<boolean> {
  return (
    (await within(`shopper-letters:${shopId}:${placeOf(from)}`, MOST_LETTERS_FROM_PLACE, HOUR, now)) &&
    (await within(`shopper-letters:${shopId}`, MOST_LETTERS_OF_SHOP, HOUR, now)) &&
    (await within(`shopper-letter:${shopId}:${mail}`, MOST_LETTERS_TO_ONE, HOUR, now))
  );
}

/**
 * Writes to whoever wants an account, or has forgotten the password of one. The answer is given before anything of it is done; `done`
 * settles when the letter is written.
 */
export function askForLink(
  shopId: string,
  why: "register" | "forgotten",
  { mail: address, name }: { readonly mail: string; readonly name: string },
  from: string,
  send: SendLetter,
  now = Date.now(),
): { readonly done: Promise<void> } {
  const write = async () => {
    const mail = plainMail(address).slice(0, 254);
    if (!(await mayWrite(shopId, mail, from, now))) return;
    const known = await shopperWith(shopId, mail);
    if (!known && why === "forgotten") return;
    const called = known?.name ?? name;
    const token = await makeLink(shopId, mail, called, null, now);
    const linked = { to: mail, name: called, token };
    if (known && why === "register") await send({ what: "known", ...linked });
    else await send({ what: known ? "forgotten" : "open", ...linked });
  };
  return { done: write().catch((error: unknown) => console.error("a letter about an account was not sent:", error)) };
}

const TOKEN = /^[\w-]{43}$/;

async function linkWith(shopId: string, token: string, now: number, transaction?: Transaction) {
  if (!TOKEN.test(token)) return null;
  return ShopperLink.findOne({
    where: { id: sha256(token), shopId, expiresAt: { [Op.gt]: new Date(now) } },
    ...(transaction ? { transaction, lock: true } : {}),
  });
}

/** Whom a link in a letter is for, and what it does; undefined where it is none, or no longer. */
export async function linkSays(
  shopId: string,
  token: string,
  now = Date.now(),
): Promise<{ readonly mail: string; readonly name: string; readonly does: "open" | "mail" } | undefined> {
  const link = await linkWith(shopId, token, now);
  return link ? { mail: link.mail, name: link.name, does: link.shopperId === null ? "open" : "mail" } : undefined;
}

const OLD_LINK = "This link is no longer good. Ask for a new one.";

/**
 * Sets the password of whoever opened the link in their letter, and makes the account where there is none. Every browser is signed out. What
 * they had ordered with that address belongs to the account from then on.
 */
export async function openAccount(
  shopId: string,
  token: string,
  password: string,
  from: string,
  now = Date.now(),
): Promise<ShopperResult> {
  const tries = `shopper-link:${placeOf(from)}`;
  const seconds = await countTry(tries, FREE_OF_LINK, now);
  if (seconds > 0) return { ok: false, why: tooMany(seconds) };
  const stored = await hash(password);
  const shopper = await atomically(async (transaction) => {
    const link = await linkWith(shopId, token, now, transaction);
    if (!link || link.shopperId !== null) return undefined;
    const { mail, name } = link;
    const known = await Shopper.findOne({ where: { shopId, mail }, transaction, lock: true });
    const own =
      known ??
      (await Shopper.create(
        { id: newId(), shopId, mail, name, password: stored, addresses: "[]", createdAt: new Date(now) },
        { transaction },
      ));
    if (known) await known.update({ password: stored }, { transaction });
    else await claimOrders(own, transaction);
    await ShopperLink.destroy({ where: { shopId, mail }, transaction });
    return own;
  });
  if (!shopper) return { ok: false, why: OLD_LINK };
  await forgive(tries);
  await forgive(`shopper:${shopId}:${shopper.mail}`);
  await closeOtherSessions(shopper.id);
  return { ok: true, shopper: identityOf(shopper) };
}

/** Makes an account of somebody who is known to read the letters of that address. */
export async function addShopper(
  shopId: string,
  { mail, name, password }: { readonly mail: string; readonly name: string; readonly password: string },
): Promise<void> {
  const stored = await hash(password);
  await atomically(async (transaction) => {
    const made = { id: newId(), shopId, mail: plainMail(mail), name, password: stored, addresses: "[]" };
    await claimOrders(await Shopper.create({ ...made, createdAt: new Date() }, { transaction }), transaction);
  });
}

/** Gives orders that were made with an address to the account of whoever reads its letters. */
async function claimOrders({ id, shopId, mail }: Shopper, transaction: Transaction): Promise<void> {
  const rows = await OrderRow.findAll({
    where: { shopId, mail, shopperId: null },
    attributes: ["id", "mail"],
    transaction,
  });
  // To the table, é is e.
  const own = rows.filter((row) => plainMail(row.mail) === mail).map((row) => row.id);
  if (own.length) await OrderRow.update({ shopperId: id }, { where: { id: own }, transaction });
}

export const renameShopper = async (id: string, name: string): Promise<void> =>
  void (await Shopper.update({ name }, { where: { id } }));

export type Checked = { readonly ok: true } | { readonly ok: false; readonly why: string };

/** Whether somebody who is signed in knows their password. Tries are counted: a browser can be left open. */
async function knows(id: string, password: string): Promise<Checked> {
  const seconds = await countTry(`shopper-check:${id}`, FREE_OF_LINK);
  if (seconds > 0) return { ok: false, why: tooMany(seconds) };
  const shopper = await Shopper.findByPk(id, { rejectOnEmpty: true });
  if (!(await verify(shopper.password, password.slice(0, 200))))
    return { ok: false, why: "This is not your password." };
  await forgive(`shopper-check:${id}`);
  return { ok: true };
}

/** Changes a password for whoever knows the old one; other browsers are signed out, and links in letters end. */
export async function changeShopperPassword(
  { id, mail, name }: ShopperIdentity,
  shopId: string,
  { password, fresh }: { readonly password: string; readonly fresh: string },
  secret: string | undefined,
  send: SendLetter,
): Promise<Checked> {
  const known = await knows(id, password);
  if (!known.ok) return known;
  await Shopper.update({ password: await hash(fresh) }, { where: { id } });
  await ShopperLink.destroy({ where: { shopId, mail } });
  await closeOtherSessions(id, secret);
  await send({ what: "changed", to: mail, name });
  return known;
}

/** Writes to a new address of somebody: it is theirs once they have opened the link there. */
export async function askForMail(
  { id, name }: ShopperIdentity,
  shopId: string,
  address: string,
  password: string,
  from: string,
  send: SendLetter,
  now = Date.now(),
): Promise<Checked> {
  const known = await knows(id, password);
  if (!known.ok) return known;
  const mail = plainMail(address).slice(0, 254);
  // Whether another account has it is said to nobody: then the link there does nothing.
  if (await mayWrite(shopId, mail, from, now))
    await send({ what: "mail", to: mail, name, token: await makeLink(shopId, mail, name, id, now) });
  return known;
}

/** Makes the address of a link that of the account for which it was asked; the address before it is told. */
export async function changeMail(shopId: string, token: string, send: SendLetter, now = Date.now()): Promise<Checked> {
  const old = { ok: false, why: OLD_LINK } as const;
  try {
    const moved = await atomically(async (transaction) => {
      const link = await linkWith(shopId, token, now, transaction);
      if (!link?.shopperId) return undefined;
      const shopper = await Shopper.findOne({ where: { id: link.shopperId, shopId }, transaction, lock: true });
      await link.destroy({ transaction });
      if (!shopper) return undefined;
      const before = { to: shopper.mail, name: shopper.name };
      await shopper.update({ mail: link.mail }, { transaction });
      await claimOrders(shopper, transaction);
      return before;
    });
    if (!moved) return old;
    await send({ what: "moved", ...moved });
    return { ok: true };
  } catch (error) {
    if (error instanceof UniqueConstraintError) return old;
    throw error;
  }
}

/** Changes the addresses that somebody keeps, alone. */
async function changeAddresses(
  id: string,
  change: (all: readonly SavedAddress[]) => readonly SavedAddress[],
): Promise<void> {
  await atomically(async (transaction) => {
    const shopper = await Shopper.findByPk(id, { transaction, lock: true });
    if (!shopper) return;
    const { addresses } = identityOf(shopper);
    await shopper.update({ addresses: JSON.stringify(change(addresses)) }, { transaction });
  });
}

/** Keeps an address: in the place of the one with this id, or as the first of all. */
export const keepAddress = (id: string, address: PostalAddress, at = ""): Promise<void> =>
  changeAddresses(id, (all) =>
    all.some((each) => each.id === at)
      ? all.map((each) => (each.id === at ? { ...address, id: at } : each))
      : withAddress(all, address, newId()),
  );

export const dropAddress = (id: string, at: string): Promise<void> =>
  changeAddresses(id, (all) => all.filter((each) => each.id !== at));

/** Takes an account away for whoever knows its password. Orders stay the shop’s, and belong to nobody from then on. */
export async function deleteShopper(
  { id, mail, name }: ShopperIdentity,
  shopId: string,
  password: string,
  send: SendLetter,
): Promise<Checked> {
  const known = await knows(id, password);
  if (!known.ok) return known;
  await atomically(async (transaction) => {
    await ShopperLink.destroy({ where: { shopId, mail }, transaction });
    await Shopper.destroy({ where: { id, shopId }, transaction });
  });
  await send({ what: "deleted", to: mail, name });
  return known;
}

/** How many shoppers have an account of a shop. */
export const shoppersOf = (shopId: string): Promise<number> => Shopper.count({ where: { shopId } });
