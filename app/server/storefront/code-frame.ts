import { existsSync, readFileSync } from "node:fs";
import { resolve } from "node:path";
import type { RequestHandler } from "express";
import { FRAME_PATH, framePolicy } from "~/core/code";
import { codeHolders, codeOrigin } from "../config/index.server";

/** What runs in the frame before anything of the seller's does; built with the shop's scripts. */
function shell(): string {
  const file = resolve("build/runtime/frame.js");
  return existsSync(file) ? readFileSync(file, "utf8").replaceAll("</script", "<\\/script") : "";
}

const page = (script: string): string =>
  `<!doctype html><html><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
  `<meta name="robots" content="noindex"><title>Own code</title><style>html{overflow-wrap:anywhere;font:1rem/1.5 system-ui,sans-serif;color:var(--ink,#111)}` +
  `body{margin:0;display:flow-root}</style></head><body><script>${script}</script></body></html>`;

/**
 * The host of frames: it serves one empty page, which is of no origin, keeps nothing and knows nobody. What runs in it is written
 * into its address by the page that holds it, and never gets here.
 */
export function codeFrames(): RequestHandler {
  const bytes = page(shell());
  return (request, response, next) => {
    if ((request.headers.host ?? "").toLowerCase() !== new URL(codeOrigin()).host) return next();
    if (request.path !== FRAME_PATH || request.method !== "GET") {
      response.status(404).setHeader("Content-Security-Policy", "default-src 'none'");
      response.type("text/plain").send("There is nothing here.");
      return;
    }
    const { load } = request.query;
    response.removeHeader("X-Frame-Options");
    response.setHeader(
      "Content-Security-Policy",
      framePolicy(typeof load === "string" ? load.slice(0, 4000) : "", codeHolders()),
    );
    response.setHeader("Cache-Control", "public, max-age=3600");
    response.type("html").send(bytes);
  };
}
