import { randomBytes } from "node:crypto";
import { mkdir, readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import sharp, { type Sharp } from "sharp";
import { applyTone, readToneCode, RENDITION_WIDTHS, SHARE_SIZE, type ToneMatrix } from "~/core/pictures";
import { config } from "../config/index.server";
import { samplePath } from "./samples";

// Files are named by the hash of their content, so they are never changed and can be cached for ever. This file is the
// one place that knows they lie in a folder; an object store would replace it.

const pathOf = (name: string) => join(config().picturesFolder, name.slice(0, 2), name);

const exists = (path: string) =>
  stat(path).then(
    () => true,
    () => false,
  );

/** Writes beside and renames, so that a killed server never leaves half a file under a name that is believed. */
async function put(path: string, bytes: Buffer | string): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const beside = `${path}.${randomBytes(6).toString("hex")}.part`;
  try {
    await writeFile(beside, bytes);
    await rename(beside, path);
  } catch (error) {
    // On a full disk, what was begun would take the room that is wanted.
    await rm(beside, { force: true });
    throw error;
  }
}

export const originalName = (hash: string, vector: boolean): string => `${hash}.${vector ? "svg" : "webp"}`;

export async function keepOriginal(hash: string, vector: boolean, bytes: Buffer): Promise<void> {
  const path = pathOf(originalName(hash, vector));
  if (!(await exists(path))) await put(path, bytes);
}

/** Keeps a file that is served as it is, under a name made of its content's hash. */
export async function keepFile(name: string, bytes: Buffer): Promise<void> {
  const path = pathOf(name);
  if (!(await exists(path))) await put(path, bytes);
}

export const pathIfThere = async (name: string): Promise<string | undefined> =>
  (await exists(pathOf(name))) ? pathOf(name) : undefined;

export const readOriginal = (hash: string, vector: boolean): Promise<Buffer> =>
  readFile(pathOf(originalName(hash, vector)));

const underWay = new Map<string, Promise<string | undefined>>();

/** Whether a rendition in a tone may be made: whoever asks for a thousand tones would fill the disk. */
export type ToneAllowed = (code: string) => Promise<boolean>;

/**
 * The path of a file that serves `name` (`hash.svg`, `hash-640.webp`, `hash-640.tone.webp`); made on first use. Undefined where
 * there is none.
 */
export function fileFor(name: string, isToneAllowed: ToneAllowed = async () => false): Promise<string | undefined> {
  const running = underWay.get(name);
  if (running) return running;
  const made = find(name, isToneAllowed).finally(() => underWay.delete(name));
  underWay.set(name, made);
  return made;
}

/** A picture as it is shown with a link to its page: cut to what there is room for, around what draws the eye. */
async function share(path: string, hash: string): Promise<string | undefined> {
  const original = pathOf(originalName(hash, false));
  if (!(await exists(original))) return undefined;
  const [width, height] = SHARE_SIZE;
  const bytes = await sharp(original)
    .flatten({ background: "#ffffff" })
    .resize({ width, height, fit: "cover", position: sharp.strategy.attention })
    .jpeg({ quality: 82, mozjpeg: true })
    .toBuffer();
  await put(path, bytes);
  return path;
}

/** A picture in a tone: the same map that a filter draws in a pane. */
async function inTone(picture: Sharp, tone: ToneMatrix): Promise<Sharp> {
  const { data, info } = await picture.toColourspace("srgb").ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  applyTone(data, 4, tone);
  const { width, height } = info;
  return sharp(data, { raw: { width, height, channels: 4 } });
}

async function find(name: string, isToneAllowed: ToneAllowed): Promise<string | undefined> {
  const match = /^([0-9a-f]{64})(?:\.(?:svg|webp)|-(\d{2,4})(?:\.([\w-]{23,60}))?\.webp|-(share)\.jpg)$/.exec(name);
  if (!match) return undefined;
  const path = pathOf(name);
  if (await exists(path)) return path;
  if (match[4]) return share(path, match[1]!);
  const tone = match[3] === undefined ? undefined : readToneCode(match[3]);
  if (match[3] !== undefined && !(tone && (await isToneAllowed(match[3])))) return undefined;
  const width = Number(match[2]);
  if (!match[2] || !(RENDITION_WIDTHS as readonly number[]).includes(width)) return undefined;
  const kept = pathOf(originalName(match[1]!, false));
  const original = (await exists(kept)) ? kept : samplePath(match[1]!);
  if (original === undefined) return undefined;
  const resized = sharp(original).resize({ width, withoutEnlargement: true });
  const made = tone ? await inTone(resized, tone) : resized;
  await put(path, await made.webp({ quality: 76, effort: 4 }).toBuffer());
  return path;
}
