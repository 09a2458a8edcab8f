import { unzipSync } from "fflate";

/** What lies in the archive of a look. */
export type LookArchive = {
  readonly look: string;
  readonly tokens: string | undefined;
  readonly css: string | undefined;
  readonly pictures: readonly { readonly name: string; readonly bytes: Uint8Array<ArrayBuffer> }[];
};
export type LookAnswer =
  { readonly ok: true; readonly archive: LookArchive } | { readonly ok: false; readonly why: string };

/** What an archive may hold at most, unpacked, in bytes: one text, one picture, everything; and how many pictures. */
export const LOOK_LIMITS = {
  text: 2 * 1024 * 1024,
  picture: 15 * 1024 * 1024,
  all: 80 * 1024 * 1024,
  pictures: 200,
} as const;

const TEXTS = new Set(["look.json", "look.tokens.json", "shop.css"]);
const isPicture = (name: string) => /^pictures\/[^/]+\.(?:webp|png|jpe?g|svg)$/i.test(name);

/**
 * Unpacks the archive of a look. It may lie in one folder, as some programs pack it. How large each file will be is looked at before it is
 * unpacked; whatever does not belong to a look is left where it is.
 */
export function lookIn(bytes: Uint8Array): LookAnswer {
  const names: string[] = [];
  try {
    unzipSync(bytes, { filter: ({ name }) => (names.push(name), false) });
  } catch {
    return { ok: false, why: "This file can’t be unpacked. Is it a ZIP archive?" };
  }
  const inside = names.find((name) => /^(?:[^/]+\/)?look\.json$/.test(name) && !name.startsWith("__MACOSX/"));
  const folder = inside?.slice(0, -"look.json".length);
  if (folder === undefined) return { ok: false, why: "There is no look.json in this archive, so it is not a look." };
  let sum = 0;
  let count = 0;
  let isTooMuch = false;
  let found: ReadonlyMap<string, Uint8Array>;
  try {
    const unpacked = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        const own = name.startsWith(folder) ? name.slice(folder.length) : "";
        const fits = TEXTS.has(own)
          ? originalSize <= LOOK_LIMITS.text
          : isPicture(own) && originalSize <= LOOK_LIMITS.picture && ++count <= LOOK_LIMITS.pictures;
        if (!fits) {
          isTooMuch ||= TEXTS.has(own);
          return false;
        }
        sum += originalSize;
        isTooMuch ||= sum > LOOK_LIMITS.all;
        return sum <= LOOK_LIMITS.all;
      },
    });
    found = new Map(Object.entries(unpacked));
  } catch {
    return { ok: false, why: "This archive is damaged and can’t be unpacked." };
  }
  if (isTooMuch)
    return { ok: false, why: "There is more in this archive than a look can hold (80 MB, and 2 MB of text)." };
  const text = (name: string): string | undefined => {
    const file = found.get(folder + name);
    return file && new TextDecoder().decode(file);
  };
  const pictures = [...found].flatMap(([name, each]) => {
    const own = name.slice(folder.length);
    return isPicture(own) ? [{ name: own.slice("pictures/".length), bytes: new Uint8Array(each) }] : [];
  });
  return {
    ok: true,
    archive: { look: text("look.json") ?? "", tokens: text("look.tokens.json"), css: text("shop.css"), pictures },
  };
}
