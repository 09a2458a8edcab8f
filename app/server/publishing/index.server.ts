import { differences, freeze, newId, type PageDocument, type Draft } from "~/core/document";
import { changeWords, type Change } from "~/kinds/change-words";
import { draftSchema, readDocument } from "~/core/schema";
import { withLayouts } from "~/kinds/layouts";
import { atomically, database, Publication, ShopRow } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { forgetShops } from "../shops/index.server";
import { recordPublication } from "../versions/index.server";

const cache = new Map<string, Draft>();

/** What shoppers see: an immutable publication. */
export async function publishedDraft(publicationId: string): Promise<Draft | undefined> {
  const known = cache.get(publicationId);
  if (known) return known;
  database();
  const row = await Publication.findByPk(publicationId);
  if (!row) return undefined;
  const stored = JSON.parse(row.body) as { look: unknown; documents: Record<string, unknown> };
  const documents: Record<string, PageDocument> = {};
  for (const [id, body] of Object.entries(stored.documents)) {
    const read = readDocument(body);
    if (read.ok) documents[id] = read.document;
  }
  // A shop that was published before there were layouts shows its goods in those that every shop begins with.
  const draft = withLayouts(freeze(draftSchema.parse({ look: stored.look, documents })));
  if (cache.size > 200) cache.clear();
  cache.set(publicationId, draft);
  return draft;
}

/** What publishing now would change, in words. Everything is new while nothing has been published. */
export async function pendingChanges(
  shopId: string,
): Promise<{ readonly first: boolean; readonly seq: number; readonly changes: readonly Change[] }> {
  database();
  const shop = await ShopRow.findByPk(shopId, { rejectOnEmpty: true });
  const { draft, seq } = await loadDraft(shopId);
  const published = shop.publicationId ? await publishedDraft(shop.publicationId) : undefined;
  if (!published) {
    return {
      first: true,
      seq,
      changes: Object.values(draft.documents).map((d) => ({ where: d.title, what: "published for the first time" })),
    };
  }
  return { first: false, seq, changes: differences(published, draft).map(changeWords) };
}

export type Published =
  | { readonly ok: true; readonly number: number; readonly changes: readonly Change[] }
  /** The draft has changed since the changes were read out; nothing was published. */
  | { readonly ok: false; readonly code: "moved-on" | "nothing" };

/** Publishes the draft as it was at `seq`, the state whose changes the seller has seen. */
export async function publish(shopId: string, seq: number): Promise<Published> {
  const pending = await pendingChanges(shopId);
  if (pending.changes.length === 0) return { ok: false, code: "nothing" };
  const result = await atomically(async (transaction): Promise<Published> => {
    const shop = await ShopRow.findByPk(shopId, { transaction, lock: true, rejectOnEmpty: true });
    if (shop.seq !== seq || pending.seq !== seq) return { ok: false, code: "moved-on" };
    const { draft } = await loadDraft(shopId);
    const before = shop.publicationId ? await publishedDraft(shop.publicationId) : undefined;
    const number = (((await Publication.max("number", { where: { shopId }, transaction })) as number | null) ?? 0) + 1;
    const row = await Publication.create(
      {
        id: newId(),
        shopId,
        number,
        body: JSON.stringify(draft),
        changes: JSON.stringify(pending.changes),
        createdAt: new Date(),
      },
      { transaction },
    );
    await recordPublication(shopId, number, before, draft, transaction);
    await shop.update({ publicationId: row.id }, { transaction });
    return { ok: true, number, changes: pending.changes };
  });
  forgetShops();
  return result;
}
