import { randomBytes } from "node:crypto";
import { mkdir, rename, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { createTransport } from "nodemailer";
import { config } from "../config/index.server";

// A stand-in for sending mail: every letter becomes a file in the outbox, as it would have been sent (RFC 5322). The folder can
// only be read by whoever runs the machine, because letters hold links that open accounts.

export type Letter = { readonly to: string; readonly subject: string; readonly text: string };

const FROM = { name: "Zest Window", address: "studio@zest-window.example" };
const writer = createTransport({ streamTransport: true, buffer: true, newline: "unix" });

/** Puts a letter into the outbox and gives its file. */
export async function send({ to, subject, text }: Letter): Promise<string> {
  const { message } = await writer.sendMail({ from: FROM, to: { name: "", address: to }, subject, text });
  const folder = config().outboxFolder;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const name = `${new Date().toISOString().replace(/[:.]/g, "-")}-${randomBytes(4).toString("hex")}.eml`;
  const file = join(folder, name);
  await writeFile(`${file}.part`, message as Buffer, { mode: 0o600 });
  await rename(`${file}.part`, file);
  return file;
}
