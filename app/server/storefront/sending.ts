import type { Request, Response } from "express";
import { shopOrigin } from "../config/index.server";
import type { Shop } from "../shops/index.server";
import { placeOf, within } from "../limits/index.server";
import { sorryPage, type ServedPage } from "./pages";

export type Locals = { shop: Shop };

/** The shop at whose address a request came. */
export const shopOf = (response: Response): Shop => (response.locals as Locals).shop;

/** The address at which browsers see the shop, without a slash at the end. */
export const originOf = (response: Response): string => shopOrigin(shopOf(response).host);

/** Whether a form was sent from the shop's own page; browsers say so for every POST. */
export const fromHere = (request: Request, response: Response): boolean => {
  const { origin } = request.headers;
  return origin === undefined || origin === originOf(response);
};

/** What a page may do: what every page may, and what its own parts need. */
const policyOf = ({ styleHash, permissions }: ServedPage): string =>
  [
    "default-src 'none'",
    `style-src ${styleHash}`,
    "script-src 'self'",
    "img-src 'self' data:",
    ...(permissions.has("media") ? ["media-src 'self'"] : []),
    ...(permissions.has("frame") ? ["frame-src 'self'"] : []),
    "font-src 'self'",
    "connect-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join("; ");

/** Sends a page, packed as the browser takes it, or says that the one it has is still good. */
export function send(
  request: Request,
  response: Response,
  page: ServedPage,
  cache = "public, max-age=0, must-revalidate",
): void {
  response.setHeader("Content-Security-Policy", policyOf(page));
  response.setHeader("Cache-Control", cache);
  response.setHeader("ETag", page.etag);
  response.setHeader("Vary", "Accept-Encoding");
  if (page.status === 200 && request.headers["if-none-match"] === page.etag) {
    response.status(304).end();
    return;
  }
  const encoding = request.acceptsEncodings(["br", "gzip"]);
  if (encoding === "br" || encoding === "gzip") response.setHeader("Content-Encoding", encoding);
  response
    .status(page.status)
    .type("html")
    .send(encoding === "br" || encoding === "gzip" ? page.packed(encoding) : page.raw);
}

/** Counts what comes from one place to one shop; false once there are more than `most` in a minute. */
export const perMinute =
  (what: string, most: number) =>
  (request: Request, response: Response): Promise<boolean> =>
    within(`${what}:${shopOf(response).id}:${placeOf(request.ip ?? "")}`, most, 60);

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
