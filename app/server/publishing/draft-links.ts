import { createHash, randomBytes } from "node:crypto";
import { Op } from "sequelize";
import { DraftLink } from "../database/index.server";

// A link by which the draft of a shop can be looked at on another device, without signing in there. Only a hash of what the link
// carries is kept, so that nobody who reads the database can use it.

const DAY_MS = 86_400_000;
/** The most links of a shop that are good at once; a further one ends the oldest. */
const MOST_LINKS = 20;

const hashOf = (secret: string) => createHash("sha256").update(secret).digest("hex");

/** Makes a link for a day. Gives what it carries, and when it ends (ms since 1970). */
export async function makeDraftLink(shopId: string, now = Date.now()): Promise<{ secret: string; endsAt: number }> {
  const secret = randomBytes(24).toString("base64url");
  const endsAt = now + DAY_MS;
  await DraftLink.destroy({ where: { shopId, endsAt: { [Op.lte]: new Date(now) } } });
  const others = await DraftLink.findAll({ where: { shopId }, attributes: ["id"], order: [["endsAt", "DESC"]] });
  await DraftLink.destroy({ where: { id: others.slice(MOST_LINKS - 1).map((each) => each.id) } });
  await DraftLink.create({ id: hashOf(secret), shopId, endsAt: new Date(endsAt), createdAt: new Date(now) });
  return { secret, endsAt };
}

/** When a link of a shop ends, in ms since 1970; undefined where it is none, or has ended. */
export async function draftLinkEnds(shopId: string, secret: string, now = Date.now()): Promise<number | undefined> {
  // Only what could be one is asked for.
  if (!/^[\w-]{32}$/.test(secret)) return undefined;
  const row = await DraftLink.findOne({ where: { id: hashOf(secret), shopId, endsAt: { [Op.gt]: new Date(now) } } });
  return row?.endsAt.getTime();
}

/** How many links of a shop are good. */
export const countDraftLinks = (shopId: string, now = Date.now()): Promise<number> =>
  DraftLink.count({ where: { shopId, endsAt: { [Op.gt]: new Date(now) } } });

/** Ends one link. */
export const endDraftLink = async (shopId: string, secret: string): Promise<void> =>
  void (await DraftLink.destroy({ where: { id: hashOf(secret), shopId } }));

/** Ends all links of a shop. */
export const endDraftLinks = async (shopId: string): Promise<void> =>
  void (await DraftLink.destroy({ where: { shopId } }));
