import { z } from "zod";
import type { Picture, Rework } from "~/core/pictures";
import type { Client } from "../client";

/** `note`: what of it could not be kept. */
export type Uploaded =
  | { readonly ok: true; readonly picture: Picture; readonly note?: string }
  | { readonly ok: false; readonly why: string };

const MOST_BYTES = 15 * 1024 * 1024;
export const ACCEPTED = "image/png,image/jpeg,image/webp,image/svg+xml";

type UploadOptions = {
  /** Gets the share that has been sent, 0–1. */
  readonly progress?: (share: number) => void;
  /** Of which picture of the library it was made in the studio, and how. */
  readonly made?: { readonly of: string; readonly rework: Rework };
};

/** Sends a picture to the shop's library. */
export async function upload(
  client: Client,
  file: File,
  { progress = () => {}, made }: UploadOptions = {},
): Promise<Uploaded> {
  if (file.size > MOST_BYTES) return { ok: false, why: `“${file.name}” is larger than 15 MB. Make it smaller first.` };
  const body = new FormData();
  body.append("picture", file, file.name);
  if (made) body.append("made", JSON.stringify(made));
  const reply = await client.upload("upload", body, { progress });
  if (reply.ok) return reply.value as Uploaded;
  const why =
    reply.code === "unreached" ? `“${file.name}” did not arrive. Check the connection and try again.` : reply.why;
  return { ok: false, why };
}

const MOST_FILM_BYTES = 40 * 1024 * 1024;
const filmTaken = z.object({ ok: z.literal(true), file: z.string() });

/** Sends a film to the shop; gives the name under which it is served. `progress` gets the share that has been sent, 0–1. */
export async function uploadFilm(
  client: Client,
  file: File,
  progress?: (share: number) => void,
): Promise<{ readonly ok: true; readonly file: string } | { readonly ok: false; readonly why: string }> {
  if (file.size > MOST_FILM_BYTES)
    return { ok: false, why: "This film is larger than 40 MB. Make it shorter or smaller first." };
  const body = new FormData();
  body.append("film", file, file.name);
  const reply = await client.upload("film", body, progress ? { progress } : {});
  const said = filmTaken.safeParse(reply.ok ? reply.value : undefined);
  if (said.success) return { ok: true, file: said.data.file };
  if (reply.ok || reply.code === "unreached")
    return { ok: false, why: "The film did not arrive. Check the connection and try again." };
  return { ok: false, why: reply.why };
}
