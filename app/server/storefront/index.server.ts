import type { IncomingMessage, ServerResponse } from "node:http";
import express, { type Express, type Request, type Response } from "express";
import compression from "compression";
import helmet from "helmet";
import { iconPicture, withoutEnd } from "~/core/document";
import { solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { isOutOfReach } from "../database/index.server";
import { situationNow } from "../goods/index.server";
import { placeOf } from "../limits/index.server";
import { trustProxies } from "../config/index.server";
import { tonesIn } from "~/render";
import { shownFiles } from "~/kinds/references";
import { fonts, isDocumentName, isFilmName, SCRIPTS, sendFile, sendPicture } from "../http/static";
import { uploadedFile, hasPicture } from "../pictures/index.server";
import { shopAt } from "../shops/index.server";
import { accounts } from "./account";
import { checkouts } from "./checkout";
import { codeFrames } from "./code-frame";
import { icoOf, iconPng, iconSvg } from "./favicon";
import { contentFor, draftPage, FOR_ONE, serveDrafts } from "./draft";
import { feedOf } from "./feed";
import { forms } from "./forms";
import { giftCards } from "./gift-cards";
import { answerKept, hostLabel } from "./front";
import { lists } from "./lists";
import {
  closedPage,
  contentOf,
  friendToken,
  isFriendsWord,
  leadsTo,
  messagePage,
  pageAt,
  sameText,
  sitemapOf,
  usesFont,
} from "./pages";
import { linkIn } from "./came-by";
import { TooMany } from "./gate";
import { cookieOf, fromHere, isWalk, originOf, perMinute, send, sendSorry, shopOf, type Locals } from "./sending";
import { shopping } from "./shopping";
import { closedFor, noteLink, personOf } from "./visitors";

export { draftContent } from "./draft";
export { letterContent } from "./lists";
export { contentOf } from "./pages";
export { WALK_HEADER, walkSecret } from "./sending";

/** At most this many words for friends are tried from one place in a minute; who knows it is known for so long. */
const MOST_TRIES = 10;
/** What is not the same for everybody: a browser may keep it, and asks each time whether it is still good. */
const ASKED_EACH_TIME = "private, no-cache";
const FRIEND_SECONDS = 30 * 86_400;

let reportedAt = 0;
/** Writes to the log that the database is out of reach, once in a while and not for every visitor. */
function reportOutage(error: unknown): void {
  if (Date.now() - reportedAt < 10_000) return;
  reportedAt = Date.now();
  console.error("the database can't be reached:", error instanceof Error ? error.message : error);
}

/** An address without what a form sent although nothing was written there; what is looked for may be nothing. */
function withoutBlanks(url: string): string {
  const [path = "", ...rest] = url.split("?");
  if (rest.length === 0) return url;
  const given = rest.join("?").split("&");
  const said = given.filter((pair) => pair.startsWith("q=") || /=./.test(pair) || !pair.endsWith("="));
  if (said.length === given.length) return url;
  return said.length ? `${path}?${said.join("&")}` : path;
}

/** The shops that are published here, each at its own host name. */
export function storefront(): (request: IncomingMessage, response: ServerResponse) => void {
  const others = whateverElse();
  return (request, response) => {
    if (!answerKept(request, response)) others(request, response);
  };
}

/** What answers where nothing lies ready. */
function whateverElse(): Express {
  const app = express();
  app.disable("x-powered-by");
  app.set("etag", false);
  trustProxies(app);
  app.use(
    helmet({
      contentSecurityPolicy: false,
      strictTransportSecurity: false,
      crossOriginEmbedderPolicy: false,
      referrerPolicy: { policy: "strict-origin-when-cross-origin" },
    }),
  );
  app.use(codeFrames());
  for (const { address, send } of Object.values(SCRIPTS)) app.get(address, compression(), send);

  app.use(async (request, response, next) => {
    const label = hostLabel(request);
    const shop = label ? await shopAt(label) : undefined;
    if (!shop) {
      response.status(404).type("text/plain").send("There is no shop at this address.");
      return;
    }
    (response.locals as Locals).shop = shop;
    next();
  });
  serveDrafts(app);
  app.get(
    "/fonts/:file",
    fonts(async (_request, response, name) => {
      const content = await contentFor(response);
      return content !== undefined && usesFont(content, name);
    }),
  );

  app.get("/media/:name", async (request, response) => {
    const shop = shopOf(response);
    const name = String(request.params.name);
    if (isDocumentName(name) || isFilmName(name)) {
      const found = await uploadedFile(shop.id, name);
      // What was removed is there for as long as what is published shows it.
      const content = found?.isRemoved ? await contentFor(response) : undefined;
      const isGone = found?.isRemoved && !(content && shownFiles(content).has(name));
      return sendFile(name, isGone ? undefined : found, response);
    }
    // Only tones that a page of the shop shows are made.
    const isToneAllowed = async (code: string) => {
      const content = await contentFor(response);
      return content !== undefined && tonesIn(content.draft).has(code);
    };
    return sendPicture(name, response, (hash) => hasPicture(shop.id, hash), "public", isToneAllowed);
  });

  const icon = async (response: Response, size: number): Promise<Buffer | undefined> => {
    const content = await contentOf(shopOf(response));
    if (!content) return undefined;
    return iconPng(content.draft.look, content.pictures, size);
  };
  const ICON_CACHE = "public, max-age=3600";
  app.get("/favicon.ico", async (_request, response) => {
    const png = await icon(response, 32);
    if (!png) return void response.status(404).end();
    response.setHeader("Cache-Control", ICON_CACHE);
    response.type("image/x-icon").send(icoOf(png, 32));
  });
  app.get("/apple-touch-icon.png", async (_request, response) => {
    const png = await icon(response, 180);
    if (!png) return void response.status(404).end();
    response.setHeader("Cache-Control", ICON_CACHE);
    response.type("image/png").send(png);
  });

  for (const size of [192, 512])
    app.get(`/icon-${size}.png`, async (_request, response) => {
      const png = await icon(response, size);
      if (!png) return void response.status(404).end();
      response.setHeader("Cache-Control", ICON_CACHE);
      response.type("image/png").send(png);
    });
  app.get("/favicon.svg", async (_request, response) => {
    const look = (await contentOf(shopOf(response)))?.draft.look;
    if (!look || iconPicture(look.identity) !== undefined) return void response.status(404).end();
    response.setHeader("Cache-Control", ICON_CACHE);
    response.setHeader("Content-Security-Policy", "default-src 'none'; sandbox");
    response.type("image/svg+xml").send(iconSvg(look));
  });
  // W3C Web App Manifest: what a phone needs to put the shop onto its first screen.
  app.get("/site.webmanifest", async (_request, response) => {
    const look = (await contentOf(shopOf(response)))?.draft.look;
    if (!look) return void response.status(404).end();
    const { page } = solveLook(themeById(look.theme), look).roles.sets;
    response.setHeader("Cache-Control", ICON_CACHE);
    response.type("application/manifest+json").send(
      JSON.stringify({
        name: look.identity.name,
        short_name: look.identity.name.slice(0, 30),
        start_url: "/",
        display: "browser",
        background_color: page.page,
        theme_color: page.page,
        icons: [192, 512].map((size) => ({ src: `/icon-${size}.png`, sizes: `${size}x${size}`, type: "image/png" })),
      }),
    );
  });

  const MAP_CACHE = "public, max-age=3600";
  app.get("/robots.txt", (_request, response) => {
    response.setHeader("Cache-Control", MAP_CACHE);
    response.type("text/plain").send(`User-agent: *\nAllow: /\nSitemap: ${originOf(response)}/sitemap.xml\n`);
  });
  app.get(/\/feed\.xml$/, async (request, response, next) => {
    const feed = await feedOf(shopOf(response), request.path, originOf(response));
    if (feed === undefined) return next();
    response.type("application/atom+xml").setHeader("Cache-Control", "public, max-age=600").send(feed);
  });
  app.get("/sitemap.xml", async (_request, response, next) => {
    const map = await sitemapOf(shopOf(response), originOf(response));
    if (!map) return next();
    response.setHeader("Cache-Control", MAP_CACHE);
    response.type("application/xml").send(map);
  });

  app.use(lists());

  const mayTry = perMinute("friends", MOST_TRIES);
  app.post("/friends", express.urlencoded({ extended: false, limit: "2kb" }), async (request, response) => {
    const shop = shopOf(response);
    const home = `${originOf(response)}/`;
    const token = await friendToken(shop);
    if (!token || !fromHere(request, response)) return response.redirect(303, home);
    const { word } = (request.body ?? {}) as { word?: unknown };
    const may = await mayTry(request, response);
    if (may && typeof word === "string" && (await isFriendsWord(shop, word.slice(0, 200)))) {
      const secure = home.startsWith("https:") ? "; Secure" : "";
      response.append(
        "Set-Cookie",
        `friend=${token}; HttpOnly; Path=/; SameSite=Lax; Max-Age=${FRIEND_SECONDS}${secure}`,
      );
      return response.redirect(303, home);
    }
    const page = may
      ? await closedPage(shop, originOf(response), true)
      : await messagePage(
          shop,
          "That was a little too often",
          "Please try again in a minute.",
          429,
          originOf(response),
        );
    if (page) send(request, response, page, "no-store");
    else response.redirect(303, home);
  });

  // From here on everything is of the shop itself, which may be closed for now.
  app.use(async (request, response, next) => {
    const shop = shopOf(response);
    if ((response.locals as Locals).draftUntil !== undefined || isWalk(request)) return next();
    const page = await closedPage(shop, originOf(response));
    if (!page) return next();
    const [shown, wanted] = [cookieOf(request, "friend"), await friendToken(shop)];
    if (shown !== undefined && wanted !== undefined && sameText(shown, wanted)) {
      (response.locals as Locals).isFriend = true;
      return next();
    }
    response.setHeader("Retry-After", "86400");
    send(request, response, page, "no-store");
  });

  app.use(shopping());
  app.use(checkouts());
  app.use(accounts());
  app.use(giftCards());
  app.use(forms());

  app.get("/{*path}", async (request, response) => {
    const shop = shopOf(response);
    const { path, url } = request;
    if (path.length > 1 && path.endsWith("/")) {
      // With the shop's own origin: what begins with two slashes would lead elsewhere.
      response.redirect(301, originOf(response) + (withoutEnd(path, "/") || "/") + url.slice(path.length));
      return;
    }
    const asked = withoutBlanks(url);
    if (asked !== url) return response.redirect(302, originOf(response) + asked);
    const draft = await draftPage(request, response);
    if (draft) return send(request, response, draft, FOR_ONE);
    const content = linkIn(url) === undefined ? undefined : await contentOf(shop);
    if (content) noteLink(url, response, content);
    const page = await pageAt(
      shop,
      url,
      originOf(response),
      { ...situationNow(shop), closed: closedFor(request) },
      placeOf(request.ip ?? ""),
      (content, asks) => personOf(request, response, content, asks),
    );
    if (page?.status === 404) {
      const [, query] = url.split(/\?(.*)/s);
      const moved = await leadsTo(shop, path);
      if (moved)
        return response.redirect(301, `${originOf(response)}${moved}${query === undefined ? "" : `?${query}`}`);
    }
    // What friends see while the shop is closed is for them alone.
    const cache = (response.locals as Locals).isFriend ? FOR_ONE : page?.isPersonal ? ASKED_EACH_TIME : undefined;
    if (page) return send(request, response, page, cache);
    response.status(404).setHeader("Content-Security-Policy", "default-src 'none'");
    response
      .type("html")
      .send(
        "<!doctype html><html lang=en><title>Not open yet</title><h1>This shop is not open yet</h1><p>It has not been published.</p></html>",
      );
  });

  app.use((error: unknown, request: Request, response: Response, next: (error?: unknown) => void) => {
    if (response.headersSent) return next(error);
    if (error instanceof TooMany) return sendSorry(request, response, hostLabel(request));
    if (isOutOfReach(error)) {
      reportOutage(error);
      return sendSorry(request, response, hostLabel(request));
    }
    const status =
      typeof error === "object" && error && "status" in error && typeof error.status === "number" && error.status < 500
        ? error.status
        : 500;
    if (status === 500) console.error(error);
    response
      .status(status)
      .type("text/plain")
      .send(status === 500 ? "Something went wrong here. Please try again in a moment." : "That can’t be done.");
  });
  return app;
}
