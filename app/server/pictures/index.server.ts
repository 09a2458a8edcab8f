import { createHash } from "node:crypto";
import { UniqueConstraintError } from "sequelize";
import sharp from "sharp";
import { newId } from "~/core/document";
import type { Picture } from "~/core/pictures";
import { countUp, PictureRow } from "../database/index.server";
import { forgetShops } from "../shops/index.server";
import { sanitiseSvg, sizeOfSvg } from "./sanitise";
import { keepOriginal } from "./store";

export { fileFor, readOriginal } from "./store";
export { addVideo, MOST_VIDEO_BYTES, videoFor, type VideoUpload } from "./videos";

/** Largest upload in bytes, and most pixels that are decoded. */
export const MOST_BYTES = 15 * 1024 * 1024;
const MOST_PIXELS = 50_000_000;
const LONGEST_SIDE = 2400;

export type Upload =
  | { readonly ok: true; readonly picture: Picture; readonly known: boolean }
  | { readonly ok: false; readonly why: string };

const toPicture = (row: PictureRow): Picture => ({
  id: row.id,
  hash: row.hash,
  name: row.name,
  alt: row.alt,
  width: row.width,
  height: row.height,
  focus: [row.focusX, row.focusY],
  vector: row.vector,
});

export async function picturesOf(shopId: string): Promise<readonly Picture[]> {
  return (
    await PictureRow.findAll({
      where: { shopId },
      order: [
        ["createdAt", "DESC"],
        ["id", "ASC"],
      ],
    })
  ).map(toPicture);
}

/** Whether this shop has a picture of that content. */
export async function hasPicture(shopId: string, hash: string): Promise<boolean> {
  return (await PictureRow.count({ where: { shopId, hash } })) > 0;
}

type PreparedPicture = { bytes: Buffer; width: number; height: number; vector: boolean };

const looksLikeSvg = (bytes: Buffer) =>
  /^\s*(?:<\?xml[^>]*>\s*)?(?:<!--[\s\S]*?-->\s*)*(?:<!DOCTYPE[^>[]*(?:\[[\s\S]*?\])?>\s*)?<svg[\s>]/i.test(
    bytes.subarray(0, 4096).toString("utf8"),
  );

async function prepare(bytes: Buffer): Promise<PreparedPicture | string> {
  if (looksLikeSvg(bytes)) {
    if (bytes.length > 500_000) return "This drawing is larger than 500 KB. Simplify it, or upload it as a PNG.";
    const svg = sanitiseSvg(bytes.toString("utf8"));
    if (!svg) return "There is nothing in this drawing that could be shown.";
    const [width, height] = sizeOfSvg(svg);
    return { bytes: Buffer.from(svg), width, height, vector: true };
  }
  try {
    const image = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error" });
    const { format } = await image.metadata();
    if (!["jpeg", "png", "webp"].includes(format))
      return "This kind of file can’t be used. Upload a PNG, JPEG, WebP or SVG.";
    // Turned upright, without the camera's notes (which may say where it was taken), no larger than anything needs.
    const { data, info } = await image
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: "inside", withoutEnlargement: true })
      .webp({ quality: 86, effort: 4 })
      .toBuffer({ resolveWithObject: true });
    return { bytes: data, width: info.width, height: info.height, vector: false };
  } catch (error) {
    if (error instanceof Error && /pixel limit/i.test(error.message))
      return "This picture has more than 50 million pixels. Make it smaller first.";
    return "This file can’t be read as a picture. Upload a PNG, JPEG, WebP or SVG.";
  }
}

const altFrom = (name: string) => {
  const words = name
    .replace(/\.[a-z0-9]+$/i, "")
    .replace(/[-_]+/g, " ")
    .trim();
  // A camera's running number describes nothing.
  return /^(img|dsc|dscn|image|photo|picture|screenshot)?\s*\d*$/i.test(words) ? "" : words;
};

/** Takes an upload into the shop's library. The same picture twice is one picture. */
export async function addPicture(
  shopId: string,
  bytes: Buffer,
  name: string,
  more: { alt?: string; focus?: readonly [number, number] } = {},
): Promise<Upload> {
  if (bytes.length === 0) return { ok: false, why: "The file is empty." };
  if (bytes.length > MOST_BYTES) return { ok: false, why: "This file is larger than 15 MB. Make it smaller first." };
  const prepared = await prepare(bytes);
  if (typeof prepared === "string") return { ok: false, why: prepared };
  const hash = createHash("sha256").update(prepared.bytes).digest("hex");
  const find = () => PictureRow.findOne({ where: { shopId, hash } });
  const known = await find();
  if (known) return { ok: true, picture: toPicture(known), known: true };
  await keepOriginal(hash, prepared.vector, prepared.bytes);
  try {
    const row = await PictureRow.create({
      id: newId(),
      shopId,
      hash,
      name: name.slice(-160),
      alt: (more.alt ?? altFrom(name)).slice(0, 300),
      width: prepared.width,
      height: prepared.height,
      bytes: prepared.bytes.length,
      focusX: more.focus?.[0] ?? 50,
      focusY: more.focus?.[1] ?? 50,
      vector: prepared.vector,
      createdAt: new Date(),
    });
    await countUp(shopId, "pictures");
    forgetShops();
    return { ok: true, picture: toPicture(row), known: false };
  } catch (error) {
    // Two uploads of the same picture at the same moment: the other one was first.
    const other = error instanceof UniqueConstraintError ? await find() : null;
    if (!other) throw error;
    return { ok: true, picture: toPicture(other), known: true };
  }
}

type PictureChange = {
  readonly id: string;
  readonly alt: string;
  readonly focusX: number;
  readonly focusY: number;
};

/** Changes what is said about a picture; false where the shop has no such picture. */
export async function describePicture(shopId: string, change: PictureChange): Promise<boolean> {
  const row = await PictureRow.findOne({ where: { id: change.id, shopId } });
  if (!row) return false;
  await row.update({ alt: change.alt, focusX: change.focusX, focusY: change.focusY });
  await countUp(shopId, "pictures");
  forgetShops();
  return true;
}
