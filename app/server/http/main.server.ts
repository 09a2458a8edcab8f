import { createServer, type RequestListener, type Server } from "node:http";
import { resolve } from "node:path";
import express, { type RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import { dropOldCarts } from "../carts/index.server";
import { config, configure, localShopOrigin, type Config } from "../config/index.server";
import { connect, disconnect, isOutOfReach, migrate } from "../database/index.server";
import { loadDemo } from "../demo/index.server";
import { dropOldTallies } from "../limits/index.server";
import { answerWaiting, dropOldEntries, sendDueLetters, sendReminders } from "../mail/index.server";
import { dropHeld, dropLost, sendDueOrderLetters, tellStock } from "../orders/index.server";
import { dropRemovedPictures, shadePictures } from "../pictures/index.server";
import { carryOutDue } from "../publishing/index.server";
import { letterContent, storefront } from "../storefront/index.server";
import { studio } from "./studio";

const listen = (app: RequestListener, host: string, port: number): Promise<Server> =>
  new Promise((done, fail) => {
    const server = createServer(app);
    server.once("error", fail);
    server.listen(port, host, () => done(server));
  });

/** How often it is looked whether a planned publication has come due. */
const PLANS_EVERY_MS = 10_000;

const portOf = (server: Server) => {
  const address = server.address();
  return typeof address === "object" && address ? address.port : 0;
};

export type Running = { readonly port: number; readonly shopPort: number; readonly stop: () => Promise<void> };

type Serving = {
  readonly say: (line: string) => void;
  /** The folder of built browser files. */
  readonly assets?: string;
  readonly mode?: string;
  /** What answers before the studio does, while it is developed. */
  readonly before?: RequestHandler;
  /** What serves the shops. */
  readonly shops?: RequestHandler;
};

/**
 * Connects to the database, brings the schema up to date, loads the demo shop where it is asked for, and serves studio and shops. `say` gets a
 * line at each long step.
 */
export async function start(
  settings: Config,
  build: ServerBuild | (() => Promise<ServerBuild>),
  { say, assets = resolve("build/client"), mode = "production", before, shops }: Serving,
): Promise<Running> {
  configure(settings);
  connect(settings.database, settings.connections);
  const applied = await migrate();
  if (applied.length)
    say(`Database schema brought up to date (${applied.length} step${applied.length === 1 ? "" : "s"}).`);
  if (settings.demo) await loadDemo(settings.demoReset, say);
  const tidy = () =>
    void Promise.all([
      dropOldEntries(),
      dropOldCarts(),
      dropLost(),
      dropOldTallies(),
      dropRemovedPictures(),
      shadePictures(),
    ]).catch((error: unknown) => console.error(error));
  tidy();
  const timers = [setInterval(tidy, 24 * 60 * 60_000)];
  // What came due while no server was there goes out at once.
  let underWay: Promise<unknown> = Promise.resolve();
  const carryOut = () => {
    underWay = Promise.all([
      carryOutDue(),
      sendDueLetters(letterContent),
      sendDueOrderLetters(letterContent),
      answerWaiting(letterContent),
      sendReminders(letterContent),
      dropHeld(),
      tellStock(),
    ]).catch((error: unknown) => {
      // A database that is away is reported by whoever is waiting for it; what is due stays due.
      if (!isOutOfReach(error)) console.error(error);
    });
  };
  carryOut();
  timers.push(setInterval(carryOut, PLANS_EVERY_MS));
  for (const timer of timers) timer.unref();
  const shopServer = await listen(shops ? express().use(shops) : storefront(), settings.host, settings.shopPort);
  // Whoever asked for any free port learns here which one it became.
  const isAnyPort = settings.shopPort === 0 && settings.shopOrigin === localShopOrigin(0);
  if (isAnyPort) configure({ ...settings, shopOrigin: localShopOrigin(portOf(shopServer)) });
  const own = await listen(
    studio(build, mode === "production" ? assets : undefined, mode, before),
    settings.host,
    settings.port,
  );
  // The same of the studio's own port, which pages with frames of sellers' code name.
  configure({ ...config(), port: portOf(own) });
  let stopping: Promise<void> | undefined;
  const close = (server: Server) =>
    new Promise<void>((done) => {
      server.close(() => done());
      server.closeIdleConnections();
      // Requests under way get a moment to finish.
      setTimeout(() => server.closeAllConnections(), 3_000).unref();
    });
  return {
    port: portOf(own),
    shopPort: portOf(shopServer),
    stop: () => {
      // Nothing is begun any more that would ask a database that is being left.
      timers.forEach((timer) => clearInterval(timer));
      return (stopping ??= Promise.all([close(own), close(shopServer), underWay]).then(() => disconnect()));
    },
  };
}
