import { Op, QueryTypes } from "sequelize";
import { newId } from "~/core/document";
import {
  dueLetters,
  letterProblem,
  type Letter,
  type LetterBlock,
  type LetterInput,
  type LetterState,
} from "~/core/mail";
import { renderLetter, type ShopContent } from "~/render";
import { shopOrigin } from "../config/index.server";
import { database, LetterRow, LetterSend, SignUp } from "../database/index.server";
import { send } from "../outbox/index.server";
import type { Shop } from "../shops/index.server";

/** The most letters of one shop. */
const MOST_LETTERS = 500;
/** Letters that go out at one time, so that a long list holds nothing else up. */
const AT_ONCE = 200;

const bodyOf = (row: LetterRow) =>
  JSON.parse(row.body) as Pick<LetterInput, "subject" | "blocks"> & { readonly onSince?: number };

/** The letters of a shop, the newest first. */
export async function lettersOf(shopId: string): Promise<readonly Letter[]> {
  const rows = await LetterRow.findAll({
    where: { shopId },
    order: [
      ["createdAt", "DESC"],
      ["id", "ASC"],
    ],
  });
  const counts = async (sql: string) =>
    new Map(
      (
        await database().query<{ letter: string; count: number }>(sql, {
          type: QueryTypes.SELECT,
          replacements: [shopId],
        })
      ).map(({ letter, count }) => [letter, Number(count)]),
    );
  const sent = await counts(
    "SELECT letterId AS letter, COUNT(*) AS count FROM letterSends JOIN letters ON letters.id = letterId WHERE letters.shopId = ? GROUP BY letterId",
  );
  const left = await counts(
    "SELECT offBy AS letter, COUNT(*) AS count FROM signUps WHERE shopId = ? AND offBy IS NOT NULL GROUP BY offBy",
  );
  return rows.map((row) => {
    const { subject, blocks } = bodyOf(row);
    return {
      id: row.id,
      sort: row.sort,
      list: row.list,
      day: row.day,
      subject,
      blocks,
      state: row.state,
      version: row.version,
      at: row.createdAt.getTime(),
      sentAt: row.sentAt?.getTime() ?? null,
      sent: sent.get(row.id) ?? 0,
      left: left.get(row.id) ?? 0,
    };
  });
}

export type LetterKept =
  | { readonly ok: true; readonly id: string; readonly version: number }
  | { readonly ok: false; readonly code: "gone" | "behind" | "refused"; readonly why: string };

/** Keeps a letter. `id`: of one that is there; `version`: the one that was changed. What was sent to all stays as it was sent. */
export async function keepLetter(
  shopId: string,
  input: LetterInput,
  known?: { readonly id: string; readonly version: number },
): Promise<LetterKept> {
  const { sort, list, day, subject, blocks } = input;
  const body = { subject, blocks };
  if (!known) {
    if ((await LetterRow.count({ where: { shopId } })) >= MOST_LETTERS)
      return { ok: false, code: "refused", why: `${MOST_LETTERS} letters are kept already. Delete one first.` };
    const id = newId();
    await LetterRow.create({
      id,
      shopId,
      sort,
      list,
      day,
      body: JSON.stringify(body),
      state: "draft",
      version: 0,
      createdAt: new Date(),
      sentAt: null,
    });
    return { ok: true, id, version: 0 };
  }
  const row = await LetterRow.findOne({ where: { shopId, id: known.id } });
  if (!row) return { ok: false, code: "gone", why: "This letter has been deleted." };
  if (row.state === "sent" || row.state === "sending")
    return { ok: false, code: "refused", why: "This letter has been sent. Copy it to write another one." };
  const { onSince } = bodyOf(row);
  const problem = row.state === "on" ? letterProblem(body) : undefined;
  if (problem) return { ok: false, code: "refused", why: problem };
  const [count] = await LetterRow.update(
    {
      list,
      day,
      body: JSON.stringify({ ...body, ...(onSince === undefined ? {} : { onSince }) }),
      version: known.version + 1,
    },
    { where: { id: row.id, version: known.version, state: row.state } },
  );
  return count
    ? { ok: true, id: row.id, version: known.version + 1 }
    : { ok: false, code: "behind", why: "This letter was changed in another tab. Open it again to see how it is now." };
}

export type LetterChanged = { readonly ok: true } | { readonly ok: false; readonly why: string };

/** Switches a letter on that goes out by itself, or off again; or lets one begin to go out to all. */
export async function setLetter(shopId: string, id: string, to: "on" | "draft" | "sending"): Promise<LetterChanged> {
  const row = await LetterRow.findOne({ where: { shopId, id } });
  if (!row) return { ok: false, why: "This letter has been deleted." };
  const body = bodyOf(row);
  const problem = to === "draft" ? undefined : letterProblem(body);
  if (problem) return { ok: false, why: problem };
  const from: LetterState[] = to === "draft" ? ["on"] : ["draft"];
  if ((to === "sending") !== (row.sort === "once") && to !== "draft")
    return { ok: false, why: "This letter can’t go out like that." };
  if (to === "sending" && (await SignUp.count({ where: { shopId, list: row.list, state: "on" } })) === 0)
    return { ok: false, why: `Nobody is on the list “${row.list}” yet.` };
  const now = new Date();
  const [count] = await LetterRow.update(
    {
      state: to,
      body: JSON.stringify(to === "on" ? { ...body, onSince: now.getTime() } : body),
      ...(to === "sending" ? { sentAt: now } : {}),
    },
    { where: { id, shopId, state: from } },
  );
  return count ? { ok: true } : { ok: false, why: "Somebody else was faster. Look at the letter again." };
}

export const removeLetter = async (shopId: string, id: string): Promise<void> =>
  void (await LetterRow.destroy({ where: { shopId, id, state: ["draft", "on", "sent"] } }));

/** Writes a letter as it would go to somebody. */
const writtenTo = (
  content: ShopContent,
  shop: Pick<Shop, "host">,
  { subject, blocks }: { readonly subject: string; readonly blocks: readonly LetterBlock[] },
  list: string,
  leave?: string,
) =>
  renderLetter(
    {
      subject,
      blocks,
      leave,
      because: `You get this letter because you signed up for “${list}” at ${content.draft.look.identity.name}.`,
    },
    content,
    shopOrigin(shop.host),
  );

/** Sends a letter to one address to be looked at. */
export async function sendTrial(shop: Shop, id: string, address: string, content: ShopContent): Promise<LetterChanged> {
  const row = await LetterRow.findOne({ where: { shopId: shop.id, id } });
  if (!row) return { ok: false, why: "This letter has been deleted." };
  const body = bodyOf(row);
  const problem = letterProblem(body);
  if (problem) return { ok: false, why: problem };
  const { html, text } = writtenTo(content, shop, body, row.list);
  await send({
    to: address,
    from: content.draft.look.identity.name,
    subject: `Trial: ${body.subject}`,
    html,
    text,
  });
  return { ok: true };
}

type Recipient = Pick<SignUp, "address" | "token" | "onAt">;

/** Sends a letter to one of a list, once: whoever notes it first sends it, and a server that is killed between sends it never twice. */
async function sendTo(
  row: LetterRow,
  { address, token }: Recipient,
  content: ShopContent,
  shop: Pick<Shop, "host">,
): Promise<boolean> {
  const [, isNew] = await LetterSend.findOrCreate({
    where: { letterId: row.id, address },
    defaults: { letterId: row.id, address, sentAt: new Date() },
  });
  if (!isNew) return false;
  const body = bodyOf(row);
  const leave = `${shopOrigin(shop.host)}/lists/leave/${token}?letter=${row.id}`;
  const { html, text } = writtenTo(content, shop, body, row.list, leave);
  const { mail, name } = content.draft.look.identity;
  await send({
    to: address,
    from: name,
    ...(mail ? { replyTo: mail } : {}),
    subject: body.subject,
    html,
    text,
    unsubscribe: leave,
  });
  return true;
}

/**
 * Sends what is due: letters to all of a list that have begun to go out, and those that follow by themselves.
 * `contentFor`: what a shop's letters are drawn from; undefined where it has published nothing.
 * @returns how many letters went out
 */
export async function sendDueLetters(
  contentFor: (shopId: string) => Promise<{ readonly shop: Shop; readonly content: ShopContent } | undefined>,
  now = Date.now(),
): Promise<number> {
  const rows = await LetterRow.findAll({ where: { state: { [Op.in]: ["sending", "on"] } } });
  let count = 0;
  for (const shopId of new Set(rows.map((row) => row.shopId))) {
    const from = await contentFor(shopId);
    if (!from) continue;
    for (const row of rows.filter((each) => each.shopId === shopId)) {
      const { onSince = 0 } = bodyOf(row);
      const waiting = await database().query<Recipient>(
        `SELECT address, token, onAt FROM signUps WHERE shopId = :shopId AND list = :list AND state = 'on'
         AND onAt <= :until AND onAt >= :since AND NOT EXISTS
           (SELECT 1 FROM letterSends WHERE letterId = :id AND letterSends.address = signUps.address)
         ORDER BY onAt LIMIT :most`,
        {
          type: QueryTypes.SELECT,
          replacements: {
            shopId,
            list: row.list,
            id: row.id,
            most: AT_ONCE,
            // Whoever joins after a letter to all went out does not get it.
            until: row.state === "sending" && row.sentAt ? row.sentAt : new Date(now - followMs(row)),
            // Those whose day had passed when it was switched on never get it; among those who wait they would be in the way of all others.
            since: new Date(row.state === "sending" ? 0 : onSince - followMs(row)),
          },
        },
      );
      for (const each of waiting) {
        const joined = new Date(each.onAt!).getTime();
        const isDue =
          row.state === "sending" ||
          dueLetters([{ id: row.id, sort: row.sort, day: row.day, state: row.state, onSince }], joined, now).length > 0;
        if (isDue && (await sendTo(row, each, from.content, from.shop))) count++;
      }
      if (row.state === "sending" && waiting.length < AT_ONCE)
        await LetterRow.update({ state: "sent" }, { where: { id: row.id, state: "sending" } });
    }
  }
  return count;
}

const followMs = ({ sort, day }: LetterRow): number => (sort === "follow" ? day * 86_400_000 : 0);
