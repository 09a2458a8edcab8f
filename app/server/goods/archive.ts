import { unzip } from "fflate";
import type { ArchiveDone } from "~/core/goods";
import { addPicture, MOST_BYTES } from "../pictures/index.server";

/** Largest archive of pictures in bytes, and the most pictures in it. */
export const MOST_ARCHIVE_BYTES = 200 * 1024 * 1024;
const MOST_PICTURES = 2_000;

const isPicture = (name: string) => /\.(?:png|jpe?g|webp|svg)$/i.test(name) && !/(?:^|\/)(?:\.|__MACOSX\/)/.test(name);

/**
 * Takes the pictures of a ZIP archive into the library. Names of folders don't count, and nothing that is larger than a
 * picture may be is unpacked at all, whatever the archive says it is.
 */
export async function addArchive(
  shopId: string,
  bytes: Buffer,
  step?: (done: number, total: number) => void,
  signal?: AbortSignal,
): Promise<ArchiveDone | { readonly why: string }> {
  if (bytes.length > MOST_ARCHIVE_BYTES) return { why: "This archive is larger than 200 MB. Split it into several." };
  let files: [string, Uint8Array][];
  let count = 0;
  const large: string[] = [];
  try {
    files = Object.entries(
      await new Promise<Record<string, Uint8Array>>((done, fail) =>
        unzip(
          bytes,
          {
            filter: ({ name, originalSize }) => {
              if (!isPicture(name)) return false;
              if (originalSize > MOST_BYTES) {
                large.push(name);
                return false;
              }
              return ++count <= MOST_PICTURES;
            },
          },
          (error, all) => (error ? fail(error) : done(all)),
        ),
      ),
    );
  } catch {
    return { why: "This archive can’t be read. Pack the pictures as a ZIP once more." };
  }
  const problems: { file: string; why: string }[] = large.map((file) => ({ file, why: "It is larger than 15 MB." }));
  if (count > MOST_PICTURES)
    problems.push({ file: "", why: `Only the first ${MOST_PICTURES.toLocaleString("en")} pictures were taken.` });
  let [added, known] = [0, 0];
  for (const [i, [path, content]] of files.entries()) {
    signal?.throwIfAborted();
    const name = path.split("/").at(-1)!;
    const result = await addPicture(shopId, Buffer.from(content), name);
    if (!result.ok) problems.push({ file: path, why: result.why });
    else if (result.known) known++;
    else added++;
    step?.(i + 1, files.length);
  }
  return { added, known, problems };
}
