import { randomBytes } from "node:crypto";
import { mkdir, readFile, rename, rm, writeFile } from "node:fs/promises";
import { join } from "node:path";
import type { FileGiven } from "~/core/form";
import { config } from "../config/index.server";
import { EntryFile } from "../database/index.server";

// Files that strangers send lie apart from everything the shop shows: under names of our own, in a folder from which no shop serves
// anything. The studio hands them to their owner as downloads and never as pages.

/** All files of one shop together, in bytes. */
const MOST_BYTES_OF_SHOP = 500 * 1024 * 1024;

const pathOf = (id: string) => join(config().sentFolder, id.slice(0, 2), id);

/** What a file is, by its first bytes: what its name says is up to whoever sends it. */
export function sortOfFile(bytes: Buffer): FileGiven["is"] {
  const begins = (hex: string, at = 0) => bytes.subarray(at, at + hex.length / 2).toString("hex") === hex;
  if (begins("ffd8ff") || begins("89504e470d0a1a0a")) return "picture";
  if (begins("474946383761") || begins("474946383961")) return "picture";
  if (begins("52494646") && begins("57454250", 8)) return "picture";
  return begins("255044462d") ? "pdf" : undefined;
}

/** Whether a shop has room for so many bytes more. */
export async function hasRoomFor(shopId: string, bytes: number): Promise<boolean> {
  const kept = (await EntryFile.sum("bytes", { where: { shopId } })) || 0;
  return Number(kept) + bytes <= MOST_BYTES_OF_SHOP;
}

/** Writes a file and gives the id under which it lies. */
export async function keepSent(bytes: Buffer): Promise<string> {
  const id = randomBytes(20).toString("hex");
  const path = pathOf(id);
  await mkdir(join(path, ".."), { recursive: true, mode: 0o700 });
  await writeFile(`${path}.part`, bytes, { mode: 0o600 });
  await rename(`${path}.part`, path);
  return id;
}

export const dropSent = (id: string): Promise<void> => rm(pathOf(id), { force: true });

/** A file that was sent to a shop; undefined where there is none. */
export async function sentFile(
  shopId: string,
  id: string,
): Promise<{ readonly name: string; readonly bytes: Buffer } | undefined> {
  const row = /^[\da-f]{40}$/.test(id) ? await EntryFile.findOne({ where: { id, shopId } }) : null;
  if (!row) return undefined;
  try {
    return { name: row.name, bytes: await readFile(pathOf(id)) };
  } catch {
    return undefined;
  }
}
