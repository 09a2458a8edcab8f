import type { Request, Response } from "express";
import { personalParts, type Personal } from "~/core/conditions";
import { entryOf } from "~/core/document";
import { FIRST_VISIT, type InCart, type Person, type Visitor } from "~/core/situation";
import { asksOn } from "~/kinds/asks";
import { inCartOf, type ShopContent } from "~/render";
import { cartOf } from "../carts/index.server";
import { config } from "../config/index.server";
import { CLOSED_COOKIE, linkIn, LONGEST_LINK } from "./came-by";
import { cookieOf, originOf, shopOf } from "./sending";
import { shopperAt } from "./signed-in";

// Who looks at a page, as far as its parts ask for it. Nothing is noted of anybody in a shop of which no part asks.

/** How many visits there were, and when the latest was, in seconds since 1970. */
const BEEN = "been";
/** What a link said by which somebody came. */
const CAME_BY = "by";
const SUBSCRIBED = "subscribed";
const BOUGHT = "bought";
const YEAR_SECONDS = 365 * 86_400;
const LINK_SECONDS = 30 * 86_400;
/** A visit is over after half an hour in which nothing was asked for: common practice in counting visits, no source. */
const VISIT_SECONDS = 30 * 60;

function note(response: Response, name: string, value: string, seconds: number): void {
  const secure = originOf(response).startsWith("https:") ? "; Secure" : "";
  response.append("Set-Cookie", `${name}=${value}; HttpOnly; Path=/; SameSite=Lax; Max-Age=${seconds}${secure}`);
}

/** Notes by which link somebody came, where a part of the shop asks for it. */
export function noteLink(url: string, response: Response, content: ShopContent): void {
  const by = linkIn(url);
  if (by !== undefined && personalParts(content.draft.documents).asks.has("visitor"))
    note(response, CAME_BY, encodeURIComponent(by), LINK_SECONDS);
}

/** Notes that somebody gets letters from here, or no longer does. */
export function noteSubscribed(response: Response, is: boolean): void {
  note(response, SUBSCRIBED, is ? "1" : "", is ? YEAR_SECONDS : 0);
}

/** Notes that somebody has bought something here. */
export const noteBought = (response: Response): void => note(response, BOUGHT, "1", YEAR_SECONDS);

/** Which visit it is, with the one before it as its cookie says. */
export function visitsAfter(cookie: string | undefined, now: number): number {
  const [, visits = "0", last = "0"] = /^(\d{1,4})\.(\d{1,12})$/.exec(cookie ?? "") ?? [];
  if (Number(visits) < 1) return 1;
  return now - Number(last) > VISIT_SECONDS ? Math.min(Number(visits) + 1, 9999) : Number(visits);
}

function decoded(text: string | undefined): string {
  try {
    return decodeURIComponent(text ?? "").slice(0, LONGEST_LINK);
  } catch {
    return "";
  }
}

async function visitorOf(request: Request, response: Response): Promise<Visitor> {
  const now = Math.floor(Date.now() / 1000);
  const visits = visitsAfter(cookieOf(request, BEEN), now);
  note(response, BEEN, `${visits}.${now}`, YEAR_SECONDS);
  return {
    visits,
    by: linkIn(request.url) ?? decoded(cookieOf(request, CAME_BY)),
    isSubscribed: cookieOf(request, SUBSCRIBED) === "1",
    isSignedIn: (await shopperAt(request, response)) !== undefined,
    hasBought: cookieOf(request, BOUGHT) === "1",
  };
}

/** What lies in the cart of whoever asks. */
const cartNow = async (request: Request, response: Response, content: ShopContent): Promise<InCart> =>
  inCartOf((await cartOf(shopOf(response).id, cookieOf(request, "cart"), content.goods)).lines);

/**
 * The country in which somebody is, by its code: what stands in front of the shop says so, where it is set up to (`ZEST_COUNTRY_HEADER`); else the
 * region of the first language that their browser asks for with one (RFC 9110, 12.5.4; BCP 47). Empty: not known.
 */
export function countryOf(headers: Request["headers"]): string {
  const { countryHeader } = config();
  if (countryHeader !== undefined) {
    const said = String(entryOf(headers, countryHeader) ?? "").toUpperCase();
    return /^[A-Z]{2}$/.test(said) ? said : "";
  }
  const languages = String(headers["accept-language"] ?? "").slice(0, 300);
  return /(?:^|,)\s*[a-z]{2,3}(?:-[a-z]{4})?-([a-z]{2})(?=\s*(?:;|,|$))/i.exec(languages)?.[1]?.toUpperCase() ?? "";
}

/** What is known of whoever asks, as far as it is asked for; what is not is as at a first visit. */
export async function personOf(
  request: Request,
  response: Response,
  content: ShopContent,
  asks: ReadonlySet<Personal>,
): Promise<Person> {
  return {
    visitor: asks.has("visitor") ? await visitorOf(request, response) : FIRST_VISIT.visitor,
    cart: asks.has("cart") ? await cartNow(request, response, content) : FIRST_VISIT.cart,
    country: asks.has("country") ? countryOf(request.headers) : FIRST_VISIT.country,
  };
}

/** What somebody has closed, by the names of what it said. */
export const closedFor = (request: Request): readonly string[] =>
  (cookieOf(request, CLOSED_COOKIE) ?? "")
    .slice(0, 200)
    .split(".")
    .filter((name) => /^\w{1,10}$/.test(name));

/** What a page is drawn from for whoever asks: with them in its situation, where any part of the shop asks for that. */
export async function contentForOne(request: Request, response: Response, content: ShopContent): Promise<ShopContent> {
  if (!content.situation) return content;
  const situation = { ...content.situation, closed: closedFor(request) };
  const { documents } = content.draft;
  const asks = asksOn(documents);
  if (asks.size === 0) return { ...content, situation };
  noteLink(request.url, response, content);
  return { ...content, situation: { ...situation, person: await personOf(request, response, content, asks) } };
}
