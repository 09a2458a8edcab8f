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

const KINDS_OF_FILE = {
  film: {
    most: 40,
    accept: "video/mp4,video/webm",
    tooLarge: "This film is larger than 40 MB. Make it shorter or smaller first.",
  },
  document: {
    most: 20,
    accept: "application/pdf",
    tooLarge: "This document is larger than 20 MB. Make it smaller first.",
  },
} as const;
export type FileKind = keyof typeof KINDS_OF_FILE;
export const acceptedFor = (kind: FileKind): string => KINDS_OF_FILE[kind].accept;
const fileTaken = z.object({ ok: z.literal(true), file: z.string() });

/** Sends a film or a document to the shop; gives the name under which it is served. `progress` gets the share that has been sent, 0–1. */
export async function uploadFile(
  client: Client,
  kind: FileKind,
  file: File,
  progress?: (share: number) => void,
): Promise<{ readonly ok: true; readonly file: string } | { readonly ok: false; readonly why: string }> {
  const { most, tooLarge } = KINDS_OF_FILE[kind];
  if (file.size > most * 1024 * 1024) return { ok: false, why: tooLarge };
  const body = new FormData();
  body.append(kind, file, file.name);
  const reply = await client.upload("film", body, progress ? { progress } : {});
  const said = fileTaken.safeParse(reply.ok ? reply.value : undefined);
  if (said.success) return { ok: true, file: said.data.file };
  if (reply.ok || reply.code === "unreached")
    return { ok: false, why: `“${file.name}” did not arrive. Check the connection and try again.` };
  return { ok: false, why: reply.why };
}
