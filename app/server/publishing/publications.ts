import { LRUCache } from "lru-cache";
import type { Transaction } from "sequelize";
import {
  differences,
  freeze,
  newId,
  partOfDifference,
  publishable,
  withParts,
  type Draft,
  type PageDocument,
} from "~/core/document";
import { changeWords, type Change } from "~/kinds/change-words";
import { readLook } from "~/core/schema";
import { publishingProblem } from "~/kinds/together";
import { withFirst } from "~/kinds/layouts";
import { readPage } from "~/kinds/reading";
import { filesIn } from "~/kinds/references";
import { addressesLeft, decodeAddress } from "~/core/addresses";
import {
  atomically,
  FormerAddress,
  lockState,
  Publication,
  type ShopState,
  stateOf,
  VideoRow,
} from "../database/index.server";
import { loadDraftIn } from "../drafts/index.server";
import { forgetShops } from "../shops/index.server";
import { recordPublication } from "../versions/index.server";

const cache = new LRUCache<string, Draft>({ max: 200 });

/**
 * What shoppers see: an immutable publication. A page of it that can't be read is left out, and so is a setting of the look;
 * neither takes the shop down.
 */
export async function publishedDraft(publicationId: string, transaction?: Transaction): Promise<Draft | undefined> {
  const known = cache.get(publicationId);
  if (known) return known;
  const row = await Publication.findByPk(publicationId, transaction ? { transaction } : {});
  if (!row) return undefined;
  const draft = readStored(row.body, `publication ${publicationId}`);
  cache.set(publicationId, draft);
  return draft;
}

/** A shop as it was stored to be shown. `what`: as which the log knows it. What can't be read of it is left out. */
export function readStored(body: string, what: string): Draft {
  const stored = JSON.parse(body) as { look?: unknown; documents?: Record<string, unknown> };
  const documents = new Map<string, PageDocument>();
  for (const [id, page] of Object.entries(stored.documents ?? {})) {
    const read = readPage(page);
    if (read.ok) documents.set(id, read.document);
    else console.error(`${what}: “${id}” is left out: ${read.why}`);
  }
  // A shop that was published before there were layouts and menus has those that every shop begins with.
  return withFirst(freeze({ look: readLook(stored.look).look, documents: Object.fromEntries(documents) }));
}

/** Keeps the addresses that pages had for shoppers until now, so that whoever has one of them is led on. */
async function rememberAddresses(shopId: string, before: Draft, after: Draft, transaction: Transaction): Promise<void> {
  const left = addressesLeft(before.documents, after.documents).map(({ address, page }) => ({
    shopId,
    address: decodeAddress(address)!,
    page,
    createdAt: new Date(),
  }));
  if (left.length) await FormerAddress.bulkCreate(left, { transaction, updateOnDuplicate: ["page", "createdAt"] });
}

const former = new LRUCache<string, ReadonlyMap<string, string>>({ max: 200 });

/** The addresses that pages of a shop had in earlier publications, and whose they were. `publicationId`: the one that shoppers see now. */
export async function formerAddresses(shopId: string, publicationId: string): Promise<ReadonlyMap<string, string>> {
  const known = former.get(publicationId);
  if (known) return known;
  const rows = await FormerAddress.findAll({ where: { shopId }, order: [["createdAt", "DESC"]], limit: MOST_FORMER });
  const found = new Map(rows.map(({ address, page }) => [address, page]));
  former.set(publicationId, found);
  return found;
}

/** Of more addresses than that, the oldest lead nowhere. */
const MOST_FORMER = 20_000;

/** When something was published, as an ISO 8601 date and time. */
export async function publishedAt(publicationId: string): Promise<string> {
  const row = await Publication.findByPk(publicationId, { attributes: ["createdAt"] });
  return (row?.createdAt ?? new Date()).toISOString();
}

/** The most publications that are listed. */
const MOST_LISTED = 200;

/** What was published, latest first: its number, when (ISO 8601), and how many changes it brought. */
export async function publicationsOf(
  shopId: string,
): Promise<readonly { readonly number: number; readonly at: string; readonly changes: number }[]> {
  const rows = await Publication.findAll({
    where: { shopId },
    attributes: ["number", "changes", "createdAt"],
    order: [["number", "DESC"]],
    limit: MOST_LISTED,
  });
  return rows.map(({ number, changes, createdAt }) => ({
    number,
    at: createdAt.toISOString(),
    changes: (JSON.parse(changes) as readonly unknown[]).length,
  }));
}

/** The whole shop as it was in a publication; undefined where there was none of this number. */
export async function publicationOf(shopId: string, number: number): Promise<Draft | undefined> {
  const row = await Publication.findOne({ where: { shopId, number }, attributes: ["id"] });
  return row ? publishedDraft(row.id) : undefined;
}

/** A change, and the part of the shop that it is about. */
export type PendingChange = Change & { readonly part: string };

export type PendingChanges = {
  readonly first: boolean;
  readonly seq: number;
  readonly changes: readonly PendingChange[];
  /** Why nothing can be published just now, in the seller's words. */
  readonly blocked?: string;
};

/** What going from one state of a shop to another changes, in words. */
export const changedBetween = (before: Draft | undefined, after: Draft): readonly PendingChange[] =>
  before
    ? differences(before, after).map((each) => ({ ...changeWords(each), part: partOfDifference(each) }))
    : Object.values(after.documents)
        .filter((d) => d.kind !== "site" && d.kind !== "piece")
        .map((d) => ({ where: d.title, what: "published for the first time", part: d.id }));

export async function pendingIn(
  shopId: string,
  publicationId: string | null,
  transaction: Transaction,
): Promise<PendingChanges & { readonly draft: Draft; readonly before: Draft | undefined }> {
  const { draft, seq, unread } = await loadDraftIn(shopId, transaction);
  const before = publicationId ? await publishedDraft(publicationId, transaction) : undefined;
  const changes = changedBetween(before, draft);
  // What can't be read would be missing in the shop from then on.
  const [lost] = unread;
  return { first: !before, seq, changes, draft, before, ...(lost ? { blocked: lost.why } : {}) };
}

/** What publishing now would change, in words. Everything is new while nothing has been published. */
export const pendingChanges = (shopId: string): Promise<PendingChanges> =>
  atomically(async (transaction) => {
    const { pointer } = await stateOf(shopId, "publication", transaction);
    const { draft: _draft, before: _before, ...pending } = await pendingIn(shopId, pointer, transaction);
    return pending;
  });

export type Published =
  | { readonly ok: true; readonly number: number; readonly changes: readonly Change[] }
  /** The draft has changed since the changes were read out; nothing was published. */
  | { readonly ok: false; readonly code: "moved-on" | "nothing" }
  /** A part of the draft can't be read. */
  | { readonly ok: false; readonly code: "blocked"; readonly why: string };

/** Makes a state of the shop the one that shoppers see, under the lock of `state`. Gives the number of the publication. */
export async function putOut(
  shopId: string,
  state: ShopState,
  before: Draft | undefined,
  draft: Draft,
  changes: readonly PendingChange[],
  transaction: Transaction,
): Promise<number> {
  const number = state.version + 1;
  const row = await Publication.create(
    {
      id: newId(),
      shopId,
      number,
      body: JSON.stringify(draft),
      changes: JSON.stringify(changes),
      createdAt: new Date(),
    },
    { transaction },
  );
  if (before) await rememberAddresses(shopId, before, draft, transaction);
  // What is shown again, after an undo or from an old version, is in the list again as well.
  await VideoRow.update({ removedAt: null }, { where: { shopId, file: [...filesIn(draft)] }, transaction });
  await recordPublication(shopId, number, before, draft, transaction);
  await state.update({ version: number, pointer: row.id }, { transaction });
  return number;
}

/**
 * Publishes the draft as it was at `seq`, the state whose changes the seller has seen. Only publishing waits for it: whoever
 * writes meanwhile goes on, and what is written comes with the next publication.
 * @param parts what goes out of it, by name; all else stays as shoppers see it. A shop that opens opens as a whole.
 */
export async function publish(shopId: string, seq: number, parts?: readonly string[]): Promise<Published> {
  const result = await atomically(async (transaction): Promise<Published> => {
    const state = await lockState(shopId, "publication", transaction);
    const pending = await pendingIn(shopId, state.pointer, transaction);
    if (pending.seq !== seq) return { ok: false, code: "moved-on" };
    if (pending.blocked !== undefined) return { ok: false, code: "blocked", why: pending.blocked };
    const { before } = pending;
    const chosen = parts && before ? new Set(parts) : undefined;
    const draft = publishable(chosen ? withParts(before!, pending.draft, chosen) : pending.draft);
    const changes = chosen ? pending.changes.filter((c) => chosen.has(c.part)) : pending.changes;
    if (changes.length === 0) return { ok: false, code: "nothing" };
    const problem = chosen && publishingProblem(draft);
    if (problem) return { ok: false, code: "blocked", why: problem };
    const number = await putOut(shopId, state, before, draft, changes, transaction);
    return { ok: true, number, changes };
  });
  forgetShops();
  return result;
}
