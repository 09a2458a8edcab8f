import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
// @ts-expect-error plain JavaScript, so that it can start before any package is installed
import { startDatabase } from "../../../bin/lib/database.mjs";

/** Starts a MariaDB for the tests on a free port, with a folder of its own that goes away afterwards. */
export default async function setup(): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), "zest-test-"));
  const database = (await startDatabase(folder, { quiet: true })) as { address: string; stop: () => Promise<void> };
  process.env.ZEST_DATABASE = database.address;
  process.env.ZEST_DATA = folder;
  return async () => {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
