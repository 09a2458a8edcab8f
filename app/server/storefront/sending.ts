import { randomBytes } from "node:crypto";
import type { IncomingMessage } from "node:http";
import type { Request, Response } from "express";
import { LRUCache } from "lru-cache";
import { codeOrigin, shopOrigin } from "../config/index.server";
import type { Shop } from "../shops/index.server";
import { placeOf, within } from "../limits/index.server";
import { sameText, sorryPage, type Encoding, type ServedPage } from "./pages";

/**
 * `isFriend`: somebody who sees the shop although it is closed. `draftUntil`: until when it is the draft that is looked at, in ms since
 * 1970; absent: what is published.
 */
export type Locals = { shop: Shop; isFriend?: boolean; draftUntil?: number };

/** The shop at whose address a request came. */
export const shopOf = (response: Response): Shop => (response.locals as Locals).shop;

/** The address at which browsers see the shop, without a slash at the end. */
export const originOf = (response: Response): string => shopOrigin(shopOf(response).host);

/** Whether a form was sent from the shop's own page; browsers say so for every POST. */
export const fromHere = (request: Request, response: Response): boolean => {
  const { origin } = request.headers;
  return origin === undefined || origin === originOf(response);
};

/** Where films, sound or frames of a page may come from; nothing where it has none. */
function sources(permissions: ServedPage["permissions"], what: "media" | "frame"): readonly string[] {
  const from = [...permissions].flatMap((each) =>
    each === what
      ? ["'self'"]
      : each.startsWith(`${what} `)
        ? [each.slice(what.length + 1)]
        : each === "code" && what === "frame"
          ? [codeOrigin()]
          : [],
  );
  return from.length ? [`${what}-src ${from.join(" ")}`] : [];
}

/** What a page may do: what every page may, and what its own parts need. */
const policyOf = ({ styleHash, permissions }: ServedPage, holders: string): string =>
  [
    "default-src 'none'",
    `style-src ${styleHash}`,
    "script-src 'self'",
    "img-src 'self' data:",
    ...sources(permissions, "media"),
    ...sources(permissions, "frame"),
    "font-src 'self'",
    "connect-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    `frame-ancestors ${holders}`,
  ].join("; ");

/**
 * What every visitor gets: browsers ask each time whether it is still good; what stands between may keep it for a second, so that
 * a crowd is one request.
 */
const FOR_ALL = "public, max-age=0, s-maxage=1, must-revalidate";

// There are few ways in which browsers say what they can unpack, and reading one takes a while.
const encodings = new LRUCache<string, Encoding>({ max: 200 });

/** How a browser wants what it is sent, where that was asked before with the same words. */
export const encodingJustRead = ({ headers }: IncomingMessage): Encoding | undefined =>
  encodings.get(headers["accept-encoding"] ?? "");

function encodingOf(request: Request): Encoding {
  // Browsers name gzip first and mean nothing by it; asked for both at once, it would always be gzip.
  const encoding = (["br", "gzip"] as const).find((each) => request.acceptsEncodings(each) !== false) ?? "identity";
  const words = request.headers["accept-encoding"] ?? "";
  if (words.length <= 200) encodings.set(words, encoding);
  return encoding;
}

const TAG = /(?:W\/)?("[^"]*")/g;

/** Whether a browser has what it would be sent, by the tags it says it has: weak ones count as well (RFC 9110, 13.1.2). */
export function hasAlready(said: string | undefined, etag: string): boolean {
  if (said === undefined) return false;
  return said.trim() === "*" || [...said.matchAll(TAG)].some(([, tag]) => tag === etag);
}

/** Each way of packing has a tag of its own: what is compared by it are bytes (RFC 9110, 8.8.3). */
export const etagOf = ({ hash }: ServedPage, encoding: Encoding): string =>
  encoding === "identity" ? `"${hash}"` : `"${hash}-${encoding}"`;

/**
 * Sends a page, packed as the browser takes it, or says that the one it has is still good. `cache`: where it is not for everybody.
 * `isBeside`: another page of the shop may show it at its side; else nobody may show it in theirs.
 */
export function send(request: Request, response: Response, page: ServedPage, cache = FOR_ALL, isBeside = false): void {
  const encoding = encodingOf(request);
  const etag = etagOf(page, encoding);
  response.setHeader("Content-Security-Policy", policyOf(page, isBeside ? "'self'" : "'none'"));
  response.setHeader("Cache-Control", cache);
  response.setHeader("ETag", etag);
  response.setHeader("Vary", "Accept-Encoding");
  const bytes = page.bytes(encoding);
  const unchanged = fieldsOf(response);
  response.setHeader("Content-Type", "text/html; charset=utf-8");
  response.setHeader("Content-Length", bytes.length);
  if (encoding !== "identity") response.setHeader("Content-Encoding", encoding);
  if (cache === FOR_ALL) page.heads[encoding] ??= { etag, unchanged, whole: fieldsOf(response) };
  if (page.status === 200 && hasAlready(request.headers["if-none-match"], etag)) {
    for (const name of ["Content-Type", "Content-Length", "Content-Encoding"]) response.removeHeader(name);
    response.status(304).end();
    return;
  }
  response.status(page.status).end(bytes);
}

const fieldsOf = (response: Response): string[] =>
  Object.entries(response.getHeaders()).flatMap(([name, value]) => [name, String(value)]);

/** What the walk-through says who it is with: what it orders is a test, it gets no letters, and nobody else’s limits are used up by it. */
export const WALK_HEADER = "x-zest-walk";
const walk = randomBytes(24).toString("base64url");
/** Known in this process alone, and anew each time it starts. */
export const walkSecret = (): string => walk;
export function isWalk({ headers }: Pick<IncomingMessage, "headers">): boolean {
  const said = headers[WALK_HEADER];
  return typeof said === "string" && sameText(said, walk);
}

/** Counts what comes from one place to one shop; false once there are more than `most` in a minute. */
export const perMinute =
  (what: string, most: number) =>
  (request: Request, response: Response): Promise<boolean> =>
    isWalk(request)
      ? Promise.resolve(true)
      : within(`${what}:${shopOf(response).id}:${placeOf(request.ip ?? "")}`, most, 60);

/** Asks to come again in a moment: in the look of the shop, where it is known. */
export function sendSorry(request: Request, response: Response, host: string | undefined): void {
  response.setHeader("Retry-After", "3");
  const page = host === undefined ? undefined : sorryPage(host);
  if (page) return send(request, response, page, "no-store");
  response
    .status(503)
    .setHeader("Cache-Control", "no-store")
    .type("text/plain")
    .send("The shop is busy just now. Please try again in a few seconds.");
}

/** The value of a cookie; undefined where there is none of this name. */
export const cookieOf = (request: Request, name: string): string | undefined =>
  request.headers.cookie
    ?.split(/;\s*/)
    .find((c) => c.startsWith(`${name}=`))
    ?.slice(name.length + 1);

/**
 * Lets no other site know the address of a page. It may not be “no-referrer”: a browser then says of the page’s own forms that they come from
 * nowhere, and they are turned away (Fetch, “append a request Origin header”).
 */
export const tellNobody = (response: Response): void => void response.setHeader("Referrer-Policy", "same-origin");
