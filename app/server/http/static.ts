import { createHash } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { resolve } from "node:path";
import type { Request, RequestHandler, Response } from "express";
import { fontFileFor } from "../fonts/index.server";
import type { Scripts } from "~/render";
import { fileFor, type ToneAllowed, type UploadedFile } from "../pictures/index.server";

const YEAR = "public, max-age=31536000, immutable";
const OWN_YEAR = "private, max-age=31536000, immutable";

/**
 * The fonts that are shipped, whole or cut; only names that read as one of them are ever looked up. Making a cut takes about
 * a second, so that it is made only where `mayMake` says that the asker has a use for it.
 */
export const fonts =
  (mayMake: (request: Request, response: Response, name: string) => Promise<boolean>): RequestHandler =>
  async (request, response, next) => {
    const name = String(request.params.file);
    const file = await fontFileFor(name, () => mayMake(request, response, name));
    if (!file) return next();
    response.setHeader("Cache-Control", YEAR);
    // Fonts are fetched without credentials and checked by origin, also by the shop's own pages.
    response.setHeader("Access-Control-Allow-Origin", "*");
    response.type("font/woff2").sendFile(file, { cacheControl: false, dotfiles: "allow" });
  };

/**
 * Sends a picture of the library. Drawings get a policy of their own, so that one opened by itself can do nothing.
 * `whose`: whether what stands in between may keep it for others.
 */
export async function sendPicture(
  name: string,
  response: Response,
  isAllowed: (hash: string) => Promise<boolean>,
  whose: "public" | "private" = "public",
  isToneAllowed?: ToneAllowed,
): Promise<void> {
  const hash = name.slice(0, 64);
  const file = /^[0-9a-f]{64}$/.test(hash) && (await isAllowed(hash)) ? await fileFor(name, isToneAllowed) : undefined;
  if (!file) {
    response.status(404).type("text/plain").send("There is no such picture.");
    return;
  }
  response.setHeader("Cache-Control", whose === "public" ? YEAR : OWN_YEAR);
  if (name.endsWith(".svg"))
    response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox");
  response
    .type(name.endsWith(".svg") ? "image/svg+xml" : name.endsWith(".jpg") ? "image/jpeg" : "image/webp")
    .sendFile(file, { cacheControl: false, dotfiles: "allow" });
}

function script(name: string): { readonly address: string; readonly send: RequestHandler } {
  const file = resolve(`build/runtime/${name}.js`);
  const bytes = existsSync(file) ? readFileSync(file) : Buffer.from("");
  return {
    // It changes when the script does.
    address: `/assets/${name}-${createHash("sha256").update(bytes).digest("hex").slice(0, 12)}.js`,
    send: (_request, response) => {
      response.setHeader("Cache-Control", YEAR);
      response.type("text/javascript").send(bytes);
    },
  };
}

/** The shop's scripts: the one of every page, and the one that pages with goods need as well. */
export const SCRIPTS = { every: script("shop"), goods: script("goods") } as const;
export const SCRIPT_ADDRESSES: Scripts = { every: SCRIPTS.every.address, goods: SCRIPTS.goods.address };

/** Whether a name below /media is that of a film. */
export const isFilmName = (name: string): boolean => /\.(?:mp4|webm)$/.test(name);

/** Whether a name below /media is that of a document. */
export const isDocumentName = (name: string): boolean => name.endsWith(".pdf");

/**
 * Sends a document of the library, to be shown by whatever shows PDFs in the browser. It is not held in a sandbox: those that browsers
 * bring with them would show nothing in one, and run nothing of a document in the page's own origin.
 */
function sendDocument(found: UploadedFile | undefined, response: Response, who: "public" | "private"): void {
  if (!found) {
    response.status(404).type("text/plain").send("There is no such document.");
    return;
  }
  response.setHeader("Cache-Control", who === "public" ? YEAR : OWN_YEAR);
  response.setHeader("Content-Security-Policy", "base-uri 'none'; form-action 'none'; frame-ancestors 'none'");
  response.attachment(found.name.toLowerCase().endsWith(".pdf") ? found.name : `${found.name}.pdf`);
  const named = String(response.getHeader("Content-Disposition")).replace(/^attachment/, "inline");
  response.setHeader("Content-Disposition", named);
  response.type("application/pdf").sendFile(found.path, { cacheControl: false, dotfiles: "allow" });
}

/** Sends a film of the library; browsers ask for parts of it (RFC 9110, 14). `who` may keep it. */
function sendVideo(found: UploadedFile | undefined, response: Response, who: "public" | "private"): void {
  if (!found) {
    response.status(404).type("text/plain").send("There is no such film.");
    return;
  }
  response.setHeader("Cache-Control", who === "public" ? YEAR : OWN_YEAR);
  response.setHeader("Content-Security-Policy", "default-src 'none'; media-src 'self'; sandbox");
  response
    .type(found.path.endsWith(".webm") ? "video/webm" : "video/mp4")
    .sendFile(found.path, { cacheControl: false, dotfiles: "allow", acceptRanges: true });
}

/** Sends what was found under the name of a film or a document. `who` may keep it. */
export const sendFile = (
  name: string,
  found: UploadedFile | undefined,
  response: Response,
  who: "public" | "private" = "public",
): void => (isDocumentName(name) ? sendDocument : sendVideo)(found, response, who);
