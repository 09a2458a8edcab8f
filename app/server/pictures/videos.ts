import { createHash } from "node:crypto";
import type { Film } from "~/core/protocol";
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

/** Takes a film into the shop. It is kept as it is: what browsers play is played, and nothing of it is ever run. */
export async function addVideo(shopId: string, bytes: Buffer, name: string): Promise<VideoUpload> {
  if (bytes.length > MOST_VIDEO_BYTES)
    return { ok: false, why: "This film is larger than 40 MB. Make it shorter or smaller first." };
  const kind = bytes.length > 64 ? kindOfFilm(bytes) : undefined;
  if (!kind) return { ok: false, why: "This is no film that browsers play. Save it as MP4 or WebM." };
  const file = `${createHash("sha256").update(bytes).digest("hex")}.${kind}`;
  await keepFile(file, bytes);
  await VideoRow.upsert({ shopId, file, name: name.slice(-160), bytes: bytes.length, createdAt: new Date() });
  return { ok: true, file };
}

/** The films of a shop, the newest first. */
export const filmsOf = async (shopId: string): Promise<readonly Film[]> =>
  (
    await VideoRow.findAll({
      where: { shopId },
      order: [
        ["createdAt", "DESC"],
        ["file", "ASC"],
      ],
    })
  ).map(({ file, name, bytes, createdAt }) => ({ file, name, bytes, since: createdAt.toISOString() }));

/** The path of a film of this shop; undefined where it has none of that name. */
export async function videoFor(shopId: string, file: string): Promise<string | undefined> {
  if (!/^[0-9a-f]{64}\.(?:mp4|webm)$/.test(file)) return undefined;
  if ((await VideoRow.count({ where: { shopId, file } })) === 0) return undefined;
  return pathIfThere(file);
}
