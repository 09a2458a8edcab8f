import { createHash, randomBytes } from "node:crypto";
import { Op } from "sequelize";
import { database, Device, Owner, Session } from "../database/index.server";

const SESSION_DAYS = 30;
const DEVICE_DAYS = 365;
const DAY_MS = 86_400_000;
/** How often it is noted that a session is in use, in ms. */
const NOTE_EVERY_MS = 60_000;
/** The most sessions and devices of one account; the ones that were used last stay. */
const MOST_SESSIONS = 50;
const MOST_DEVICES = 50;

export const sha256 = (text: string): string => createHash("sha256").update(text).digest("hex");
export const newSecret = (): string => randomBytes(32).toString("base64url");

export type OwnerIdentity = { readonly id: string; readonly name: string; readonly address: string };
export const identityOf = (owner: Owner): OwnerIdentity => ({ id: owner.id, name: owner.name, address: owner.address });

/** Who asks: from which address, and what the browser calls itself. */
export type Asker = { readonly place: string; readonly agent: string };

/** Keeps an owner's newest sessions or devices, and drops the rest. */
const keepNewest = (table: "sessions" | "devices", ownerId: string, most: number) =>
  database().query(
    `DELETE FROM ${table} WHERE ownerId = :ownerId AND id NOT IN
     (SELECT id FROM (SELECT id FROM ${table} WHERE ownerId = :ownerId ORDER BY seenAt DESC LIMIT ${most}) AS newest)`,
    { replacements: { ownerId } },
  );

/** Opens a session and gives its secret, which only the browser keeps; the database knows its hash. */
export async function openSession(ownerId: string, asker: Asker = { place: "", agent: "" }): Promise<string> {
  const secret = newSecret();
  const now = new Date();
  await Session.create({
    id: sha256(secret),
    ownerId,
    expiresAt: new Date(now.getTime() + SESSION_DAYS * DAY_MS),
    openedAt: now,
    seenAt: now,
    place: asker.place.slice(0, 64),
    agent: asker.agent.slice(0, 200),
  });
  await Session.destroy({ where: { expiresAt: { [Op.lt]: now } } });
  await keepNewest("sessions", ownerId, MOST_SESSIONS);
  return secret;
}

export const closeSession = async (secret: string): Promise<void> => {
  await Session.destroy({ where: { id: sha256(secret) } });
};

/** Whose session this is; undefined where it is none, or too old. */
export async function ownerOfSession(secret: string): Promise<OwnerIdentity | undefined> {
  const session = await Session.findOne({ where: { id: sha256(secret), expiresAt: { [Op.gt]: new Date() } } });
  const owner = session && (await Owner.findByPk(session.ownerId));
  if (!owner) return undefined;
  if (Date.now() - session.seenAt.getTime() > NOTE_EVERY_MS) await session.update({ seenAt: new Date() });
  return identityOf(owner);
}

export type OpenSession = {
  readonly id: string;
  readonly openedAt: string;
  readonly seenAt: string;
  readonly place: string;
  readonly agent: string;
  /** The one that asks. */
  readonly isThis: boolean;
};

/** All open sessions of an owner: the one that asks, then the one used last. */
export async function sessionsOf(ownerId: string, secret: string): Promise<readonly OpenSession[]> {
  const rows = await Session.findAll({
    where: { ownerId, expiresAt: { [Op.gt]: new Date() } },
    order: [["seenAt", "DESC"]],
  });
  const own = sha256(secret);
  return rows
    .toSorted((a, b) => Number(b.id === own) - Number(a.id === own))
    .map((row) => ({
      // What is shown is no use for anything but ending it.
      id: row.id.slice(0, 16),
      openedAt: row.openedAt.toISOString(),
      seenAt: row.seenAt.toISOString(),
      place: row.place,
      agent: row.agent,
      isThis: row.id === own,
    }));
}

/** Ends one session of an owner; false where there is none of that id. */
export const endSession = async (ownerId: string, id: string): Promise<boolean> =>
  /^[0-9a-f]{16}$/.test(id) && (await Session.destroy({ where: { ownerId, id: { [Op.startsWith]: id } } })) > 0;

/** Ends all sessions of an owner but the one with this secret; without one, all. */
export const endOtherSessions = (ownerId: string, secret?: string): Promise<number> =>
  Session.destroy({ where: { ownerId, ...(secret ? { id: { [Op.ne]: sha256(secret) } } : {}) } });

/** Notes that this owner uses this browser, and gives the secret that it is known by from now on. */
export async function rememberDevice(ownerId: string, known: string | undefined): Promise<string> {
  const secret = known !== undefined && (await isKnownDevice(ownerId, known)) ? known : newSecret();
  await Device.upsert({ id: sha256(secret), ownerId, seenAt: new Date() });
  await keepNewest("devices", ownerId, MOST_DEVICES);
  return secret;
}

export const isKnownDevice = async (ownerId: string, secret: string): Promise<boolean> =>
  (await Device.count({
    where: { id: sha256(secret), ownerId, seenAt: { [Op.gt]: new Date(Date.now() - DEVICE_DAYS * DAY_MS) } },
  })) > 0;

const SESSION_COOKIE = "zest_session";
const DEVICE_COOKIE = "zest_device";
const cookie = (name: string, value: string, days: number, secure: boolean) =>
  `${name}=${value}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${days * 86_400}${secure ? "; Secure" : ""}`;

export const sessionCookie = (secret: string, secure: boolean): string =>
  cookie(SESSION_COOKIE, secret, SESSION_DAYS, secure);
export const deviceCookie = (secret: string, secure: boolean): string =>
  cookie(DEVICE_COOKIE, secret, DEVICE_DAYS, secure);
export const endedCookie = cookie(SESSION_COOKIE, "", 0, false);

const secretIn = (cookies: string | null | undefined, name: string): string | undefined =>
  cookies
    ?.split(";")
    .map((part) => part.trim())
    .find((part) => part.startsWith(`${name}=`) && /^[\w-]{20,100}$/.test(part.slice(name.length + 1)))
    ?.slice(name.length + 1);

/** The secrets of a session and of a device in a request's cookies. */
export const sessionSecret = (cookies: string | null | undefined): string | undefined =>
  secretIn(cookies, SESSION_COOKIE);
export const deviceSecret = (cookies: string | null | undefined): string | undefined =>
  secretIn(cookies, DEVICE_COOKIE);
