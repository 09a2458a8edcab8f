import { Op, type Transaction as DbTransaction } from "sequelize";
import { z } from "zod";
import type { Transaction } from "~/core/commands";
import { freeze, integrityOf, walk, type PageDocument, type Draft, type Look } from "~/core/document";
import { applyAll, type Operation } from "~/core/operations";
import { lookSchema, readDocument, transactionSchema } from "~/core/schema";
import { documentProblem, nameOf, problemOf, strangerIn } from "~/kinds";
import { withLayouts } from "~/kinds/layouts";
import { atomically, database, DraftLog, DraftPart, ShopRow } from "../database/index.server";

/** How far back undo reaches after a reload. */
const REMEMBERED = 300;

export type LoadedDraft = { readonly draft: Draft; readonly seq: number; readonly log: readonly Transaction[] };

async function readDraft(shopId: string, transaction?: DbTransaction): Promise<Draft> {
  const rows = await DraftPart.findAll({ where: { shopId }, ...(transaction ? { transaction } : {}) });
  const documents: Record<string, PageDocument> = {};
  let look: Look | undefined;
  for (const row of rows) {
    const body: unknown = JSON.parse(row.body);
    if (row.part === "look") look = lookSchema.parse(body);
    else {
      const read = readDocument(body);
      if (!read.ok) throw new Response(read.why, { status: 409 });
      documents[row.part] = read.document;
    }
  }
  if (!look) throw new Error(`shop ${shopId} has no look`);
  return withLayouts(freeze({ look, documents }));
}

const parseLog = (rows: readonly DraftLog[]): Transaction[] => rows.map((row) => JSON.parse(row.body) as Transaction);

/** The draft of a shop as it stands, and the latest changes, oldest first, for undo. */
export async function loadDraft(shopId: string): Promise<LoadedDraft> {
  database();
  // One consistent view, so that draft and log belong together while another tab is keeping changes.
  return atomically(async (transaction) => {
    const shop = await ShopRow.findByPk(shopId, { transaction, rejectOnEmpty: true });
    const draft = await readDraft(shopId, transaction);
    const rows = await DraftLog.findAll({
      where: { shopId, seq: { [Op.gt]: Math.max(0, shop.seq - REMEMBERED) } },
      order: [["seq", "ASC"]],
      transaction,
    });
    return { draft, seq: shop.seq, log: parseLog(rows) };
  });
}

/** What others have kept since `seq`, in order. */
export async function since(
  shopId: string,
  seq: number,
): Promise<{ readonly seq: number; readonly missed: readonly Transaction[] }> {
  database();
  const rows = await DraftLog.findAll({ where: { shopId, seq: { [Op.gt]: seq } }, order: [["seq", "ASC"]] });
  return { seq: rows.at(-1)?.seq ?? seq, missed: parseLog(rows) };
}

export const keepSchema = z.object({
  /** The number of the last change that the sender knows of. */
  base: z.number().int().min(0),
  transactions: z.array(transactionSchema).min(1).max(200),
});

export type Kept =
  | { readonly ok: true; readonly seq: number }
  /** Somebody else was first: carry over onto what was missed, then send again. Nothing was stored. */
  | { readonly ok: false; readonly code: "behind"; readonly seq: number; readonly missed: readonly Transaction[] }
  | { readonly ok: false; readonly code: "refused"; readonly why: string; readonly transaction: string };

/** Why a changed draft is not one that may be kept; looks only at what the operations touched. */
function problemWith(draft: Draft, operations: readonly Operation[]): string | undefined {
  if (operations.some((o) => o.type === "setLook")) {
    const parsed = lookSchema.safeParse(draft.look);
    if (!parsed.success) return parsed.error.issues[0]!.message;
  }
  const touched = new Set<string>();
  const documents = new Set<string>();
  for (const operation of operations) {
    if (operation.type === "setLook" || operation.type === "removeDocument") continue;
    if (operation.type === "addDocument") {
      documents.add(operation.added.id);
      for (const node of walk(operation.added.root)) touched.add(node.id);
      continue;
    }
    documents.add(operation.document);
    if (operation.type === "setTitle") continue;
    if (typeof operation.node === "string") touched.add(operation.node);
    else for (const node of walk(operation.node)) touched.add(node.id);
    // What is put somewhere may not be allowed there.
    if ("to" in operation) touched.add(operation.to.parent);
  }
  for (const id of documents) {
    const document = draft.documents[id];
    // What was added and taken away again in one go is no problem.
    if (!document) {
      if (operations.some((o) => o.type === "removeDocument" && o.added.id === id)) continue;
      return "This page is no longer there.";
    }
    if (document.title.trim() === "") return "A page needs a title.";
    const why = documentProblem(document);
    if (why) return why;
    const stranger = strangerIn(document, document.root);
    if (stranger) return `${nameOf(stranger)} makes no sense on “${document.title}”.`;
    const [unsound] = integrityOf(document);
    if (unsound) return `This change would damage the page (${unsound.code}).`;
    for (const node of walk(document.root)) {
      const problem = touched.has(node.id) && node.kind !== "root" ? problemOf(node) : undefined;
      if (problem) return problem.why;
    }
  }
  return undefined;
}

/**
 * Keeps changes: all of them, in order, or none. The sender says which change it knew last; where others were faster it
 * gets theirs back instead. Sending the same change twice is harmless.
 */
export async function keep(shopId: string, input: z.infer<typeof keepSchema>): Promise<Kept> {
  database();
  return atomically(async (transaction): Promise<Kept> => {
    const shop = await ShopRow.findByPk(shopId, { transaction, lock: true, rejectOnEmpty: true });
    const known = await DraftLog.findAll({
      where: { shopId, transactionId: { [Op.in]: input.transactions.map((t) => t.id) } },
      attributes: ["transactionId", "seq"],
      transaction,
    });
    const have = new Set(known.map((row) => row.transactionId));
    const fresh = input.transactions.filter((t) => !have.has(t.id));
    if (fresh.length === 0) return { ok: true, seq: shop.seq };
    const missedRows =
      shop.seq > input.base
        ? await DraftLog.findAll({
            where: { shopId, seq: { [Op.gt]: input.base } },
            order: [["seq", "ASC"]],
            transaction,
          })
        : [];
    // What the sender itself sent before, without hearing back, is not news to it.
    if (missedRows.some((row) => !have.has(row.transactionId))) {
      return { ok: false, code: "behind", seq: shop.seq, missed: parseLog(missedRows) };
    }
    let draft = await readDraft(shopId, transaction);
    const before = draft;
    let seq = shop.seq;
    for (const each of fresh) {
      const applied = applyAll(draft, each.operations);
      const why = applied.ok ? problemWith(applied.draft, each.operations) : "It doesn’t fit what is there now.";
      if (!applied.ok || why) return { ok: false, code: "refused", why: why ?? "", transaction: each.id };
      draft = applied.draft;
      await DraftLog.create(
        { shopId, seq: ++seq, transactionId: each.id, body: JSON.stringify(each), createdAt: new Date() },
        { transaction },
      );
    }
    if (draft.look !== before.look) {
      await DraftPart.update({ body: JSON.stringify(draft.look) }, { where: { shopId, part: "look" }, transaction });
    }
    const gone = Object.keys(before.documents).filter((part) => !draft.documents[part]);
    if (gone.length) await DraftPart.destroy({ where: { shopId, part: gone }, transaction });
    for (const [part, document] of Object.entries(draft.documents)) {
      if (document === before.documents[part]) continue;
      await DraftPart.upsert({ shopId, part, body: JSON.stringify(document) }, { transaction });
    }
    await shop.update({ seq }, { transaction });
    return { ok: true, seq };
  });
}
