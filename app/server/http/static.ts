import { createHash } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { resolve } from "node:path";
import type { Request, RequestHandler, Response } from "express";
import { fontFileFor } from "../fonts/index.server";
import { fileFor } from "../pictures/index.server";

const YEAR = "public, max-age=31536000, immutable";

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

/** Sends a picture of the library. Drawings get a policy of their own, so that one opened by itself can do nothing. */
export async function sendPicture(
  name: string,
  response: Response,
  isAllowed: (hash: string) => Promise<boolean>,
): Promise<void> {
  const hash = name.slice(0, 64);
  const file = /^[0-9a-f]{64}$/.test(hash) && (await isAllowed(hash)) ? await fileFor(name) : undefined;
  if (!file) {
    response.status(404).type("text/plain").send("There is no such picture.");
    return;
  }
  response.setHeader("Cache-Control", YEAR);
  if (name.endsWith(".svg"))
    response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox");
  response
    .type(name.endsWith(".svg") ? "image/svg+xml" : "image/webp")
    .sendFile(file, { cacheControl: false, dotfiles: "allow" });
}

const scriptFile = resolve("build/runtime/shop.js");
const script = existsSync(scriptFile) ? readFileSync(scriptFile) : Buffer.from("");

/** Address of the shop's script; it changes when the script does. */
export const RUNTIME_ADDRESS = `/assets/shop-${createHash("sha256").update(script).digest("hex").slice(0, 12)}.js`;

export const runtime: RequestHandler = (_request, response) => {
  response.setHeader("Cache-Control", YEAR);
  response.type("text/javascript").send(script);
};
