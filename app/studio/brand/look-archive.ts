import type { Zippable } from "fflate";
import { wholeAddress, type Picture } from "~/core/pictures";
import { describePicture } from "~/core/protocol";
import type { Draft } from "~/core/document";
import type { Theme } from "~/core/theme";
import { LOOK_FILES, lookFilesOf, type LookPicture } from "~/render";
import type { LookAnswer } from "~/workers/look-in";
import type { Client } from "../client";
import { upload } from "../pictures";

// A look as one archive. What packs and unpacks is fetched when somebody wants it.

/** The largest archive that is read, in bytes. */
const LARGEST = 80 * 1024 * 1024;

const ABOUT = `A look for a shop, saved by Zest Window.

${LOOK_FILES.look}         which theme, how header, footer and layouts are arranged (JSON; its schema: docs/formats/look.schema.json)
${LOOK_FILES.tokens}  colours, type and measures (W3C design tokens, 2025.10)
${LOOK_FILES.css}          CSS of one's own, if there is any
${LOOK_FILES.pictures}/         pictures that layouts show

Fonts are named in ${LOOK_FILES.look} with the open-licence packages that they come from.
`;

/** The look of a shop as an archive. Throws a sentence where one of its pictures can't be had. */
export async function packLook(
  draft: Draft,
  theme: Theme,
  library: readonly Picture[],
): Promise<Uint8Array<ArrayBuffer>> {
  const { look, tokens, css, pictures } = lookFilesOf(draft, theme);
  const used = library.filter((p) => pictures.includes(p.id));
  const fileOf = ({ id, vector }: Picture) => `${id}.${vector ? "svg" : "webp"}`;
  const bytes = await Promise.all(
    used.map(async (picture) => {
      const response = await fetch(wholeAddress(picture)).catch(() => undefined);
      if (!response?.ok) throw new Error(`The picture “${picture.name}” could not be fetched. Try again.`);
      return new Uint8Array(await response.arrayBuffer());
    }),
  );
  const about = used.map((p) => ({ id: p.id, file: fileOf(p), name: p.name, alt: p.alt, focus: p.focus }));
  const { strToU8, zip } = await import("fflate");
  const files: Zippable = {
    "README.txt": strToU8(ABOUT),
    [LOOK_FILES.look]: strToU8(JSON.stringify({ ...look, pictures: about }, null, 2)),
    [LOOK_FILES.tokens]: strToU8(tokens),
    ...(css.trim() ? { [LOOK_FILES.css]: strToU8(css) } : {}),
    // What is compressed already is only laid beside the rest.
    ...Object.fromEntries(used.map((p, i) => [`${LOOK_FILES.pictures}/${fileOf(p)}`, [bytes[i]!, { level: 0 }]])),
  };
  return new Promise((done, fail) => zip(files, (error, packed) => (error ? fail(error) : done(packed))));
}

/** What is in an archive; unpacked in a worker. */
export async function unpackLook(file: File): Promise<LookAnswer> {
  if (file.size > LARGEST) return { ok: false, why: "This archive is larger than 80 MB." };
  const bytes = new Uint8Array(await file.arrayBuffer());
  const worker = new Worker(new URL("../../workers/look.worker.ts", import.meta.url), { type: "module" });
  return new Promise<LookAnswer>((done) => {
    worker.addEventListener("message", ({ data }: MessageEvent<LookAnswer>) => done(data), { once: true });
    worker.addEventListener("error", () => done({ ok: false, why: "This archive can’t be read." }), { once: true });
    worker.postMessage(bytes, [bytes.buffer]);
  }).finally(() => worker.terminate());
}

type Taken =
  { readonly ok: true; readonly named: ReadonlyMap<string, string> } | { readonly ok: false; readonly why: string };

/** Brings pictures of a look into the shop's library; gives the ids that they have there by those that they had. */
export async function bringPictures(
  client: Client,
  wanted: readonly LookPicture[],
  packed: readonly { readonly name: string; readonly bytes: Uint8Array<ArrayBuffer> }[],
  step: (done: number) => void,
): Promise<Taken> {
  const named = new Map<string, string>();
  for (const { id, file, name, alt, focus } of wanted) {
    const found = packed.find((p) => p.name === file);
    if (!found) continue;
    const type = file.endsWith(".svg") ? "image/svg+xml" : "";
    const sent = await upload(client, new File([found.bytes], name || file, { type }));
    if (!sent.ok) return { ok: false, why: sent.why };
    // What was in the library before keeps what is said of it there.
    if (sent.picture.alt === "" && alt !== "")
      await client.ask(describePicture, { id: sent.picture.id, alt, focusX: focus[0], focusY: focus[1] });
    named.set(id, sent.picture.id);
    step(named.size);
  }
  return { ok: true, named };
}
