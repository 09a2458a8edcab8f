import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { spawn, spawnSync } from "node:child_process";
import { createServer, type AddressInfo } from "node:net";
import { QueryTypes, Sequelize } from "sequelize";
import { describe, expect, it } from "vitest";
// @ts-expect-error plain JavaScript, so that it can start before any package is installed
import { startDatabase } from "../../../bin/lib/database.mjs";
import { newId } from "~/core/document";
import { setBrand } from "~/core/commands";
import { readCsv } from "~/core/formats";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { importGoods } from "../goods/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import {
  atomically,
  countUp,
  database,
  lockState,
  migrate,
  OrderRow,
  Owner,
  ShopRow,
  SignUp,
  type State,
} from "./index.server";
import * as first from "./migrations/001-first";
import * as pageVersions from "./migrations/002-page-versions";
import * as presence from "./migrations/003-presence";
import * as goods from "./migrations/004-goods";
import * as stays from "./migrations/005-what-was-said-stays";
import * as apart from "./migrations/006-apart";
import * as menusStep from "./migrations/010-menus";
import { problemOf } from "~/kinds";
import { readPage } from "~/kinds/reading";

type Database = { address: string; port: number; stop: () => Promise<void> };
const start = (folder: string) => startDatabase(folder, { quiet: true }) as Promise<Database>;

describe("menus that headers and footers once held themselves", () => {
  const part = (id: string, kind: string, props: Record<string, unknown>) => ({
    id,
    kind,
    props,
    style: {},
    conditions: [],
    shown: true,
    slots: {},
  });
  const items = [{ label: "Kites", link: { to: "collection", id: "k" } }, { label: "Nowhere" }];

  it("are taken out into menus of their own, once, and what was there can be read", () => {
    const frame = {
      root: {
        id: "r",
        kind: "root",
        props: {},
        slots: {
          top: [part("h", "header", { menu: items }), part("h2", "header", { menu: [] })],
          bottom: [part("f", "footer", { about: "Us", contact: "", small: "", links: items })],
        },
      },
    };
    const menus = menusStep.takeMenusOut(frame)!;
    expect(Object.keys(menus)).toEqual(["main-menu", "menu-h2", "footer-menu"]);
    for (const menu of Object.values(menus)) expect(readPage(menu)).toMatchObject({ ok: true });
    const read = readPage({
      ...frame,
      schemaVersion: 2,
      id: "frame",
      kind: "frame",
      title: "Every page",
      root: { ...frame.root, style: {}, conditions: [], shown: true },
    });
    if (!read.ok) throw new Error(read.why);
    for (const each of Object.values(read.document.root.slots).flat()) expect(problemOf(each)).toBeUndefined();
    expect(read.document.root.slots.bottom![0]!.props).toMatchObject({
      about: "Us",
      menus: [{ heading: "", menu: "footer-menu" }],
    });
    expect(menusStep.takeMenusOut(frame)).toBeUndefined();
  });
});

describe("the schema", () => {
  it("is brought up to date once", async () => {
    expect(await migrate()).toEqual([]);
  });

  it("has a column for every attribute of every model, and the other way round", async () => {
    const q = database().getQueryInterface();
    for (const model of Object.values(database().models)) {
      const columns = Object.keys(await q.describeTable(model.getTableName()));
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

describe("locks", () => {
  it("that wait for one another are let go, and both do what they were about to", async () => {
    const [one, other] = [(await ownerWithShop()).shop.id, (await ownerWithShop()).shop.id];
    let both = () => {};
    const bothHold = new Promise<void>((done) => (both = done));
    let holding = 0;
    const inTurn = (first: string, second: string) =>
      atomically(async (transaction) => {
        await lockState(first, "goods", transaction);
        if (++holding === 2) both();
        await bothHold;
        await lockState(second, "goods", transaction);
        await countUp(second, "pictures", transaction);
        return second;
      });
    expect(await Promise.all([inTurn(one, other), inTurn(other, one)])).toEqual([other, one]);
    // One of them had to begin anew.
    expect(holding).toBe(3);
  });

  /** Runs `meanwhile` while somebody else is in the middle of changing this of the shop. */
  const during = async (shopId: string, state: State, meanwhile: () => Promise<unknown>): Promise<void> => {
    let release = () => {};
    let isHeld = () => {};
    const [held, released] = [
      new Promise<void>((done) => (isHeld = done)),
      new Promise<void>((done) => (release = done)),
    ];
    const holder = atomically(async (transaction) => {
      await lockState(shopId, state, transaction);
      // Rows that refer to the shop hold its row as well, as those of products and orders do.
      const row = { id: newId(), shopId, createdAt: new Date() };
      await OrderRow.create(row, { transaction });
      isHeld();
      await released;
    });
    await held;
    try {
      await meanwhile();
    } finally {
      release();
      await holder;
    }
  };
  const inTime = <T>(work: Promise<T>): Promise<T> =>
    Promise.race([work, new Promise<never>((_done, fail) => setTimeout(() => fail(new Error("it waits")), 5_000))]);

  it.each(["goods", "publication", "settings", "versions"] as const)(
    "of %s hold up nobody who writes a page, adds a picture or signs up",
    async (state) => {
      const { shop } = await ownerWithShop();
      await during(shop.id, state, async () => {
        const { draft, seq } = await loadDraft(shop.id);
        const made = setBrand(draft, "corners", "soft");
        if (!made.ok) throw new Error(made.why);
        expect(await inTime(keep(shop.id, { base: seq, transactions: [made.transaction] }))).toMatchObject({
          ok: true,
        });
        await inTime(countUp(shop.id, "pictures"));
        await inTime(SignUp.upsert({ shopId: shop.id, address: "a@b.example", createdAt: new Date() }));
      });
    },
  );

  it("of the draft hold up neither goods nor whoever publishes", async () => {
    const { shop } = await ownerWithShop();
    await during(shop.id, "draft", async () => {
      const { seq } = await pendingChanges(shop.id);
      expect(await inTime(publish(shop.id, seq))).toMatchObject({ ok: true });
      await inTime(importGoods(shop, readCsv("SKU,Title,Price\nA,Apple,1.00\n")));
    });
  });

  it("are not waited for on a second connection: a query that has not the transaction is refused", async () => {
    const { shop } = await ownerWithShop();
    await expect(atomically(() => ShopRow.findByPk(shop.id))).rejects.toThrow("on another connection");
    await expect(atomically((transaction) => ShopRow.findByPk(shop.id, { transaction }))).resolves.toBeTruthy();
  });
});

it("of several processes that start at once, one brings the schema up to date", async () => {
  expect(await Promise.all([migrate(), migrate(), migrate()])).toEqual([[], [], []]);
});

it("a database from before keeps what its shops had", async () => {
  const folder = mkdtempSync(join(tmpdir(), "zest-db-"));
  const own = await start(folder);
  try {
    const before = new Sequelize(own.address, { dialect: "mariadb", logging: false });
    const old = before.getQueryInterface();
    for (const step of [first, pageVersions, presence, goods, stays]) await step.up(old);
    await before.query(
      "INSERT INTO owners (id, address, name, password, createdAt) VALUES ('o', 'a@b.example', 'A', 'x', NOW())",
    );
    await before.query(
      `INSERT INTO shops (id, ownerId, host, currency, locale, seq, goodsVersion, picturesVersion, publicationId, goodsSettings, createdAt)
       VALUES ('s', 'o', 'h', 'EUR', 'en-GB', 7, 8, 9, 'p2', '{"words":{}}', NOW())`,
    );
    await before.query(
      "INSERT INTO publications (id, shopId, number, body, changes, createdAt) VALUES ('p2', 's', 2, '{}', '[]', NOW())",
    );
    // A process that was killed between two of its steps takes them again.
    await apart.up(old);
    await apart.up(old);
    const rows = await before.query<{ state: string; version: number; pointer: string | null; body: string | null }>(
      "SELECT state, version, pointer, body FROM shopStates ORDER BY state",
      { type: QueryTypes.SELECT },
    );
    expect(rows.map((r) => [r.state, r.version, r.pointer, r.body])).toEqual([
      ["draft", 7, null, null],
      ["goods", 8, null, null],
      ["pictures", 9, null, null],
      ["publication", 2, "p2", null],
      ["settings", 0, null, '{"words":{}}'],
      ["versions", 0, null, null],
    ]);
    await before.close();
  } finally {
    await own.stop();
    rmSync(folder, { recursive: true, force: true });
  }
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
