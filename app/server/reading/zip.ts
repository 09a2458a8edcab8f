import type { Readable } from "node:stream";
import yauzl, { getFileNameLowLevel, type Entry, type ZipFile } from "yauzl";

/** The most entries of an archive that are looked at. */
const MOST_ENTRIES = 20_000;

export type ZipEntry = { readonly name: string; readonly size: number; readonly entry: Entry };
export type Zip = { readonly entries: readonly ZipEntry[]; readonly file: ZipFile };

/** An archive that is not what it says it is; the message is for whoever brought it. */
export class BadZip extends Error {}

/** The name of an entry, whatever it leads to: nothing is ever written under it. */
const nameOf = (entry: Entry): string =>
  getFileNameLowLevel(entry.generalPurposeBitFlag, entry.fileNameRaw, entry.extraFields, false) ?? "";

/** Entries of an honest archive stand one after the other; ones that share bytes unpack to more than there is. */
function overlap(entries: readonly Entry[]): boolean {
  const spans = entries
    .map((e) => [e.relativeOffsetOfLocalHeader, e.relativeOffsetOfLocalHeader + 30 + e.compressedSize] as const)
    .sort(([a], [b]) => a - b);
  return spans.some(([from], i) => i > 0 && from < spans[i - 1]![1]);
}

const listed = (file: ZipFile): Promise<readonly Entry[]> =>
  new Promise((done, fail) => {
    const entries: Entry[] = [];
    file.on("error", fail);
    file.on("end", () => done(entries));
    file.on("entry", (entry: Entry) => {
      entries.push(entry);
      if (entries.length > MOST_ENTRIES) fail(new BadZip("There are too many files in this archive. Split it."));
      else file.readEntry();
    });
    file.readEntry();
  });

/**
 * Opens an archive and reads what it says of its entries; nothing is unpacked. `most`: bytes that all of them together may come to.
 * @throws BadZip where it is damaged, or says something that can't be true.
 */
export async function openZip(
  from: { readonly path: string } | { readonly bytes: Buffer },
  most: number,
): Promise<Zip> {
  const options = { lazyEntries: true, autoClose: false, validateEntrySizes: true, decodeStrings: false } as const;
  const damaged = () => new BadZip("This archive can’t be read. Pack the pictures as a ZIP once more.");
  const file = await new Promise<ZipFile>((done, fail) => {
    const opened = (error: Error | null, zip?: ZipFile) => (error || !zip ? fail(damaged()) : done(zip));
    if ("path" in from) yauzl.open(from.path, options, opened);
    else yauzl.fromBuffer(from.bytes, options, opened);
  });
  const no = (error: BadZip) => {
    file.close();
    return error;
  };
  const entries = await listed(file).catch((error: unknown) => {
    throw no(error instanceof BadZip ? error : damaged());
  });
  if (overlap(entries)) throw no(damaged());
  if (entries.reduce((total, e) => total + e.uncompressedSize, 0) > most)
    throw no(new BadZip("There is too much in this archive when it is unpacked. Split it."));
  return { entries: entries.map((entry) => ({ name: nameOf(entry), size: entry.uncompressedSize, entry })), file };
}

/** Unpacks an entry piece by piece. What comes to more than the archive says ends in an error. */
export const unpack = ({ file }: Zip, { entry }: ZipEntry): Promise<Readable> =>
  new Promise((done, fail) =>
    file.openReadStream(entry, (error, stream) =>
      error ? fail(new BadZip("This file can’t be unpacked.")) : done(stream),
    ),
  );

/** Unpacks a whole entry. @throws BadZip where it is damaged. */
export async function unpackWhole(zip: Zip, entry: ZipEntry): Promise<Buffer> {
  const pieces: Buffer[] = [];
  try {
    for await (const piece of await unpack(zip, entry)) pieces.push(piece as Buffer);
  } catch {
    throw new BadZip("This file can’t be unpacked.");
  }
  return Buffer.concat(pieces);
}
