import type { Express, Request, Response } from "express";
import { clockIn, clockOf } from "~/core/situation";
import { publishable } from "~/core/document";
import { isBeside, withFacts, type ShopContent, type Target } from "~/render";
import { codeOrigin } from "../config/index.server";
import { draftNow } from "../drafts/index.server";
import { goodsOf, situationNow } from "../goods/index.server";
import { placeOf } from "../limits/index.server";
import { draftLinkEnds } from "../publishing/index.server";
import type { Shop } from "../shops/index.server";
import { contentOf, draftThen, drawn, inTurn, messagePage, picturesNow, targetOf, type ServedPage } from "./pages";
import { cookieOf, originOf, send, shopOf, type Locals } from "./sending";
import { contentForOne } from "./visitors";

// The draft of a shop, at the shop's own address, for whoever has a link to it that is still good. It is drawn anew each time, and
// nothing between here and the browser keeps it.

export const DRAFT_COOKIE = "draft";
export const FOR_ONE = "private, no-store";

/** What pages are drawn from for whoever asks: the draft, or what is published. */
export async function contentFor(response: Response): Promise<ShopContent | undefined> {
  const shop = shopOf(response);
  return (response.locals as Locals).draftUntil === undefined ? contentOf(shop) : draftContent(shop);
}

/** What pages of the draft are drawn from, as it is now. */
export async function draftContent(shop: Shop): Promise<ShopContent> {
  const [draft, goods, pictures] = await Promise.all([
    draftNow(shop.id),
    goodsOf(shop, situationNow(shop)),
    picturesNow(shop),
  ]);
  const situation = situationNow(shop);
  return withFacts({
    draft: draftThen(publishable(draft), clockOf(situation)),
    goods,
    pictures,
    currency: shop.currency,
    locale: shop.locale,
    moneyFormat: shop.moneyFormat,
    codeOrigin: codeOrigin(),
    situation,
  });
}

/** A page of the draft, with a strip that says what it is. */
export async function draftPage(request: Request, response: Response): Promise<ServedPage | undefined> {
  const content = await contentFor(response);
  const { draftUntil } = response.locals as Locals;
  if (!content || draftUntil === undefined) return undefined;
  const { target, status } = targetOf(request.url, content);
  return drawnFor(request, response, status, target, content);
}

/** A page for whoever asks alone; of the draft with a strip that says so. */
export async function drawnFor(
  request: Request,
  response: Response,
  status: number,
  target: Target,
  content: ShopContent,
  turn = inTurn,
): Promise<ServedPage> {
  const { draftUntil } = response.locals as Locals;
  const strip = draftUntil === undefined || isBeside(target) ? undefined : stripOf(draftUntil, shopOf(response));
  const theirs = await contentForOne(request, response, content);
  return turn(placeOf(request.ip ?? ""), () => drawn(status, target, theirs, originOf(response), "once", strip));
}

const STRIP_CSS =
  ".draft-strip{position:sticky;bottom:0;z-index:99;display:flex;flex-wrap:wrap;gap:.25rem 1.25rem;align-items:center;padding:.5rem 1rem;background:#17241d;color:#faf8f2;font:500 14px/1.4 system-ui,sans-serif;border-top:3px solid #f5c518}.draft-strip a{color:#f5c518;display:inline-flex;align-items:center;min-height:2.75rem}.draft-strip b{flex:1;font-weight:500}";

const stripOf = (until: number, shop: Shop) => ({
  css: STRIP_CSS,
  html: `<aside class="draft-strip" aria-label="Draft"><b>This is the draft. Shoppers don’t see it. The link ends ${clockIn(until, shop.timeZone).replace("T", " at ")}.</b><a href="/draft/leave">Leave the draft</a></aside>`,
});

const cookie = (value: string, seconds: number, response: Response) =>
  `${DRAFT_COOKIE}=${value}; HttpOnly; Path=/; SameSite=Lax; Max-Age=${seconds}${originOf(response).startsWith("https:") ? "; Secure" : ""}`;

/** Lets in whoever comes with a link, and knows them again on the pages that follow. */
export function serveDrafts(app: Express): void {
  app.get("/draft/leave", (_request, response) => {
    response.append("Set-Cookie", cookie("", 0, response));
    response.setHeader("Cache-Control", FOR_ONE);
    response.redirect(303, `${originOf(response)}/`);
  });
  app.get("/draft/:secret", async (request, response) => {
    const shop = shopOf(response);
    const secret = String(request.params.secret);
    const ends = await draftLinkEnds(shop.id, secret);
    response.setHeader("X-Robots-Tag", "noindex");
    response.setHeader("Referrer-Policy", "no-referrer");
    if (ends !== undefined) {
      const { to } = request.query;
      const path = typeof to === "string" && /^\/(?![/\\])/.test(to) ? to : "/";
      response.append("Set-Cookie", cookie(secret, Math.ceil((ends - Date.now()) / 1000), response));
      response.setHeader("Cache-Control", FOR_ONE);
      return response.redirect(303, originOf(response) + path);
    }
    const [title, text] = ["This link has ended", "A link to a draft is good for a day. Ask for a new one."];
    const page = await messagePage(shop, title, text, 410, originOf(response));
    if (page) return send(request, response, page, "no-store");
    response.status(410).setHeader("Cache-Control", "no-store").type("text/plain").send(`${title}. ${text}`);
  });
  app.use(async (request, response, next) => {
    const secret = cookieOf(request, DRAFT_COOKIE);
    if (secret) {
      const ends = await draftLinkEnds(shopOf(response).id, secret);
      if (ends === undefined) response.append("Set-Cookie", cookie("", 0, response));
      else {
        (response.locals as Locals).draftUntil = ends;
        response.setHeader("X-Robots-Tag", "noindex");
      }
    }
    next();
  });
}
