import type { Picture } from "~/core/pictures";
import type { Client } from "../client";

export type Uploaded = { readonly ok: true; readonly picture: Picture } | { readonly ok: false; readonly why: string };

const MOST_BYTES = 15 * 1024 * 1024;
export const ACCEPTED = "image/png,image/jpeg,image/webp,image/svg+xml";

/** Sends a picture to the shop's library; `progress` gets the share that has been sent, 0–1. */
export async function upload(
  client: Client,
  file: File,
  progress: (share: number) => void = () => {},
): Promise<Uploaded> {
  if (file.size > MOST_BYTES) return { ok: false, why: `“${file.name}” is larger than 15 MB. Make it smaller first.` };
  const body = new FormData();
  body.append("picture", file, file.name);
  const reply = await client.upload("upload", body, { progress });
  if (reply.ok) return reply.value as Uploaded;
  const why =
    reply.code === "unreached" ? `“${file.name}” did not arrive. Check the connection and try again.` : reply.why;
  return { ok: false, why };
}
