import { Op } from "sequelize";
import { savedAddress, type SavedAddress } from "~/core/account";
import { z } from "zod";
import { newSecret, sha256 } from "../accounts/index.server";
import { database, Shopper, ShopperSession } from "../database/index.server";

// Sessions of shoppers are no sessions of the studio: another table, another cookie, at another host.

export const SESSION_DAYS = 30;
const DAY_MS = 86_400_000;
const NOTE_EVERY_MS = 60_000;
/** The most browsers in which one shopper is signed in; those used last stay. */
const MOST_SESSIONS = 20;

/** Somebody who is signed in to their account of a shop. */
export type ShopperIdentity = {
  readonly id: string;
  readonly mail: string;
  readonly name: string;
  readonly addresses: readonly SavedAddress[];
};

const addressesSchema = z.array(savedAddress).catch([]);

export const identityOf = ({ id, mail, name, addresses }: Shopper): ShopperIdentity => ({
  id,
  mail,
  name,
  addresses: addressesSchema.parse(JSON.parse(addresses)),
});

/** Signs somebody in, and gives the secret that only their browser keeps. */
export async function openShopperSession(shopperId: string, now = Date.now()): Promise<string> {
  const secret = newSecret();
  const at = new Date(now);
  await ShopperSession.create({
    id: sha256(secret),
    shopperId,
    openedAt: at,
    seenAt: at,
    expiresAt: new Date(now + SESSION_DAYS * DAY_MS),
  });
  await ShopperSession.destroy({ where: { expiresAt: { [Op.lt]: at } } });
  await database().query(
    `DELETE FROM shopperSessions WHERE shopperId = :shopperId AND id NOT IN
     (SELECT id FROM (SELECT id FROM shopperSessions WHERE shopperId = :shopperId
      ORDER BY seenAt DESC LIMIT ${MOST_SESSIONS}) AS newest)`,
    { replacements: { shopperId } },
  );
  return secret;
}

const isSecret = (secret: string | undefined): secret is string => /^[\w-]{43}$/.test(secret ?? "");

/** Who is signed in to a shop with a secret; undefined where nobody is. A session of another shop is none. */
export async function shopperOfSession(
  shopId: string,
  secret: string | undefined,
  now = Date.now(),
): Promise<ShopperIdentity | undefined> {
  if (!isSecret(secret)) return undefined;
  const session = await ShopperSession.findOne({
    where: { id: sha256(secret), expiresAt: { [Op.gt]: new Date(now) } },
  });
  const shopper = session && (await Shopper.findOne({ where: { id: session.shopperId, shopId } }));
  if (!shopper) return undefined;
  if (now - session.seenAt.getTime() > NOTE_EVERY_MS) await session.update({ seenAt: new Date(now) });
  return identityOf(shopper);
}

export async function closeShopperSession(secret: string | undefined): Promise<void> {
  if (isSecret(secret)) await ShopperSession.destroy({ where: { id: sha256(secret) } });
}

/** Signs somebody out everywhere but in the browser with this secret. */
export async function closeOtherSessions(shopperId: string, secret?: string): Promise<void> {
  await ShopperSession.destroy({
    where: { shopperId, ...(isSecret(secret) ? { id: { [Op.ne]: sha256(secret) } } : {}) },
  });
}
