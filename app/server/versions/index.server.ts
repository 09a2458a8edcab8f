import type { Transaction as DbTransaction } from "sequelize";
import type { VersionHead } from "~/core/protocol";
import { newId, sameJson, type PageDocument, type Draft, entryOf } from "~/core/document";
import { readPage } from "~/kinds/reading";
import { atomically, DraftPart, lockState, PageVersion } from "../database/index.server";

/** The most versions that are kept of one page by hand; those of publications stay. */
const MOST_BY_HAND = 100;
/** The most that are listed. */
const MOST_LISTED = 200;

/** The versions of a page, latest first, without what is in them. */
export async function versionsOf(shopId: string, part: string): Promise<readonly VersionHead[]> {
  const rows = await PageVersion.findAll({
    where: { shopId, part },
    attributes: ["id", "name", "publication", "createdAt"],
    order: [
      ["createdAt", "DESC"],
      ["id", "DESC"],
    ],
    limit: MOST_LISTED,
  });
  return rows.map(({ id, name, publication, createdAt }) => ({ id, name, publication, at: createdAt.toISOString() }));
}

export type ReadVersion =
  | { readonly ok: true; readonly document: PageDocument; readonly publication: number | null }
  /** There is none, or it can't be read; in the seller's words. */
  | { readonly ok: false; readonly why: string };

/** One version with what is in it, lifted to today's form. */
export async function versionOf(shopId: string, id: string): Promise<ReadVersion> {
  const row = await PageVersion.findOne({ where: { shopId, id } });
  if (!row) return { ok: false, why: "This version is no longer there." };
  const read = readPage(JSON.parse(row.body));
  return read.ok ? { ok: true, document: read.document, publication: row.publication } : { ok: false, why: read.why };
}

export type KeptVersion =
  { readonly ok: true; readonly version: VersionHead } | { readonly ok: false; readonly why: string };

/** Puts a page aside as the server has it now, under a name. */
export async function keepPageVersion(
  shopId: string,
  { part, name }: { readonly part: string; readonly name: string },
): Promise<KeptVersion> {
  return atomically(async (transaction): Promise<KeptVersion> => {
    await lockState(shopId, "versions", transaction);
    const page = await DraftPart.findOne({ where: { shopId, part }, transaction });
    if (!page || part === "look") return { ok: false, why: "This page is no longer there." };
    const byHand = await PageVersion.count({ where: { shopId, part, publication: null }, transaction });
    if (byHand >= MOST_BY_HAND)
      return { ok: false, why: `This page has ${MOST_BY_HAND} versions already. Remove one first.` };
    const row = await PageVersion.create(
      { id: newId(), shopId, part, name, publication: null, body: page.body, createdAt: new Date() },
      { transaction },
    );
    return { ok: true, version: { id: row.id, name, publication: null, at: row.createdAt.toISOString() } };
  });
}

/** Removes a version that was kept by hand; those of publications are the shop's history and stay. */
export async function removePageVersion(shopId: string, id: string): Promise<boolean> {
  return (await PageVersion.destroy({ where: { shopId, id, publication: null } })) > 0;
}

/** Puts aside every page that a publication changes. */
export async function recordPublication(
  shopId: string,
  number: number,
  before: Draft | undefined,
  after: Draft,
  transaction: DbTransaction,
): Promise<void> {
  const changed = Object.values(after.documents).filter((d) => !sameJson(entryOf(before?.documents, d.id), d));
  const createdAt = new Date();
  await PageVersion.bulkCreate(
    changed.map((document) => ({
      id: newId(),
      shopId,
      part: document.id,
      name: `Published, no. ${number}`,
      publication: number,
      body: JSON.stringify(document),
      createdAt,
    })),
    { transaction },
  );
}
