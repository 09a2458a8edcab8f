import { createHash } from "node:crypto";
import { Op, UniqueConstraintError } from "sequelize";
import { newId } from "~/core/document";
import { z } from "zod";
import { MOST_TAGS, tagged, type Picture, type Rework } from "~/core/pictures";
import { reworkSchema } from "~/core/schema";
import { atomically, countUp, PictureRow } from "../database/index.server";
import { readApart, type PreparedPicture } from "../reading/index.server";
import { forgetShops } from "../shops/index.server";
import { sceneNamed } from "./stock";
import { keepOriginal, readOriginal } from "./store";

export { samplePath } from "./samples";
export { fileFor, readOriginal, type ToneAllowed } from "./store";
export {
  addDocument,
  addVideo,
  filesOf,
  MOST_VIDEO_BYTES,
  removeFile,
  uploadedFile,
  type UploadedFile,
  type VideoUpload,
} from "./videos";

/** Largest upload in bytes. */
export const MOST_BYTES = 15 * 1024 * 1024;

export type Upload =
  | { readonly ok: true; readonly picture: Picture; readonly known: boolean; readonly note?: string }
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
  shade: row.shade || null,
  ...(row.colours ? { colours: row.colours.split(",") } : {}),
  ...(row.tags ? { tags: z.array(z.string()).parse(JSON.parse(row.tags)) } : {}),
  ...(row.madeOf ? { madeOf: row.madeOf } : {}),
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

/** What a picture was made of in the studio, and how. */
export type MadeOf = { readonly picture: string; readonly rework: Rework };

type Said = {
  readonly alt?: string;
  readonly focus?: readonly [number, number];
  readonly made?: MadeOf | undefined;
};

/** What was done to a picture in the studio; null where it was uploaded, undefined where the shop has no such picture. */
export async function reworkOf(shopId: string, id: string): Promise<Rework | null | undefined> {
  const row = await PictureRow.findOne({ where: { id, shopId } });
  if (!row) return undefined;
  return row.rework ? reworkSchema.parse(JSON.parse(row.rework)) : null;
}

const altFrom = (name: string) => {
  const words = name
    .replace(/\.[a-z0-9]+$/i, "")
    .replace(/[-_]+/g, " ")
    .trim();
  // A camera's running number describes nothing.
  return /^(img|dsc|dscn|image|photo|picture|screenshot)?\s*\d*$/i.test(words) ? "" : words;
};

/** Reads an upload and takes it into the shop's library. */
export async function addPicture(shopId: string, bytes: Buffer, name: string, more: Said = {}): Promise<Upload> {
  if (bytes.length === 0) return { ok: false, why: "The file is empty." };
  if (bytes.length > MOST_BYTES) return { ok: false, why: "This file is larger than 15 MB. Make it smaller first." };
  const read = await readApart("picture", { bytes });
  const picture = read.ok ? read.value : read;
  if (!picture.ok) return { ok: false, why: picture.why };
  const { note } = picture;
  return { ok: true, ...(await keepRead(shopId, picture.picture, name, more)), ...(note ? { note } : {}) };
}

/** Takes a WebP picture that this project made into a shop's library, as it is. */
export async function addMadePicture(shopId: string, bytes: Buffer, name: string, more: Said = {}): Promise<Picture> {
  const read = await readApart("measure", { bytes });
  if (!read.ok) throw new Error(`${name}: ${read.why}`);
  return (await keepRead(shopId, { bytes, vector: false, ...read.value }, name, more)).picture;
}

/** Takes scenes of the stock room into a shop's library; ids in the order of the names, undefined where one is not known. */
export async function takeFromStock(shopId: string, names: readonly string[]): Promise<readonly string[] | undefined> {
  const wanted = names.flatMap((name) => sceneNamed(name) ?? []);
  if (wanted.length < names.length) return undefined;
  const ids: string[] = [];
  for (const { file, read, alt, focus } of wanted)
    ids.push((await addMadePicture(shopId, await read(), file, { alt, focus })).id);
  return ids;
}

/** Keeps a picture that has been read in the shop's library. The same picture twice is one picture. */
export async function keepRead(
  shopId: string,
  prepared: PreparedPicture,
  name: string,
  more: Said = {},
): Promise<{ readonly picture: Picture; readonly known: boolean }> {
  const hash = createHash("sha256").update(prepared.bytes).digest("hex");
  const find = () => PictureRow.unscoped().findOne({ where: { shopId, hash } });
  const known = await find();
  if (known) {
    // Whoever uploads what they have removed wants it back.
    if (known.removedAt) await restorePictures(shopId, [known.id]);
    return { picture: toPicture(known), known: true };
  }
  await keepOriginal(hash, prepared.vector, Buffer.from(prepared.bytes));
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
      shade: prepared.shade ?? "",
      colours: prepared.colours.join(","),
      madeOf: more.made?.picture ?? null,
      rework: more.made ? JSON.stringify(more.made.rework) : null,
      createdAt: new Date(),
    });
    await countUp(shopId, "pictures");
    forgetShops();
    return { picture: toPicture(row), known: false };
  } catch (error) {
    // Two uploads of the same picture at the same moment: the other one was first.
    const other = error instanceof UniqueConstraintError ? await find() : null;
    if (!other) throw error;
    return { picture: toPicture(other), known: true };
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

/** Gives pictures of a shop tags, and takes others from them. Gives why that can't be; undefined where it was done. */
export async function tagPictures(
  shopId: string,
  ids: readonly string[],
  add: readonly string[],
  take: readonly string[],
): Promise<string | undefined> {
  const why = await atomically(async (transaction) => {
    const rows = await PictureRow.findAll({
      where: { shopId, id: [...ids] },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (rows.length === 0) return "These pictures are no longer there.";
    const next = rows.map((row) => tagged(toPicture(row).tags ?? [], add, take));
    if (next.includes(null)) return `A picture can have ${MOST_TAGS} tags. Take some away first.`;
    for (const [i, row] of rows.entries()) await row.update({ tags: JSON.stringify(next[i]) }, { transaction });
    return undefined;
  });
  if (why === undefined) {
    await countUp(shopId, "pictures");
    forgetShops();
  }
  return why;
}

/** How long a removed picture can be brought back. */
const KEPT_DAYS = 30;

async function mark(shopId: string, ids: readonly string[], removedAt: Date | null): Promise<number> {
  const [count] = await PictureRow.unscoped().update({ removedAt }, { where: { shopId, id: [...ids] } });
  if (count === 0) return 0;
  await countUp(shopId, "pictures");
  forgetShops();
  return count;
}

/** Takes pictures out of the library, and so out of every place where they stand, the shop included. Gives how many. */
export const removePictures = (shopId: string, ids: readonly string[]): Promise<number> =>
  mark(shopId, ids, new Date());

/** Brings removed pictures back, with everything that was said of them. */
export const restorePictures = (shopId: string, ids: readonly string[]): Promise<number> => mark(shopId, ids, null);

/** Forgets pictures that were removed long ago. Their files stay: other shops may have the same ones. */
export async function dropRemovedPictures(now = Date.now()): Promise<void> {
  await PictureRow.unscoped().destroy({ where: { removedAt: { [Op.lt]: new Date(now - KEPT_DAYS * 86_400_000) } } });
}

/** Looks at pictures that were kept before their colours were asked for. Gives how many it could look at. */
export async function shadePictures(): Promise<number> {
  const rows = await PictureRow.unscoped().findAll({
    where: { [Op.or]: [{ shade: null }, { colours: null }] },
    order: [["id", "ASC"]],
  });
  const shops = new Set<string>();
  let count = 0;
  for (const row of rows) {
    const bytes = row.vector ? undefined : await readOriginal(row.hash, false).catch(() => undefined);
    const read = bytes && (await readApart("measure", { bytes }));
    // Readers were busy or it took too long: it is tried again with the next tidying.
    if (read && !read.ok) continue;
    await row.update({ shade: read?.value.shade ?? "", colours: read?.value.colours.join(",") ?? "" });
    shops.add(row.shopId);
    count++;
  }
  for (const shopId of shops) await countUp(shopId, "pictures");
  if (shops.size) forgetShops();
  return count;
}
