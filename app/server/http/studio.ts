import { randomBytes } from "node:crypto";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type Express, type Request, type RequestHandler, type Response } from "express";
import helmet from "helmet";
import type { ServerBuild } from "react-router";
import { QueryTypes } from "sequelize";
import sirv from "sirv";
import { ownerOfSession, sessionSecret } from "../accounts/index.server";
import { codeOrigin, config, trustProxies } from "../config/index.server";
import { database, PictureRow, ShopRow } from "../database/index.server";
import { MOST_ARCHIVE_BYTES, MOST_FILE_BYTES } from "../goods/index.server";
import { samplePath, uploadedFile, MOST_BYTES, MOST_VIDEO_BYTES } from "../pictures/index.server";
import { fonts, isDocumentName, isFilmName, sendFile, sendPicture } from "./static";
import { troubleOf } from "./trouble.server";

declare module "react-router" {
  interface AppLoadContext {
    /** For the content security policy: only what carries it runs. */
    readonly nonce: string;
    readonly from: string;
  }
}

const MARGIN = 1024 * 1024;
/** What may be sent by somebody who is not signed in: forms. */
const MOST_OF_STRANGERS = 64 * 1024;

/** The most that a request may carry: a picture, but for films, and for goods that come with an archive of pictures. */
function mostBody(path: string): number {
  if (/^\/s\/[^/]+\/film(?:\.data)?$/.test(path)) return MOST_VIDEO_BYTES + MARGIN;
  if (/^\/s\/[^/]+\/goods\/bring-in$/.test(path)) return MOST_ARCHIVE_BYTES + MOST_FILE_BYTES + MARGIN;
  return MOST_BYTES + MARGIN;
}

/** Where browsers see the studio that a request was sent to. */
const originOf = (request: Request): string =>
  config().studioOrigin ?? `${request.protocol}://${request.headers.host ?? ""}`;

/** Refuses what another site's page makes a browser send: every mutation must name this origin as its own. */
function sameOrigin(request: Request, response: Response, next: () => void): void {
  if (request.method === "GET" || request.method === "HEAD") return next();
  if (request.headers.origin === originOf(request)) return next();
  response.status(403).type("text/plain").send("This request came from another site and was refused.");
}

/**
 * Lets the routes see the address that browsers use, where something stands in front of the studio: the framework compares it
 * with where a form came from, and cookies are marked by it.
 */
function seenFromOutside(request: Request, _response: Response, next: () => void): void {
  const { studioOrigin } = config();
  if (studioOrigin) {
    const { protocol, host } = new URL(studioOrigin);
    request.headers.host = host;
    delete request.headers["x-forwarded-host"];
    Object.defineProperty(request, "protocol", { value: protocol.slice(0, -1), configurable: true });
  }
  next();
}

/** Refuses bodies that are too large, large ones of strangers, and those that don't say how large they are, before they are read. */
async function limitBody(request: Request, response: Response, next: () => void): Promise<void> {
  if (request.headers["transfer-encoding"] !== undefined) {
    response.status(411).type("text/plain").send("Say how large it is.");
    return;
  }
  const most = mostBody(request.path);
  const length = Number(request.headers["content-length"] ?? 0);
  if (length > most) {
    const megabytes = Math.floor((most - MARGIN) / MARGIN);
    response.status(413).type("text/plain").send(`That is larger than ${megabytes} MB. Make it smaller first.`);
    return;
  }
  if (length > MOST_OF_STRANGERS && !(await ownerOf(request))) {
    response.status(401).type("text/plain").send("You are signed out. Sign in again.");
    return;
  }
  next();
}

async function ownerOf(request: Request) {
  const secret = sessionSecret(request.headers.cookie);
  return secret ? ownerOfSession(secret) : undefined;
}

/** Whether the asker owns a shop that has this picture. Those of the made-up shops every owner may see. */
async function mayView(request: Request, hash: string): Promise<boolean> {
  const owner = await ownerOf(request);
  if (!owner) return false;
  if (samplePath(hash) !== undefined) return true;
  const shops = await ShopRow.findAll({ where: { ownerId: owner.id }, attributes: ["id"] });
  return (await PictureRow.count({ where: { hash, shopId: shops.map((s) => s.id) } })) > 0;
}

/** What the first of the asker's shops that has it says of a file; undefined where none has it. */
async function ofOwner<T>(request: Request, find: (shopId: string) => Promise<T | undefined>): Promise<T | undefined> {
  const owner = await ownerOf(request);
  if (!owner) return undefined;
  for (const { id } of await ShopRow.findAll({ where: { ownerId: owner.id }, attributes: ["id"] })) {
    const found = await find(id);
    if (found !== undefined) return found;
  }
  return undefined;
}

const WENT_WRONG = "Something went wrong here. What you had done is saved; try again in a moment.";

/** The studio's web server around a build of its routes. `assets` is the folder of built browser files. */
export function studio(
  build: ServerBuild | (() => Promise<ServerBuild>),
  assets: string | undefined,
  mode: string,
  before?: RequestHandler,
): Express {
  const app = express();
  app.disable("x-powered-by");
  trustProxies(app);
  if (before) app.use(before);
  app.use((_request, response, next) => {
    response.locals.nonce = randomBytes(16).toString("base64");
    next();
  });
  const nonce = (_request: unknown, response: unknown) => `'nonce-${String((response as Response).locals.nonce)}'`;
  app.use(
    helmet({
      strictTransportSecurity: false,
      referrerPolicy: { policy: "same-origin" },
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: [nonce, "'strict-dynamic'"],
          styleSrc: ["'self'", nonce],
          // Measured places and sizes are set on single elements; style sheets need the nonce.
          styleSrcAttr: ["'unsafe-inline'"],
          imgSrc: ["'self'", "data:", "blob:"],
          mediaSrc: ["'self'"],
          fontSrc: ["'self'"],
          connectSrc: mode === "development" ? ["'self'", "ws:"] : ["'self'"],
          manifestSrc: ["'self'"],
          frameSrc: ["'self'", () => codeOrigin()],
          workerSrc: ["'self'"],
          formAction: ["'self'"],
          baseUri: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
    }),
  );
  app.use(compression());
  if (assets) {
    // The build put packed copies beside them.
    app.use("/assets", sirv(`${assets}/assets`, { brotli: true, immutable: true, maxAge: 365 * 24 * 3600 }));
    app.use(express.static(assets, { maxAge: "1h", index: false }));
  }
  app.get("/health", async (_request, response) => {
    await database().query("SELECT 1", { type: QueryTypes.SELECT });
    response.type("text/plain").send("ok");
  });
  app.get(
    "/fonts/:file",
    fonts(async (request) => (await ownerOf(request)) !== undefined),
  );
  app.get("/media/:name", async (request, response) => {
    const name = String(request.params.name);
    if (isFilmName(name) || isDocumentName(name))
      return sendFile(name, await ofOwner(request, (shop) => uploadedFile(shop, name)), response, "private");
    return sendPicture(name, response, (hash) => mayView(request, hash), "private");
  });
  // What is asked of the studio is its owner's alone, and of this moment.
  app.use((_request, response, next) => {
    response.setHeader("Cache-Control", "no-store");
    next();
  });
  app.use(sameOrigin, limitBody, seenFromOutside);
  app.all(
    "/{*path}",
    createRequestHandler({
      build,
      mode,
      getLoadContext: (request, response) => ({ nonce: String(response.locals.nonce), from: request.ip ?? "" }),
    }),
  );
  app.use(async (error: unknown, _request: Request, response: Response, next: (error?: unknown) => void) => {
    if (response.headersSent) return next(error);
    const asked = typeof error === "object" && error && "status" in error ? Number(error.status) : 500;
    // What is wrong with the request is nothing to note.
    if (asked >= 400 && asked < 500) {
      response
        .status(asked)
        .type("text/plain")
        .send(asked === 404 ? "There is nothing here." : "That can’t be done.");
      return;
    }
    console.error(error);
    const trouble = troubleOf(error);
    if (trouble?.status === 503) response.setHeader("Retry-After", "3");
    const why = trouble ? ((await trouble.json()) as { why: string }).why : WENT_WRONG;
    response
      .status(trouble?.status ?? 500)
      .type("text/plain")
      .send(why);
  });
  return app;
}
