import type { ArchiveEntry, ArchiveRead } from "./jobs";
import { readPicture } from "./picture";
import { BadZip, openZip, unpackWhole } from "./zip";

/** The most pictures that are taken from an archive, the most bytes of one, and of everything in it when it is unpacked. */
const MOST_PICTURES = 2_000;
const MOST_BYTES = 15 * 1024 * 1024;
const MOST_UNPACKED = 2 * 1024 * 1024 * 1024;

const isPicture = (name: string) => /\.(?:png|jpe?g|webp|svg)$/i.test(name) && !/(?:^|\/)(?:\.|__MACOSX\/)/.test(name);

/**
 * Reads the pictures of a ZIP archive one after the other and hands each to `step`. Names of folders don't count, and nothing
 * that is larger than a picture may be is unpacked at all.
 */
export async function readArchive(path: string, step: (entry: ArchiveEntry) => Promise<void>): Promise<ArchiveRead> {
  try {
    const zip = await openZip({ path }, MOST_UNPACKED);
    const named = zip.entries.filter((e) => isPicture(e.name));
    const fitting = named.filter((e) => e.size <= MOST_BYTES);
    const taken = fitting.slice(0, MOST_PICTURES);
    const problems = named
      .filter((e) => e.size > MOST_BYTES)
      .map((e) => ({ file: e.name, why: "It is larger than 15 MB." }));
    if (fitting.length > taken.length)
      problems.push({ file: "", why: `Only the first ${MOST_PICTURES.toLocaleString("en")} pictures were taken.` });
    for (const [i, entry] of taken.entries()) {
      const place = { file: entry.name, at: i + 1, of: taken.length };
      const read = await unpackWhole(zip, entry).then(readPicture, (error: unknown) => {
        if (error instanceof BadZip) return { ok: false, why: error.message } as const;
        throw error;
      });
      await step({ ...place, ...read });
    }
    zip.file.close();
    return { ok: true, problems };
  } catch (error) {
    if (!(error instanceof BadZip)) throw error;
    return { ok: false, why: error.message };
  }
}
