import { createHash } from "node:crypto";
import { isIPv6 } from "node:net";
import { Op, QueryTypes } from "sequelize";
import { atomically, database, SignInFailure, Tally } from "../database/index.server";

// Limits that protect are counted in the database, so that they hold for all processes together and outlive a restart. What is
// asked is counted before it is done: whoever asks a hundred times at once is counted a hundred times.

const sha256 = (text: string) => createHash("sha256").update(text).digest("hex");

/** Where a request comes from, as limits see it: of IPv6, the network that one customer has (RFC 6177: a /64 at least). */
export function placeOf(ip: string): string {
  const plain = ip.replace(/^::ffff:(?=\d+\.)/i, "");
  if (!isIPv6(plain)) return plain;
  const [head = "", tail = ""] = plain.split("%")[0]!.split("::");
  const before = head ? head.split(":") : [];
  const after = tail ? tail.split(":") : [];
  const gap = plain.includes("::")
    ? Array.from({ length: Math.max(0, 8 - before.length - after.length) }, () => "0")
    : [];
  return [...before, ...gap, ...after]
    .slice(0, 4)
    .map((group) => Number.parseInt(group, 16).toString(16))
    .join(":");
}

/**
 * Counts something that happens, and says whether it is one of the first `most` in this stretch of `seconds`. A stretch begins
 * with the first that is counted after the last one ended.
 */
export async function within(name: string, most: number, seconds: number, now = Date.now()): Promise<boolean> {
  const id = sha256(name);
  const [at, ends] = [new Date(now), new Date(now + seconds * 1000)];
  // MariaDB sets the columns from left to right: the count is decided while the old end still stands there.
  const [row] = await database().query<{ count: number }>(
    `INSERT INTO tallies (id, count, endsAt) VALUES (:id, 1, :ends)
     ON DUPLICATE KEY UPDATE count = IF(endsAt <= :at, 1, count + 1), endsAt = IF(endsAt <= :at, :ends, endsAt)
     RETURNING count`,
    { type: QueryTypes.SELECT, replacements: { id, at, ends } },
  );
  return Number(row?.count ?? 0) <= most;
}

const LONGEST_BLOCK_SECONDS = 15 * 60;
/** After so long without a try, earlier ones are forgotten. */
const FORGET_MS = 24 * 60 * 60_000;

/** Seconds that somebody has to wait after `failures` failed tries of which `free` are: none at first, then doubling. */
export const waitAfter = (failures: number, free: number): number =>
  failures < free ? 0 : Math.min(LONGEST_BLOCK_SECONDS, 2 ** (failures - free + 1));

/** How long somebody has to wait, in words. */
export const waitWords = (seconds: number): string =>
  seconds === 1 ? "a second" : seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;

/**
 * Counts a try as failed before it is made, and gives the seconds that have to be waited before it may be: 0, and it may.
 * Tries that come at the same moment are counted one after the other.
 */
export async function countTry(name: string, free: number, now = Date.now()): Promise<number> {
  const id = sha256(name);
  await database().query("INSERT IGNORE INTO signInFailures (id, failures, blockedUntil) VALUES (?, 0, ?)", {
    replacements: [id, new Date(now)],
  });
  return atomically(async (transaction) => {
    const row = await SignInFailure.findByPk(id, { transaction, lock: true });
    // Taken back in between by a try that succeeded.
    if (!row) return 0;
    const until = row.blockedUntil.getTime();
    // Of two that come at once, the later one may have looked at the clock first: while tries are free nobody waits.
    if (until > now && waitAfter(row.failures, free) > 0) return Math.ceil((until - now) / 1000);
    const failures = now - until > FORGET_MS ? 1 : row.failures + 1;
    await row.update({ failures, blockedUntil: new Date(now + waitAfter(failures, free) * 1000) }, { transaction });
    return 0;
  });
}

/** Forgets the failed tries of a name: somebody has shown that it is theirs. */
export const forgive = async (name: string): Promise<void> => {
  await SignInFailure.destroy({ where: { id: sha256(name) } });
};

/** Drops what no longer counts. */
export async function dropOldTallies(now = Date.now()): Promise<void> {
  const old = new Date(now - FORGET_MS);
  await Tally.destroy({ where: { endsAt: { [Op.lt]: old } } });
  await SignInFailure.destroy({ where: { blockedUntil: { [Op.lt]: old } } });
}

/** Takes back one try of a name that did not fail: it stands as it did before it. */
export const takeBack = async (name: string, now = Date.now()): Promise<void> => {
  await database().query(
    "UPDATE signInFailures SET failures = IF(failures > 0, failures - 1, 0), blockedUntil = :at WHERE id = :id",
    { replacements: { id: sha256(name), at: new Date(now) } },
  );
};
