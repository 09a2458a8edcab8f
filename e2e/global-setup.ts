import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
// @ts-expect-error plain JavaScript
import { startDatabase } from "../bin/lib/database.mjs";
// @ts-expect-error plain JavaScript
import { startServer } from "../bin/lib/server.mjs";

type Server = { port: number; shopPort: number; stop: () => Promise<void>; kill: () => void; gone: Promise<unknown> };

/** One server with the demo shop for all journeys; those that break things make shops and servers of their own. */
export default async function setup(): Promise<() => Promise<void>> {
  const data = mkdtempSync(join(tmpdir(), "zest-e2e-"));
  const database = (await startDatabase(data, { quiet: true })) as { address: string; stop: () => Promise<void> };
  const clear = async () => {
    await database.stop();
    rmSync(data, { recursive: true, force: true });
  };
  // Every journey makes accounts of its own, and all come from one place.
  process.env.ZEST_ACCOUNTS_PER_HOUR = "100000";
  const started = startServer({
    database: database.address,
    data,
    port: 0,
    shopPort: 0,
    demo: true,
    reset: false,
    say: console.log,
  }) as Promise<Server>;
  // Without a server nobody gets the function below, and the database would run on.
  const server = await started.catch(async (error: unknown) => {
    await clear();
    throw error;
  });
  Object.assign(process.env, {
    E2E_STUDIO: `http://localhost:${server.port}`,
    E2E_SHOP_PORT: String(server.shopPort),
    E2E_DATABASE: database.address,
    E2E_DATA: data,
  });
  return async () => {
    await server.stop();
    await clear();
  };
}
