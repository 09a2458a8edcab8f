import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { spawn, spawnSync } from "node:child_process";
import { createServer, type AddressInfo } from "node:net";
import { describe, expect, it } from "vitest";
// @ts-expect-error plain JavaScript, so that it can start before any package is installed
import { startDatabase } from "../../../bin/lib/database.mjs";
import { newId } from "~/core/document";
import { ownerWithShop } from "../fixtures/owner";
import { atomically, database, migrate, Owner, ShopRow } from "./index.server";

type Database = { address: string; port: number; stop: () => Promise<void> };
const start = (folder: string) => startDatabase(folder, { quiet: true }) as Promise<Database>;

describe("the schema", () => {
  it("is brought up to date once", async () => {
    expect(await migrate()).toEqual([]);
  });

  it("has a column for every attribute of every model, and the other way round", async () => {
    const q = database().getQueryInterface();
    for (const model of Object.values(database().models)) {
      const columns = Object.keys(await q.describeTable(model.getTableName() as string));
      expect(columns.toSorted(), model.name).toEqual(Object.keys(model.getAttributes()).toSorted());
    }
  });

  it("takes an owner's shops along when the owner goes", async () => {
    const { ownerId, shop } = await ownerWithShop();
    await Owner.destroy({ where: { id: ownerId } });
    expect(await ShopRow.findByPk(shop.id)).toBeNull();
  });

  it("stores all of a transaction or nothing of it", async () => {
    const id = newId();
    const broken = atomically(async (transaction) => {
      const row = { id, name: "A", address: `${id}@x.example`, password: "x", createdAt: new Date() };
      await Owner.create(row, { transaction });
      await Owner.create(row, { transaction });
    });
    await expect(broken).rejects.toThrow();
    expect(await Owner.findByPk(id)).toBeNull();
  });
});

describe("a database of our own", () => {
  it("keeps its data over a stop and a start, and is taken up when it is still running", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zest-db-"));
    try {
      const first = await start(folder);
      expect(await start(folder)).toMatchObject({ port: first.port, address: first.address });
      await first.stop();
      const again = await start(folder);
      expect(new URL(again.address).password).toBe(new URL(first.address).password);
      await again.stop();
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });

  it("says in a sentence what is wrong with its folder", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zest-db-"));
    writeFileSync(join(folder, "file"), "");
    await expect(start(join(folder, "file"))).rejects.toThrow(/^The data folder .* can't be written/);
    await expect(start(join(folder, "x".repeat(120)))).rejects.toThrow(/path of the data folder is too long/);
    rmSync(folder, { recursive: true, force: true });
  });
});

describe("the start command", () => {
  const run = (...options: string[]) => spawnSync("node", ["bin/lib/start.mjs", ...options], { encoding: "utf8" });

  it.each([
    [["--port", "many"], "--port takes a number from 1 to 65535, not “many”."],
    [["--port", "4000", "--shop-port", "4000"], "Studio and shops need different ports."],
    [["--colour", "red"], "Unknown option '--colour'"],
  ])("%j ends with 1 and one clear sentence", (options, sentence) => {
    const { status, stderr } = run(...options);
    expect(status).toBe(1);
    expect(stderr).toContain(sentence);
    expect(stderr.trim().split("\n")).toHaveLength(1);
  });

  it("says which port is in use, before anything else is done", async () => {
    const taken = createServer();
    const port = await new Promise<number>((done) => {
      taken.listen(0, "127.0.0.1", () => done((taken.address() as AddressInfo).port));
    });
    // Not waited for in this thread, which has to go on listening.
    const child = spawn("node", ["bin/lib/start.mjs", "--port", String(port)], { stdio: ["ignore", "ignore", "pipe"] });
    let said = "";
    child.stderr.on("data", (chunk) => (said += String(chunk)));
    const code = await new Promise((done) => child.once("exit", done));
    taken.close();
    expect(code).toBe(1);
    expect(said.trim()).toBe(`Port ${port} is in use. Choose another one with --port or --shop-port.`);
  });

  it("helps", () => {
    const { status, stdout } = run("--help");
    expect(status).toBe(0);
    for (const option of ["--port", "--shop-port", "--data", "--reset", "--help"]) expect(stdout).toContain(option);
  });
});
