import { createHash } from "node:crypto";
import { Op, QueryTypes } from "sequelize";
import { newId } from "~/core/document";
import type { Answer } from "~/core/form";
import type { EntryState, MailEntry, MailFacts, Messages, MessagesAsked, Reply } from "~/core/mail";
import { atomically, database, EntryFile, FormEntry, Owner } from "../database/index.server";
import { within } from "../limits/index.server";
import { send } from "../outbox/index.server";
import type { Shop } from "../shops/index.server";
import { dropSent, keepSent } from "./files";

const DAY_MS = 86_400_000;
/** What looks like spam is kept for so long. */
const SPAM_DAYS = 30;
/** The most entries that one shop keeps; of more, the oldest spam goes first and then the oldest that is done. */
const MOST_ENTRIES = 20_000;
/** Mails to the seller that something arrived, in an hour: a flood of entries is no flood of mails. */
const MOST_NOTICES = 30;
/** The same words from anywhere so often in an hour are no longer somebody who writes to the shop. */
const MOST_SAME = 2;
/** Within so many seconds, the same once more is a second press of the button. */
const SAME_PRESS_SECONDS = 30;

type Sent = {
  readonly form: string;
  readonly formName: string;
  readonly page: string;
  readonly answers: readonly Answer[];
  readonly files: readonly { readonly name: string; readonly bytes: Buffer }[];
  readonly isSpam: boolean;
  /** 0: it is kept until the seller deletes it. */
  readonly keepDays: number;
  /** The seller is told by mail. */
  readonly notify: boolean;
  readonly shopName: string;
};

const addressIn = (answers: readonly Answer[]): string | null =>
  answers.find(({ sort }) => sort === "mail")?.text.toLowerCase() ?? null;

/** Answers as lines of a letter. */
const written = (answers: readonly Answer[]): string =>
  answers.map(({ label, text }) => `${label}\n  ${text.replaceAll("\n", "\n  ")}`).join("\n\n");

/** Takes what was sent with a form. The same sent twice by a double press is one. */
export async function takeEntry(shop: Shop, sent: Sent, now = Date.now()): Promise<void> {
  const words = createHash("sha256")
    .update(JSON.stringify([sent.form, sent.answers.map((a) => [a.field, a.text])]))
    .digest("hex");
  if (!(await within(`entry-once:${shop.id}:${words}`, 1, SAME_PRESS_SECONDS, now))) return;
  const isRepeated = !(await within(`entry-same:${shop.id}:${words}`, MOST_SAME, 3600, now));
  const isSpam = sent.isSpam || isRepeated;
  const days = isSpam ? SPAM_DAYS : sent.keepDays;
  const kept: { readonly id: string; readonly name: string; readonly bytes: number }[] = [];
  try {
    for (const { name, bytes } of sent.files)
      kept.push({ id: await keepSent(bytes), name: name.slice(-200), bytes: bytes.length });
    await atomically(async (transaction) => {
      const id = newId();
      await FormEntry.create(
        {
          id,
          shopId: shop.id,
          form: sent.form,
          formName: sent.formName.slice(0, 160),
          page: sent.page.slice(0, 300),
          state: isSpam ? "spam" : "new",
          address: addressIn(sent.answers),
          answers: JSON.stringify(sent.answers),
          replies: "[]",
          createdAt: new Date(now),
          dropAt: days ? new Date(now + days * DAY_MS) : null,
        },
        { transaction },
      );
      await EntryFile.bulkCreate(
        kept.map((file) => ({ ...file, shopId: shop.id, entryId: id, createdAt: new Date(now) })),
        { transaction },
      );
    });
  } catch (error) {
    await Promise.all(kept.map(({ id }) => dropSent(id)));
    throw error;
  }
  await makeRoom(shop.id);
  if (isSpam || !sent.notify) return;
  if (!(await within(`entry-notice:${shop.id}`, MOST_NOTICES, 3600, now))) return;
  const owner = await Owner.findByPk(shop.ownerId);
  if (!owner) return;
  await send({
    to: owner.address,
    subject: `${sent.formName}: a message for ${sent.shopName}`,
    text: `${written(sent.answers)}\n\nSent from the page “${sent.page}”. You can answer it in Zest Window, under Mail.`,
  });
}

async function makeRoom(shopId: string): Promise<void> {
  const over = (await FormEntry.count({ where: { shopId } })) - MOST_ENTRIES;
  if (over <= 0) return;
  for (const state of ["spam", "done"] as const) {
    const old = await FormEntry.findAll({
      where: { shopId, state },
      order: [["createdAt", "ASC"]],
      limit: over,
      attributes: ["id"],
    });
    if (old.length)
      return removeEntries(
        shopId,
        old.map(({ id }) => id),
      );
  }
}

/** How many messages are shown at first, and added at a time. */
const PORTION = 100;

const STATES: Readonly<Record<MessagesAsked["state"], readonly EntryState[]>> = {
  open: ["new", "read"],
  done: ["done"],
  spam: ["spam"],
};

/** What of a text stands for itself in a pattern of the database. */
const literal = (text: string): string => text.replace(/[\\%_]/g, (each) => `\\${each}`);

function whereOf(shopId: string, { state, form, find }: Omit<MessagesAsked, "skip">) {
  const words = find.split(/\s+/).filter(Boolean).slice(0, 8);
  return {
    shopId,
    state: [...STATES[state]],
    ...(form ? { formName: form } : {}),
    // Kept as JSON, in which a quotation mark and a backslash are written with one before them.
    ...(words.length
      ? {
          [Op.and]: words.map((word) => {
            const pattern = `%${literal(word)}%`;
            const inJson = `%${literal(JSON.stringify(word).slice(1, -1))}%`;
            return {
              [Op.or]: [
                { answers: { [Op.like]: inJson } },
                { replies: { [Op.like]: inJson } },
                { formName: { [Op.like]: pattern } },
                { page: { [Op.like]: pattern } },
              ],
            };
          }),
        }
      : {}),
  };
}

/** Messages of a shop, the newest first. `most`: null for all of them. */
export async function messagesOf(
  shopId: string,
  asked: MessagesAsked,
  most: number | null = PORTION,
): Promise<Messages> {
  const where = whereOf(shopId, asked);
  const [rows, total] = await Promise.all([
    FormEntry.findAll({
      where,
      order: [
        ["createdAt", "DESC"],
        ["id", "ASC"],
      ],
      offset: asked.skip,
      limit: most ?? MOST_ENTRIES,
      raw: true,
    }),
    FormEntry.count({ where }),
  ]);
  const files = new Map<string, MailEntry["files"][number][]>();
  const ids = rows.map(({ id }) => id);
  for (const { id, entryId, name, bytes } of await EntryFile.findAll({ where: { shopId, entryId: ids }, raw: true }))
    files.set(entryId, [...(files.get(entryId) ?? []), { id, name, bytes }]);
  const entries = rows.map((row) => ({
    id: row.id,
    form: row.form,
    formName: row.formName,
    page: row.page,
    state: row.state,
    address: row.address,
    answers: JSON.parse(row.answers) as Answer[],
    files: files.get(row.id) ?? [],
    replies: JSON.parse(row.replies) as Reply[],
    at: new Date(row.createdAt).getTime(),
    dropAt: row.dropAt ? new Date(row.dropAt).getTime() : null,
  }));
  return { entries, total };
}

/** How many messages a shop has of each sort, and the names of the forms that brought them. */
export async function messageCounts(shopId: string): Promise<Pick<MailFacts, "counts" | "forms">> {
  const rows = await database().query<{ state: EntryState; formName: string; count: number }>(
    "SELECT state, formName, COUNT(*) AS count FROM formEntries WHERE shopId = ? GROUP BY state, formName",
    { type: QueryTypes.SELECT, replacements: [shopId] },
  );
  const of = (...states: readonly EntryState[]) =>
    rows.reduce((sum, row) => sum + (states.includes(row.state) ? Number(row.count) : 0), 0);
  return {
    counts: { new: of("new"), open: of("new", "read"), done: of("done"), spam: of("spam") },
    forms: [...new Set(rows.map(({ formName }) => formName))].sort((a, b) => a.localeCompare(b)),
  };
}

/** Messages as rows of a table: one column for each question that any of them answers. */
export async function messagesTable(
  shopId: string,
  form: string,
): Promise<{ readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] }> {
  const all: MailEntry[] = [];
  for (const state of ["open", "done"] as const)
    all.push(...(await messagesOf(shopId, { state, form, find: "", skip: 0 }, null)).entries);
  all.sort((a, b) => b.at - a.at);
  const questions = [...new Set(all.flatMap(({ answers }) => answers.map(({ label }) => label)))];
  return {
    head: ["Date", "Form", "Page", "State", ...questions],
    rows: all.map((entry) => [
      new Date(entry.at).toISOString(),
      entry.formName,
      entry.page,
      entry.state,
      ...questions.map((label) =>
        entry.answers
          .filter((answer) => answer.label === label)
          .map(({ text }) => text)
          .join("\n"),
      ),
    ]),
  };
}

/** Puts entries into a state. What turns out to be no spam is kept like the rest. */
export async function markEntries(shopId: string, ids: readonly string[], state: EntryState): Promise<void> {
  const where = { shopId, id: [...ids] };
  if (state === "spam") await FormEntry.update({ state, dropAt: new Date(Date.now() + SPAM_DAYS * DAY_MS) }, { where });
  else {
    await FormEntry.update({ dropAt: null }, { where: { ...where, state: "spam" } });
    await FormEntry.update({ state }, { where });
  }
}

export async function removeEntries(shopId: string, ids: readonly string[]): Promise<void> {
  const files = await EntryFile.findAll({ where: { shopId, entryId: [...ids] }, attributes: ["id"], raw: true });
  await FormEntry.destroy({ where: { shopId, id: [...ids] } });
  await Promise.all(files.map(({ id }) => dropSent(id)));
}

export type Replied = { readonly ok: true } | { readonly ok: false; readonly why: string };

/** Letters by which a seller answers, in an hour. */
const MOST_REPLIES = 120;

/** Answers an entry by a letter to the address that was given with it. */
export async function replyTo(
  shop: Shop,
  id: string,
  text: string,
  from: { readonly name: string; readonly address: string },
  now = Date.now(),
): Promise<Replied> {
  const row = await FormEntry.findOne({ where: { shopId: shop.id, id } });
  if (!row) return { ok: false, why: "This message has been deleted." };
  if (!row.address) return { ok: false, why: "No mail address was given with this message." };
  if (!(await within(`entry-reply:${shop.id}`, MOST_REPLIES, 3600, now)))
    return { ok: false, why: "That are many letters in one hour. Please go on later." };
  const asked = written(JSON.parse(row.answers) as Answer[])
    .split("\n")
    .map((line) => `> ${line}`)
    .join("\n");
  await send({
    to: row.address,
    from: from.name,
    ...(from.address ? { replyTo: from.address } : {}),
    subject: `Re: ${row.formName}`,
    text: `${text}\n\n${from.name}\n\n${asked}`,
  });
  const replies: Reply[] = [...(JSON.parse(row.replies) as Reply[]), { text, at: now }];
  await row.update({ replies: JSON.stringify(replies), state: "done" });
  return { ok: true };
}

/** Deletes what was to be kept only so long. */
export async function dropOldEntries(now = Date.now()): Promise<number> {
  const old = await FormEntry.findAll({
    where: { dropAt: { [Op.lte]: new Date(now) } },
    attributes: ["id", "shopId"],
    limit: 5000,
  });
  const byShop = new Map<string, string[]>();
  for (const { id, shopId } of old) byShop.set(shopId, [...(byShop.get(shopId) ?? []), id]);
  for (const [shopId, ids] of byShop) await removeEntries(shopId, ids);
  return old.length;
}
