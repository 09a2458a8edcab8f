import { randomBytes } from "node:crypto";
import { mkdir, rename, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { createTransport } from "nodemailer";
import { config } from "../config/index.server";

// A stand-in for sending mail: every letter becomes a file in the outbox, as it would have been sent (RFC 5322). The folder can
// only be read by whoever runs the machine, because letters hold links that open accounts.

export type Letter = {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  /** In the look of a shop, beside the plain text. */
  readonly html?: string;
  /** What the sender is called; absent: the studio itself. */
  readonly from?: string;
  /** Where answers go. */
  readonly replyTo?: string;
  /** Where a mail program asks to be taken off a list by one press (RFC 8058). */
  readonly unsubscribe?: string;
};

const FROM = { name: "Zest Window", address: "studio@zest-window.example" };
const writer = createTransport({ streamTransport: true, buffer: true, newline: "unix" });

/** One line of a header: what ends a line would begin another header (RFC 5322, 2.2). */
const oneLine = (text: string, most: number): string =>
  text.replace(/[\u0000-\u001f\u007f\u2028\u2029]+/g, " ").slice(0, most);

/** Puts a letter into the outbox and gives its file. */
export async function send({ to, subject, text, html, from, replyTo, unsubscribe }: Letter): Promise<string> {
  const { message } = await writer.sendMail({
    from: from === undefined ? FROM : { ...FROM, name: oneLine(from, 120) },
    to: { name: "", address: to },
    subject: oneLine(subject, 250),
    text,
    ...(html === undefined ? {} : { html }),
    ...(replyTo === undefined ? {} : { replyTo: { name: "", address: replyTo } }),
    ...(unsubscribe === undefined
      ? {}
      : {
          headers: {
            "List-Unsubscribe": `<${unsubscribe}>`,
            "List-Unsubscribe-Post": "List-Unsubscribe=One-Click",
          },
        }),
  });
  const folder = config().outboxFolder;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const name = `${new Date().toISOString().replace(/[:.]/g, "-")}-${randomBytes(4).toString("hex")}.eml`;
  const file = join(folder, name);
  await writeFile(`${file}.part`, message as Buffer, { mode: 0o600 });
  await rename(`${file}.part`, file);
  return file;
}
