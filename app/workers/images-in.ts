import { unzipSync } from "fflate";

/** What is taken out of an archive at most: files, bytes of one, and bytes of all. */
export const ARCHIVE = { files: 500, one: 15 * 1024 * 1024, all: 600 * 1024 * 1024 } as const;

export type Unpacked = {
  readonly files: readonly { readonly name: string; readonly bytes: Uint8Array<ArrayBuffer> }[];
  /** Names of pictures that were left out because they or all of them together are too large. */
  readonly left: readonly string[];
};

const TYPES = new Map([
  ["png", "image/png"],
  ["jpg", "image/jpeg"],
  ["jpeg", "image/jpeg"],
  ["webp", "image/webp"],
  ["svg", "image/svg+xml"],
]);

/** The type of a picture by its file's name; undefined for what is no picture, or is hidden. */
export function pictureType(path: string): string | undefined {
  const name = path.split("/").at(-1)!;
  if (name.startsWith(".") || path.startsWith("__MACOSX/")) return undefined;
  return TYPES.get(name.split(".").at(-1)!.toLowerCase());
}

/**
 * The pictures of a ZIP archive, in the order in which they lie there. How large each will be is looked at before it is unpacked.
 * Throws where it is no archive.
 */
export function imagesIn(bytes: Uint8Array): Unpacked {
  const left: string[] = [];
  let [count, sum] = [0, 0];
  const found = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      if (!pictureType(name)) return false;
      if (originalSize > ARCHIVE.one || count >= ARCHIVE.files || sum + originalSize > ARCHIVE.all) {
        left.push(name);
        return false;
      }
      count++;
      sum += originalSize;
      return true;
    },
  });
  const files = Object.entries(found).map(([name, data]) => ({
    name: name.split("/").at(-1)!,
    bytes: data,
  }));
  return { files, left };
}
