import type { Request, Response } from "express";
import { SESSION_DAYS, shopperOfSession, type ShopperIdentity } from "../shoppers/index.server";
import { cookieOf, originOf, shopOf } from "./sending";

// Who is signed in to a shop. The cookie belongs to the shop's own host and goes nowhere else.

/** A name that browsers take only over HTTPS, from this host, for all of it (RFC 6265bis, 4.1.3). Without HTTPS there is none such. */
const nameOf = (response: Response): string => (originOf(response).startsWith("https:") ? "__Host-shopper" : "shopper");

const asked = new WeakMap<Request, Promise<ShopperIdentity | undefined>>();

export const sessionOf = (request: Request, response: Response): string | undefined =>
  cookieOf(request, nameOf(response));

/** Whoever is signed in and asks; undefined where nobody is. It is looked up once for each request. */
export function shopperAt(request: Request, response: Response): Promise<ShopperIdentity | undefined> {
  let known = asked.get(request);
  if (!known) asked.set(request, (known = shopperOfSession(shopOf(response).id, sessionOf(request, response))));
  return known;
}

/** Keeps a session in the browser; without a secret, none. */
export function setSession(request: Request, response: Response, secret: string | undefined): void {
  asked.delete(request);
  const secure = originOf(response).startsWith("https:") ? "; Secure" : "";
  const seconds = secret === undefined ? 0 : SESSION_DAYS * 86_400;
  response.append(
    "Set-Cookie",
    `${nameOf(response)}=${secret ?? ""}; HttpOnly; Path=/; SameSite=Lax; Max-Age=${seconds}${secure}`,
  );
}
