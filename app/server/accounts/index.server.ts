import { createHash, randomBytes } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";
import { Op, UniqueConstraintError } from "sequelize";
import { z } from "zod";
import { newId } from "~/core/document";
import { database, Owner, Session, SignInFailure } from "../database/index.server";

export type OwnerIdentity = { readonly id: string; readonly name: string; readonly address: string };

const SESSION_DAYS = 30;
const FREE_TRIES = 5;
const LONGEST_BLOCK_SECONDS = 15 * 60;

const sha256 = (text: string) => createHash("sha256").update(text).digest("hex");
const normal = (address: string) => address.trim().toLowerCase();

export const accountSchema = z.object({
  name: z.string().trim().min(1, "Write your name.").max(80, "That is too long."),
  address: z.string().trim().max(254).pipe(z.email("This is not a mail address.")),
  password: z.string().min(10, "Use at least 10 characters.").max(200, "That is too long."),
});

export type AccountResult =
  { readonly ok: true; readonly owner: OwnerIdentity } | { readonly ok: false; readonly why: string };

const identityOf = (owner: Owner): OwnerIdentity => ({ id: owner.id, name: owner.name, address: owner.address });

/** Makes an account. The password is kept as an Argon2id hash only. */
export async function createAccount(input: z.infer<typeof accountSchema>): Promise<AccountResult> {
  try {
    const owner = await Owner.create({
      id: newId(),
      name: input.name,
      address: normal(input.address),
      password: await hash(input.password),
      createdAt: new Date(),
    });
    return { ok: true, owner: identityOf(owner) };
  } catch (error) {
    if (error instanceof UniqueConstraintError)
      return { ok: false, why: "There is an account with this address already. Sign in with it." };
    throw error;
  }
}

/** Compared against when there is no such account, so that the answer takes as long as for one that exists. */
const nobody = hash("no account has this password");

/** Seconds that somebody has to wait after `failures` failed tries: none at first, then doubling up to a quarter of an hour. */
export const waitAfter = (failures: number): number =>
  failures < FREE_TRIES ? 0 : Math.min(LONGEST_BLOCK_SECONDS, 2 ** (failures - FREE_TRIES + 1));

async function blockedSeconds(keys: readonly string[], now: number): Promise<number> {
  const rows = await SignInFailure.findAll({ where: { id: { [Op.in]: [...keys] } } });
  return Math.max(0, ...rows.map((row) => Math.ceil((row.blockedUntil.getTime() - now) / 1000)));
}

async function countFailure(key: string, now: number): Promise<void> {
  // One statement, so that failures that arrive at the same moment are all counted.
  await database().query(
    "INSERT INTO signInFailures (id, failures, blockedUntil) VALUES (?, 1, ?) ON DUPLICATE KEY UPDATE failures = failures + 1",
    { replacements: [key, new Date(now)] },
  );
  const row = await SignInFailure.findByPk(key);
  if (row) await row.update({ blockedUntil: new Date(now + waitAfter(row.failures) * 1000) });
}

/** Checks address and password. After five failed tries for an account or from a place, each further one has to wait. */
export async function signIn(
  address: string,
  password: string,
  from: string,
  now = Date.now(),
): Promise<AccountResult> {
  const keys = [sha256(`account:${normal(address)}`), sha256(`place:${from}`)];
  const wait = await blockedSeconds(keys, now);
  if (wait > 0) {
    return {
      ok: false,
      why: `Too many tries. Wait ${wait < 90 ? `${wait} seconds` : `${Math.ceil(wait / 60)} minutes`}, then try again.`,
    };
  }
  const owner = await Owner.findOne({ where: { address: normal(address) } });
  const fits = await verify(owner?.password ?? (await nobody), password);
  if (!owner || !fits) {
    await Promise.all(keys.map((key) => countFailure(key, now)));
    return { ok: false, why: "The address or the password is wrong." };
  }
  await SignInFailure.destroy({ where: { id: { [Op.in]: keys } } });
  return { ok: true, owner: identityOf(owner) };
}

/** Opens a session and gives its secret, which only the browser keeps; the database knows its hash. */
export async function openSession(ownerId: string): Promise<string> {
  const secret = randomBytes(32).toString("base64url");
  await Session.create({ id: sha256(secret), ownerId, expiresAt: new Date(Date.now() + SESSION_DAYS * 86_400_000) });
  await Session.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } });
  return secret;
}

export const closeSession = async (secret: string): Promise<void> => {
  await Session.destroy({ where: { id: sha256(secret) } });
};

/** Whose session this is; undefined where it is none, or too old. */
export async function ownerOfSession(secret: string): Promise<OwnerIdentity | undefined> {
  const session = await Session.findOne({ where: { id: sha256(secret), expiresAt: { [Op.gt]: new Date() } } });
  const owner = session && (await Owner.findByPk(session.ownerId));
  return owner ? identityOf(owner) : undefined;
}

const COOKIE = "zest_session";
const flags = "Path=/; HttpOnly; SameSite=Lax";

export const sessionCookie = (secret: string, secure: boolean): string =>
  `${COOKIE}=${secret}; ${flags}; Max-Age=${SESSION_DAYS * 86_400}${secure ? "; Secure" : ""}`;
export const endedCookie = `${COOKIE}=; ${flags}; Max-Age=0`;

/** The session's secret in a request's cookies. */
export const sessionSecret = (cookies: string | null | undefined): string | undefined =>
  cookies?.match(new RegExp(`(?:^|;\\s*)${COOKIE}=([\\w-]{20,100})`))?.[1];
