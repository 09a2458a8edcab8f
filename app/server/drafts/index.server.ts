import { LRUCache } from "lru-cache";
import { Op, type Transaction as DbTransaction } from "sequelize";
import type { Transaction } from "~/core/commands";
import { emptyDocument, freeze, type Draft, type Look, type PageDocument, entryOf } from "~/core/document";
import { homeOf } from "~/core/addresses";
import { judge, readSent, type Answer, type Ask, type Asked, type Logged, type News } from "~/core/keeping";
import type { Operation } from "~/core/operations";
import { DOCUMENT_VERSION, readLook } from "~/core/schema";
import { asksForSite, problemOfChange } from "~/kinds/changes";
import { firstDocuments, withFirst } from "~/kinds/layouts";
import { readPage, readTransaction } from "~/kinds/reading";
import { atomically, DraftLog, DraftPart, lockState, stateOf } from "../database/index.server";

/** How far back undo reaches after a reload. */
const REMEMBERED = 300;
const LOOK = "look";

/** A page that is stored and can't be read by this version. It is kept as it is. */
export type Unread = { readonly id: string; readonly why: string };

export type LoadedDraft = {
  readonly draft: Draft;
  readonly seq: number;
  readonly log: readonly Logged[];
  readonly unread: readonly Unread[];
};

type ReadBody = { readonly body: string; readonly read: ReturnType<typeof readPage> };
/** Documents as they were last read; one whose text is the same is not read again. Bounded by the characters held. */
const readBodies = new LRUCache<string, ReadBody>({
  maxSize: 64_000_000,
  sizeCalculation: ({ body }) => body.length + 1,
});

function readStored(shopId: string, part: string, body: string): ReadBody["read"] {
  const key = `${shopId} ${part}`;
  const known = readBodies.get(key);
  if (known?.body === body) return known.read;
  const read = readPage(JSON.parse(body));
  if (read.ok) freeze(read.document);
  readBodies.set(key, { body, read });
  return read;
}

type DraftRead = { readonly draft: Draft; readonly unread: readonly Unread[] };

/** Reads the draft, or the parts of it that are named. What can't be read is left out and said. */
async function readDraft(shopId: string, transaction: DbTransaction, parts?: ReadonlySet<string>): Promise<DraftRead> {
  const wanted = parts ? { part: [LOOK, ...parts] } : {};
  const rows = await DraftPart.findAll({ where: { shopId, ...wanted }, transaction });
  const found = new Map<string, PageDocument>();
  const unread: Unread[] = [];
  let look: Look | undefined;
  for (const row of rows) {
    if (row.part === LOOK) {
      look = readLook(JSON.parse(row.body)).look;
      continue;
    }
    const read = readStored(shopId, row.part, row.body);
    if (read.ok) found.set(row.part, read.document);
    else unread.push({ id: row.part, why: read.why });
  }
  if (!look) throw new Error(`shop ${shopId} has no look`);
  if (!parts) {
    const isUnread = (id: string) => unread.some((u) => u.id === id);
    // The studio can't open without these two; nothing that is put into a stand-in is kept.
    const home = homeOf(Object.fromEntries(found));
    if (isUnread(home)) found.set(home, emptyDocument(DOCUMENT_VERSION, "page", home, "Home"));
    if (isUnread("frame")) found.set("frame", emptyDocument(DOCUMENT_VERSION, "frame", "frame", "Every page"));
    return { draft: withFirst(freeze({ look, documents: Object.fromEntries(found) })), unread };
  }
  const unstored = Object.fromEntries(
    Object.entries(firstDocuments()).filter(([id]) => parts.has(id) && !rows.some((row) => row.part === id)),
  );
  return { draft: freeze({ look, documents: { ...Object.fromEntries(found), ...unstored } }), unread };
}

const parseLog = (rows: readonly DraftLog[]): Transaction[] =>
  rows.map((row) => readTransaction(JSON.parse(row.body) as Transaction));

/** The draft of a shop as it stands, and the latest changes, oldest first, for undo. */
export const loadDraft = (shopId: string): Promise<LoadedDraft> =>
  // One consistent view, so that draft and log belong together while another tab is keeping changes.
  atomically((transaction) => loadDraftIn(shopId, transaction));

/** The same within a transaction that is under way. */
export async function loadDraftIn(shopId: string, transaction: DbTransaction): Promise<LoadedDraft> {
  const { version: seq } = await stateOf(shopId, "draft", transaction);
  const { draft, unread } = await readDraft(shopId, transaction);
  const rows = await DraftLog.findAll({
    where: { shopId, seq: { [Op.gt]: Math.max(0, seq - REMEMBERED) } },
    order: [["seq", "ASC"]],
    transaction,
  });
  const transactions = parseLog(rows);
  const log = rows.map((row, i) => ({ transaction: transactions[i]!, tab: row.tab, by: row.ownerId }));
  return { draft, seq, log, unread };
}

type Looked = { readonly seq: number; readonly draft: Promise<Draft> };
const looked = new LRUCache<string, Looked>({ max: 40 });

/** The draft as it is now, to be looked at: read once for each state of it, however many ask. */
export async function draftNow(shopId: string): Promise<Draft> {
  const { version: seq } = await stateOf(shopId, "draft");
  const have = looked.get(shopId);
  if (have?.seq === seq) return have.draft;
  const draft = loadDraft(shopId).then((loaded) => loaded.draft);
  looked.set(shopId, { seq, draft });
  // What could not be read is asked for again.
  draft.catch(() => looked.delete(shopId));
  return draft;
}

const rowsSince = (shopId: string, seq: number, transaction?: DbTransaction) =>
  DraftLog.findAll({
    where: { shopId, seq: { [Op.gt]: seq } },
    order: [["seq", "ASC"]],
    ...(transaction ? { transaction } : {}),
  });

/** Ids of those changes that were made under this tab's name. */
const ownIn = (rows: readonly DraftLog[], tab: string): string[] =>
  rows.flatMap((row) => (row.tab === tab ? [row.transactionId] : []));

/** What was kept since `seq`, in order; `tab`: who asks. */
export async function since(shopId: string, seq: number, tab: string, transaction?: DbTransaction): Promise<News> {
  const rows = await rowsSince(shopId, seq, transaction);
  return { seq: rows.at(-1)?.seq ?? seq, missed: parseLog(rows), own: ownIn(rows, tab) };
}

async function knownOf(shopId: string, ids: readonly string[], transaction: DbTransaction): Promise<string[]> {
  if (ids.length === 0) return [];
  const rows = await DraftLog.findAll({
    where: { shopId, transactionId: { [Op.in]: [...ids] } },
    attributes: ["transactionId"],
    transaction,
  });
  return rows.map((row) => row.transactionId);
}

/** Which of these changes are stored already, and what came after `seq`; without it, the draft. All as it was at one moment. */
export const ask = (shopId: string, { known: ids, since: seq, tab }: Ask): Promise<Asked> =>
  atomically(async (transaction) => {
    const known = await knownOf(shopId, ids, transaction);
    if (seq !== null) return { known, news: await since(shopId, seq, tab, transaction) };
    const { draft, seq: now } = await loadDraftIn(shopId, transaction);
    return { known, whole: { draft, seq: now } };
  });

/** The parts of a draft that operations name. */
function partsOf(operations: readonly Operation[]): Set<string> {
  const parts = new Set<string>();
  for (const operation of operations) {
    if (operation.type === "addDocument" || operation.type === "removeDocument") parts.add(operation.added.id);
    else if (operation.type !== "setLook") parts.add(operation.document);
  }
  return parts;
}

const countOf = (draft: Draft) => Object.keys(draft.documents).length;

/** Who keeps changes: the account, and the tab that it has open. */
export type Author = { readonly owner: string; readonly tab: string };

/**
 * Keeps changes: all of them, in order, or none. The sender says which change it knew last; where others were faster it
 * gets theirs back instead. Only what the changes name is read and checked.
 */
export async function keep(shopId: string, base: number, sent: readonly unknown[], author: Author): Promise<Answer> {
  const read = readSent(sent);
  if (!read.ok) return read.answer;
  const { transactions } = read;
  const operations = transactions.flatMap((t) => t.operations);
  // Addresses are unlike those of all other pages, so all of them are read.
  const parts = asksForSite(operations) ? undefined : partsOf(operations);
  return atomically(async (transaction): Promise<Answer> => {
    const state = await lockState(shopId, "draft", transaction);
    const missed = state.version > base ? await rowsSince(shopId, base, transaction) : [];
    const ids = transactions.map((t) => t.id);
    const known = new Set(await knownOf(shopId, ids, transaction));
    const { draft, unread } = await readDraft(shopId, transaction, parts);
    const stored = { seq: state.version, draft, since: parseLog(missed), own: ownIn(missed, author.tab), known };
    const adds = transactions.some((t) => t.operations.some((o) => o.type === "addDocument"));
    const others = adds ? (await DraftPart.count({ where: { shopId }, transaction })) - countOf(draft) : 0;
    for (const { id, operations } of transactions) {
      // What is stored already stays stored, even if its page can't be read any more.
      if (known.has(id)) continue;
      const lost = unread.find((u) => partsOf(operations).has(u.id));
      if (lost) return { ok: false, code: "refused", transaction: id, why: lost.why };
    }
    const problem = (next: Draft, operations: readonly Operation[]) =>
      problemOfChange(next, operations, others + countOf(next));
    const { answer, store } = judge(stored, transactions, problem);
    if (!store) return answer;
    await write(shopId, draft, store.draft, transaction);
    await DraftLog.bulkCreate(
      store.transactions.map((each, i) => ({
        shopId,
        seq: state.version + i + 1,
        transactionId: each.id,
        body: JSON.stringify(each),
        tab: author.tab,
        ownerId: author.owner,
        createdAt: new Date(),
      })),
      { transaction },
    );
    await state.update({ version: state.version + store.transactions.length }, { transaction });
    return answer;
  });
}

/** Stores what differs between two states of a draft. */
async function write(shopId: string, before: Draft, after: Draft, transaction: DbTransaction): Promise<void> {
  const inside = { transaction };
  if (after.look !== before.look) {
    const row = await DraftPart.findOne({ where: { shopId, part: LOOK }, rejectOnEmpty: true, ...inside });
    // Settings that this version could not read stay with the look.
    const { unread } = readLook(JSON.parse(row.body));
    const body = JSON.stringify({ ...after.look, brand: { ...unread, ...after.look.brand } });
    await row.update({ body }, inside);
  }
  const gone = Object.keys(before.documents).filter((part) => !entryOf(after.documents, part));
  if (gone.length) await DraftPart.destroy({ where: { shopId, part: gone }, ...inside });
  for (const [part, document] of Object.entries(after.documents))
    if (document !== entryOf(before.documents, part))
      await DraftPart.upsert({ shopId, part, body: JSON.stringify(document) }, inside);
}
