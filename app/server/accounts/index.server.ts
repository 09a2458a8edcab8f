import { hash, verify } from "@node-rs/argon2";
import { Op, UniqueConstraintError } from "sequelize";
import { z } from "zod";
import { plainMail } from "~/core/account";
import { newId } from "~/core/document";
import { config, studioOrigin } from "../config/index.server";
import { atomically, NewPassword, Owner } from "../database/index.server";
import { countTry, forgive, placeOf, takeBack, waitWords, within } from "../limits/index.server";
import { send } from "../outbox/index.server";
import { endOtherSessions, identityOf, isKnownDevice, newSecret, sha256, type OwnerIdentity } from "./sessions";

export {
  closeSession,
  deviceCookie,
  deviceSecret,
  endedCookie,
  endOtherSessions,
  endSession,
  newSecret,
  openSession,
  ownerOfSession,
  rememberDevice,
  sessionCookie,
  sessionSecret,
  sessionsOf,
  sha256,
  type OpenSession,
  type OwnerIdentity,
} from "./sessions";

/** Failed tries that cost no waiting: of an account from places that it does not know, of one known device, from one place. */
const FREE_OF_ACCOUNT = 5;
const FREE_OF_DEVICE = 10;
const FREE_OF_PLACE = 30;
const HOUR = 60 * 60;
const LINK_MINUTES = 60;
const MOST_LETTERS_PER_HOUR = 4;

const password = z.string().min(10, "Use at least 10 characters.").max(200, "That is too long.");
export const accountSchema = z.object({
  name: z.string().trim().min(1, "Write your name.").max(80, "That is too long."),
  address: z.string().trim().max(254).pipe(z.email("This is not a mail address.")),
  password,
});
export const changeSchema = z.object({ current: z.string().max(200), password });
export const newPasswordSchema = z.object({ token: z.string().max(100), password });

export type AccountResult =
  { readonly ok: true; readonly owner: OwnerIdentity } | { readonly ok: false; readonly why: string };

const wait = (seconds: number): string => `Too many tries. Wait ${waitWords(seconds)}, then try again.`;

/** Makes an account. The password is kept as an Argon2id hash only. `from`: the address that asks. */
export async function createAccount(input: z.infer<typeof accountSchema>, from?: string): Promise<AccountResult> {
  if (from !== undefined && !(await within(`accounts:${placeOf(from)}`, config().accountsPerHour, HOUR)))
    return { ok: false, why: "Many accounts were made from where you are. Try again in an hour." };
  try {
    const owner = await Owner.create({
      id: newId(),
      name: input.name,
      address: plainMail(input.address),
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

/** Where letters to an owner go. @throws where there is no such owner */
export const ownerAddress = async (id: string): Promise<string> =>
  (await Owner.findByPk(id, { rejectOnEmpty: true })).address;

/** The owner with just this address: the database itself takes é for e. */
async function ownerAt(address: string): Promise<Owner | undefined> {
  const owner = await Owner.findOne({ where: { address } });
  return owner?.address === address ? owner : undefined;
}

/** Compared against when there is no such account, so that the answer takes as long as for one that exists. */
const nobody = hash("no account has this password");

/**
 * Checks address and password. Every try is counted before it is checked: for the account, or, in a browser in which its owner has
 * signed in before, for that browser, so that strangers can't lock an owner out; and for the place from which it comes.
 */
export async function signIn(
  address: string,
  given: string,
  from: string,
  device?: string,
  now = Date.now(),
): Promise<AccountResult> {
  const normal = plainMail(address).slice(0, 254);
  const owner = await ownerAt(normal);
  const isKnown = owner !== undefined && device !== undefined && (await isKnownDevice(owner.id, device));
  const own = isKnown ? `device:${device}` : `account:${normal}`;
  const seconds = Math.max(
    await countTry(`place:${placeOf(from)}`, FREE_OF_PLACE, now),
    await countTry(own, isKnown ? FREE_OF_DEVICE : FREE_OF_ACCOUNT, now),
  );
  if (seconds > 0) return { ok: false, why: wait(seconds) };
  const fits = await verify(owner?.password ?? (await nobody), given.slice(0, 200));
  if (!owner || !fits) return { ok: false, why: "The address or the password is wrong." };
  await forgive(own);
  // What was tried from the same place for other accounts stays counted.
  await takeBack(`place:${placeOf(from)}`, now);
  return { ok: true, owner: identityOf(owner) };
}

export type PasswordResult =
  { readonly ok: true } | { readonly ok: false; readonly field: string; readonly why: string };

/** Changes the password of whoever knows it, and ends all other sessions. */
export async function changePassword(
  ownerId: string,
  input: z.infer<typeof changeSchema>,
  secret: string,
): Promise<PasswordResult> {
  const seconds = await countTry(`change:${ownerId}`, FREE_OF_DEVICE);
  if (seconds > 0) return { ok: false, field: "current", why: wait(seconds) };
  const owner = await Owner.findByPk(ownerId, { rejectOnEmpty: true });
  if (!(await verify(owner.password, input.current)))
    return { ok: false, field: "current", why: "This is not your password." };
  await forgive(`change:${ownerId}`);
  await owner.update({ password: await hash(input.password) });
  await NewPassword.destroy({ where: { ownerId } });
  await endOtherSessions(ownerId, secret);
  return { ok: true };
}

/**
 * Writes a letter with a link to choose a new password, if there is such an account. Whoever asks is told the same either way, and
 * as quickly; `done` is there for tests and settles when the letter is written.
 */
export async function askForPassword(address: string, from: string): Promise<{ readonly done: Promise<void> }> {
  const normal = plainMail(address).slice(0, 254);
  const mayAsk = await within(`letters:${placeOf(from)}`, MOST_LETTERS_PER_HOUR * 5, HOUR);
  const mayGet = await within(`letter:${normal}`, MOST_LETTERS_PER_HOUR, HOUR);
  const write = async () => {
    const owner = mayAsk && mayGet ? await ownerAt(normal) : undefined;
    if (!owner) return;
    const token = newSecret();
    await NewPassword.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } });
    await NewPassword.create({
      id: sha256(token),
      ownerId: owner.id,
      expiresAt: new Date(Date.now() + LINK_MINUTES * 60_000),
    });
    await send({
      to: owner.address,
      subject: "A new password for Zest Window",
      text: [
        `Hello ${owner.name},`,
        "",
        "somebody, probably you, asked for a new password. Choose it here within the next hour:",
        "",
        `${studioOrigin()}/new-password?token=${token}`,
        "",
        "If it was not you, there is nothing to do: your password stays as it is.",
      ].join("\n"),
    });
  };
  return { done: write().catch((error: unknown) => console.error(error)) };
}

/** Sets a new password for whoever has the link from the letter; it works once. All sessions end. */
export async function choosePassword(input: z.infer<typeof newPasswordSchema>, from: string): Promise<AccountResult> {
  const old = { ok: false, why: "This link is no longer good. Ask for a new one." } as const;
  const seconds = await countTry(`link:${placeOf(from)}`, FREE_OF_DEVICE);
  if (seconds > 0) return { ok: false, why: wait(seconds) };
  const stored = await hash(input.password);
  const id = sha256(input.token);
  const owner = await atomically(async (transaction) => {
    const link = await NewPassword.findOne({
      where: { id, expiresAt: { [Op.gt]: new Date() } },
      transaction,
      lock: true,
    });
    const found = link && (await Owner.findByPk(link.ownerId, { transaction }));
    if (!found) return undefined;
    await found.update({ password: stored }, { transaction });
    await NewPassword.destroy({ where: { ownerId: found.id }, transaction });
    return found;
  });
  if (!owner) return old;
  await forgive(`link:${placeOf(from)}`);
  // Whoever reads the letters of this address is its owner: what strangers have tried no longer holds them up.
  await forgive(`account:${owner.address}`);
  await endOtherSessions(owner.id);
  return { ok: true, owner: identityOf(owner) };
}
