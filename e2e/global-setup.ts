import { cpSync, mkdirSync, mkdtempSync, rmSync, symlinkSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
// @ts-expect-error plain JavaScript
import { startDatabase } from "../bin/lib/database.mjs";
// @ts-expect-error plain JavaScript
import { startServer } from "../bin/lib/server.mjs";
import { WORKERS } from "../playwright.config";

type Server = { port: number; shopPort: number; stop: () => Promise<void>; kill: () => void; gone: Promise<unknown> };
type Database = { address: string; stop: () => Promise<void> };

/** Where the journeys of one worker find their studio, their shops, and what these store. */
export type Place = { studio: string; shopPort: number; database: string; data: string };

/**
 * Two servers with the demo shop, so that journeys that go on side by side don't meet; those that break things make shops
 * and servers of their own. The demo shop is loaded once, and the folder that holds it is copied.
 */
export default async function setup(): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), "zest-e2e-"));
  const ends: (() => Promise<void>)[] = [];
  const stop = async () => {
    for (const end of ends.splice(0).reverse()) await end();
  };
  const clear = async () => {
    await stop();
    rmSync(folder, { recursive: true, force: true });
  };
  // Every journey makes accounts of its own, and all come from one place.
  process.env.ZEST_ACCOUNTS_PER_HOUR = "100000";
  const serve = async (data: string): Promise<Place> => {
    const database = (await startDatabase(data, { quiet: true })) as Database;
    ends.push(database.stop);
    const server = (await startServer({
      database: database.address,
      data,
      port: 0,
      shopPort: 0,
      demo: true,
      reset: false,
      say: console.log,
    })) as Server;
    ends.push(server.stop);
    return {
      studio: `http://localhost:${server.port}`,
      shopPort: server.shopPort,
      database: database.address,
      data,
    };
  };
  // Without this nobody would get the function below, and what runs would run on.
  try {
    const folders = Array.from({ length: WORKERS }, (_each, i) => join(folder, String(i)));
    const [first, ...others] = folders as [string, ...string[]];
    await serve(first);
    await stop();
    // Fonts are cut once for all: it takes seconds, and what comes of it depends on nothing else.
    mkdirSync(join(first, "fonts"), { recursive: true });
    for (const copy of others) {
      cpSync(first, copy, { recursive: true, filter: (path) => path !== join(first, "fonts") });
      symlinkSync(join(first, "fonts"), join(copy, "fonts"));
    }
    const places: Place[] = [];
    for (const each of folders) places.push(await serve(each));
    process.env.E2E_PLACES = JSON.stringify(places);
  } catch (error) {
    await clear();
    throw error;
  }
  return clear;
}
