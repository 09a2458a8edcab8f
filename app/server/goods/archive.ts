import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ArchiveDone } from "~/core/goods";
import { keepRead } from "../pictures/index.server";
import { readApart } from "../reading/index.server";

/** Largest archive of pictures in bytes. */
export const MOST_ARCHIVE_BYTES = 200 * 1024 * 1024;

/** Takes the pictures of a ZIP archive into the library. Names of folders don't count. */
export async function addArchive(
  shopId: string,
  bytes: Buffer,
  step?: (done: number, total: number) => void,
  signal?: AbortSignal,
): Promise<ArchiveDone | { readonly why: string }> {
  if (bytes.length > MOST_ARCHIVE_BYTES) return { why: "This archive is larger than 200 MB. Split it into several." };
  const folder = await mkdtemp(join(tmpdir(), "zest-archive-"));
  const path = join(folder, "pictures.zip");
  const problems: { file: string; why: string }[] = [];
  let [added, known] = [0, 0];
  try {
    await writeFile(path, bytes);
    const read = await readApart(
      "archive",
      { path },
      {
        signal,
        step: async ({ file, at, of, ...entry }) => {
          signal?.throwIfAborted();
          if (!entry.ok) problems.push({ file, why: entry.why });
          else if ((await keepRead(shopId, entry.picture, file.split("/").at(-1)!)).known) known++;
          else added++;
          step?.(at, of);
        },
      },
    );
    const done = read.ok ? read.value : read;
    if (!done.ok && added + known + problems.length === 0) return { why: done.why };
    return { added, known, problems: done.ok ? [...done.problems, ...problems] : [...problems, { file: "", ...done }] };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
