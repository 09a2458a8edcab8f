import { createHash } from "node:crypto";
import type { KeptFile } from "~/core/protocol";
import { VideoRow } from "../database/index.server";
import { keepFile, pathIfThere } from "./store";

/** Largest film in bytes. */
export const MOST_VIDEO_BYTES = 40 * 1024 * 1024;

/** What a film's first bytes say that it is: ISO base media (`ftyp`) or Matroska/WebM (EBML). */
function kindOfFilm(bytes: Buffer): "mp4" | "webm" | undefined {
  if (bytes.subarray(4, 8).toString("latin1") === "ftyp") return "mp4";
  if (bytes.readUInt32BE(0) === 0x1a45dfa3 && bytes.subarray(0, 64).includes("webm")) return "webm";
  return undefined;
}

export type VideoUpload = { readonly ok: true; readonly file: string } | { readonly ok: false; readonly why: string };

/** Keeps a file under what is in it, so that the same one twice is one. Whoever uploads what they have removed wants it back. */
async function keep(shopId: string, bytes: Buffer, name: string, ending: "mp4" | "webm" | "pdf"): Promise<VideoUpload> {
  const file = `${createHash("sha256").update(bytes).digest("hex")}.${ending}`;
  await keepFile(file, bytes);
  await VideoRow.upsert({
    shopId,
    file,
    name: name.slice(-160),
    bytes: bytes.length,
    createdAt: new Date(),
    removedAt: null,
  });
  return { ok: true, file };
}

/** Takes a film into the shop. It is kept as it is: what browsers play is played, and nothing of it is ever run. */
export async function addVideo(shopId: string, bytes: Buffer, name: string): Promise<VideoUpload> {
  if (bytes.length > MOST_VIDEO_BYTES)
    return { ok: false, why: "This film is larger than 40 MB. Make it shorter or smaller first." };
  const kind = bytes.length > 64 ? kindOfFilm(bytes) : undefined;
  if (!kind) return { ok: false, why: "This is no film that browsers play. Save it as MP4 or WebM." };
  return keep(shopId, bytes, name, kind);
}

/** Largest document in bytes. */
export const MOST_DOCUMENT_BYTES = 20 * 1024 * 1024;
/** How far into a file its first line may stand (ISO 32000-1, 7.5.2 and annex H: readers look for it in the first 1024 bytes). */
const HEADER_WITHIN = 1024;

/** Takes a document into the shop: a PDF, kept as it is. */
export async function addDocument(shopId: string, bytes: Buffer, name: string): Promise<VideoUpload> {
  if (bytes.length > MOST_DOCUMENT_BYTES)
    return { ok: false, why: "This document is larger than 20 MB. Make it smaller first." };
  if (!bytes.subarray(0, HEADER_WITHIN).includes("%PDF-"))
    return { ok: false, why: "This is no PDF. Save it as a PDF first." };
  return keep(shopId, bytes, name, "pdf");
}

/** The films and documents of a shop, the newest first. */
export async function filesOf(
  shopId: string,
): Promise<{ readonly films: readonly KeptFile[]; readonly documents: readonly KeptFile[] }> {
  const rows = await VideoRow.findAll({
    where: { shopId, removedAt: null },
    order: [
      ["createdAt", "DESC"],
      ["file", "ASC"],
    ],
  });
  const all = rows.map(({ file, name, bytes, createdAt }) => ({ file, name, bytes, since: createdAt.toISOString() }));
  const isDocument = ({ file }: KeptFile) => file.endsWith(".pdf");
  return { films: all.filter((each) => !isDocument(each)), documents: all.filter(isDocument) };
}

/** Takes a film or a document out of the list, or brings it back. Gives whether the shop has it. */
export async function removeFile(shopId: string, file: string, restore: boolean): Promise<boolean> {
  const [count] = await VideoRow.update({ removedAt: restore ? null : new Date() }, { where: { shopId, file } });
  // What is marked already is there as well.
  return count > 0 || (await VideoRow.count({ where: { shopId, file } })) > 0;
}

/** A film or a document of a shop: where it lies, what it was called, and whether it is in the list no more. */
export type UploadedFile = { readonly path: string; readonly name: string; readonly isRemoved: boolean };

/** A film or a document of this shop by the name under which it is served, a removed one as well; undefined where it has none. */
export async function uploadedFile(shopId: string, file: string): Promise<UploadedFile | undefined> {
  if (!/^[0-9a-f]{64}\.(?:mp4|webm|pdf)$/.test(file)) return undefined;
  const row = await VideoRow.findOne({ where: { shopId, file } });
  const path = row ? await pathIfThere(file) : undefined;
  return row && path ? { path, name: row.name, isRemoved: row.removedAt !== null } : undefined;
}
