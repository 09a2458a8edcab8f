import { randomBytes } from "node:crypto";
import { QueryTypes } from "sequelize";
import type { ListState, MailList, Subscriber } from "~/core/mail";
import { AlertRow, atomically, database, ShopRow, SignUp } from "../database/index.server";
import { within } from "../limits/index.server";

/** Letters that ask one address to confirm, in a day, and all of one shop in an hour: a shop is no way to write to strangers. */
const MOST_ASKED = 3;
const MOST_ASKED_OF_SHOP = 200;

/** What became of somebody who wants to be on a list. `ask`: a letter has to ask them, with this token. */
export type Joined = {
  readonly then: "ask" | "joined" | "nothing";
  readonly token: string;
  /** The shop confirms sign-ups by mail. */
  readonly asks: boolean;
};

/** Whether sign-ups of a shop are confirmed by mail. */
export async function confirmsByMail(shopId: string): Promise<boolean> {
  return (await ShopRow.findByPk(shopId, { attributes: ["confirmsByMail"] }))?.confirmsByMail ?? false;
}

export const setConfirmsByMail = async (shopId: string, confirmsByMail: boolean): Promise<void> =>
  void (await ShopRow.update({ confirmsByMail }, { where: { id: shopId } }));

/** Puts somebody on a list, or notes that they have to be asked. Whoever is on it already stays as they are. */
export async function join(
  shopId: string,
  list: string,
  address: string,
  page: string,
  now = Date.now(),
): Promise<Joined> {
  const asks = await confirmsByMail(shopId);
  const at = new Date(now);
  const joined = await atomically(async (transaction): Promise<Joined> => {
    const known = await SignUp.findOne({ where: { shopId, list, address }, transaction, lock: true });
    if (known?.state === "on") return { then: "nothing", token: known.token, asks };
    const token = known?.token || randomBytes(16).toString("hex");
    const state: ListState = asks ? "asked" : "on";
    const row = { state, token, page: page.slice(0, 300), onAt: asks ? null : at, offAt: null, offBy: null };
    if (known) await known.update(row, { transaction });
    else await SignUp.create({ shopId, list, address, createdAt: at, ...row }, { transaction });
    return { then: asks ? "ask" : "joined", token, asks };
  });
  if (joined.then !== "ask") return joined;
  const may =
    (await within(`list-ask:${shopId}:${address}`, MOST_ASKED, 86_400, now)) &&
    (await within(`list-ask:${shopId}`, MOST_ASKED_OF_SHOP, 3600, now));
  return may ? joined : { ...joined, then: "nothing" };
}

const TOKEN = /^[\da-f]{32}$/;

/** Whom a token of a letter belongs to; undefined where it is none. */
export async function whoHas(
  shopId: string,
  token: string,
): Promise<{ readonly list: string; readonly address: string; readonly state: ListState } | undefined> {
  const row = TOKEN.test(token) ? await SignUp.findOne({ where: { shopId, token } }) : null;
  return row ? { list: row.list, address: row.address, state: row.state } : undefined;
}

/** Notes that somebody said yes to being on a list. False where they were on it already, or the token is none. */
export async function confirm(shopId: string, token: string, now = Date.now()): Promise<boolean> {
  if (!TOKEN.test(token)) return false;
  const [count] = await SignUp.update(
    { state: "on", onAt: new Date(now), offAt: null, offBy: null },
    { where: { shopId, token, state: "asked" } },
  );
  return count > 0;
}

/** Takes somebody off a list. `letter`: from which they left. */
export async function leave(
  shopId: string,
  token: string,
  letter: string | undefined,
  now = Date.now(),
): Promise<void> {
  if (!TOKEN.test(token)) return;
  await SignUp.update(
    { state: "off", offAt: new Date(now), offBy: letter ?? null },
    { where: { shopId, token, state: ["on", "asked"] } },
  );
}

/** The lists of a shop with how many are on each. */
export async function listsOf(shopId: string): Promise<readonly MailList[]> {
  const rows = await database().query<{ list: string; state: ListState; count: number }>(
    "SELECT list, state, COUNT(*) AS count FROM signUps WHERE shopId = ? GROUP BY list, state ORDER BY list",
    { type: QueryTypes.SELECT, replacements: [shopId] },
  );
  const names = [...new Set(rows.map(({ list }) => list))];
  const of = (name: string, state: ListState) =>
    Number(rows.find((row) => row.list === name && row.state === state)?.count ?? 0);
  return names.map((name) => ({ name, on: of(name, "on"), asked: of(name, "asked"), off: of(name, "off") }));
}

/** Those of one list, the latest first. */
export async function subscribersOf(shopId: string, list: string, most = 50_000): Promise<readonly Subscriber[]> {
  const rows = await SignUp.findAll({
    where: { shopId, list },
    order: [
      ["createdAt", "DESC"],
      ["address", "ASC"],
    ],
    limit: most,
    raw: true,
  });
  const time = (at: Date | null) => (at ? new Date(at).getTime() : null);
  return rows.map(({ address, state, page, createdAt, onAt, offAt }) => ({
    list,
    address,
    state,
    page,
    at: new Date(createdAt).getTime(),
    onAt: time(onAt),
    offAt: time(offAt),
  }));
}

/** The lists that an address is on, or was. */
export async function listsWith(
  shopId: string,
  address: string,
): Promise<readonly { readonly list: string; readonly state: ListState; readonly at: number }[]> {
  const rows = await SignUp.findAll({ where: { shopId, address }, order: [["list", "ASC"]], raw: true });
  return rows
    .filter((row) => row.address === address)
    .map(({ list, state, createdAt }) => ({ list, state, at: new Date(createdAt).getTime() }));
}

/** Puts an address that is known to be somebody's onto a list, or takes it off, without asking them once more. */
export async function setOnList(
  shopId: string,
  list: string,
  address: string,
  isOn: boolean,
  page: string,
  now = Date.now(),
): Promise<void> {
  const at = new Date(now);
  await atomically(async (transaction) => {
    const known = await SignUp.findOne({ where: { shopId, list, address }, transaction, lock: true });
    if ((known?.state === "on") === isOn) return;
    const row = isOn
      ? { state: "on" as const, onAt: at, offAt: null, offBy: null }
      : { state: "off" as const, offAt: at, offBy: null };
    if (known) await known.update(row, { transaction });
    else if (isOn)
      await SignUp.create(
        {
          shopId,
          list,
          address,
          token: randomBytes(16).toString("hex"),
          page,
          createdAt: at,
          onAt: at,
          offAt: null,
          offBy: null,
        },
        { transaction },
      );
  });
}

/** Forgets an address on every list of a shop. */
export async function forgetAddress(shopId: string, address: string): Promise<void> {
  await SignUp.destroy({ where: { shopId, address } });
  await AlertRow.destroy({ where: { shopId, address } });
}

/** Forgets people altogether: what a seller has to be able to do when somebody asks for it. */
export const forgetPeople = async (shopId: string, list: string, addresses: readonly string[]): Promise<void> =>
  void (await SignUp.destroy({ where: { shopId, list, address: [...addresses] } }));
