import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { CollectionRow, ProductRow } from "../database/index.server";
import { addPicture } from "../pictures/index.server";
import { shopOf } from "../shops/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { readCsv } from "~/core/formats";
import { stateOf } from "~/core/goods";
import {
  exportTable,
  goodsOf,
  importGoods as importTable,
  planImport as planTable,
  readTableFile,
  stepGoods,
  writeTableFile,
} from "./index.server";
import type { Shop } from "../shops/index.server";

const importGoods = (shop: Shop, text: string) => importTable(shop, readCsv(text));
const planImport = (shop: Shop, text: string) => planTable(shop, readCsv(text));

const text = readFileSync("demo/goods.csv", "utf8");
const written = async (shop: Shop) => {
  const { head, rows } = await exportTable(shop);
  const read = await readTableFile(await writeTableFile("csv", head, rows));
  if (!read.ok) throw new Error(read.why);
  return read.table;
};
const again = async ({ ownerId, shop }: { ownerId: string; shop: { id: string } }) => (await shopOf(ownerId, shop.id))!;

describe("bringing goods in", () => {
  it("stores nothing while it is only looked at", async () => {
    const { shop } = await ownerWithShop();
    const plan = await planImport(shop, text);
    expect(plan.lines.every((l) => l.does === "new")).toBe(true);
    expect(plan.newCollections).toHaveLength(7);
    expect(plan.missingPictures.length).toBeGreaterThan(50);
    expect(await ProductRow.count({ where: { shopId: shop.id } })).toBe(0);
    expect(await CollectionRow.count({ where: { shopId: shop.id } })).toBe(0);
  });

  it("adds, then changes, and never doubles", async () => {
    const owned = await ownerWithShop();
    expect(await importGoods(owned.shop, text)).toEqual({ added: 45, changed: 0, same: 0 });
    expect(await importGoods(await again(owned), text)).toEqual({ added: 0, changed: 0, same: 45 });
    const dearer = text.replace(",64.00,", ",66.50,");
    expect(await importGoods(await again(owned), dearer)).toEqual({ added: 0, changed: 1, same: 44 });
    const goods = await goodsOf(await again(owned));
    expect(goods.products).toHaveLength(45);
    expect(goods.products[0]).toMatchObject({
      sku: "LK-110",
      price: 6650,
      slug: "larkspindle-delta-190",
      attributes: { "Span (cm)": "190" },
    });
    expect(goods.products.find((p) => p.sku === "LK-350")).toMatchObject({
      availability: "coming-soon",
      availableFrom: "2027-03-14",
    });
  });

  it("from a file with fewer columns leaves alone what the file says nothing about", async () => {
    const owned = await ownerWithShop();
    await importGoods(owned.shop, text);
    const before = (await goodsOf(await again(owned))).products;
    const find = (list: typeof before, sku: string) => list.find((p) => p.sku === sku)!;
    expect(
      await importGoods(await again(owned), 'SKU,Title,Price,Colour\nLK-110,"Larkspindle Delta 190",66.50,red\n'),
    ).toEqual({ added: 0, changed: 1, same: 0 });
    const after = (await goodsOf(await again(owned))).products;
    const old = find(before, "LK-110");
    expect(find(after, "LK-110")).toMatchObject({
      ...old,
      version: expect.any(Number) as number,
      price: 6650,
      attributes: { ...old.attributes, Colour: "red" },
    });
    // A file of stock alone sells out and brings back, and leaves a state of its own kind as it is.
    await importGoods(
      await again(owned),
      "SKU,Title,Price,Stock\nLK-360,Turnstone,112.00,4\nLK-310,Skua,124.00,0\nLK-350,Kittiwake UL,189.00,5\n",
    );
    const stocked = (await goodsOf(await again(owned))).products;
    expect(["LK-360", "LK-310", "LK-350"].map((sku) => stateOf(find(stocked, sku)))).toEqual([
      "in-stock",
      "sold-out",
      "coming-soon",
    ]);
  });

  it("twice at the same moment is the same as once", async () => {
    const owned = await ownerWithShop();
    const done = await Promise.all([importGoods(owned.shop, text), importGoods(owned.shop, text)]);
    expect(done.map((d) => d.added).sort((a, b) => a - b)).toEqual([0, 45]);
    expect(await ProductRow.count({ where: { shopId: owned.shop.id } })).toBe(45);
  });

  it("gives goods their pictures by name, once those are in the library", async () => {
    const owned = await ownerWithShop();
    await importGoods(owned.shop, text);
    const added = await addPicture(owned.shop.id, readFileSync("demo/pictures/made/runner.webp"), "Runner.WEBP");
    expect(await importGoods(await again(owned), text)).toEqual({ added: 0, changed: 1, same: 44 });
    const goods = await goodsOf(await again(owned));
    expect(goods.products.find((p) => p.sku === "LK-380")!.pictures).toEqual([added.ok ? added.picture.id : ""]);
  });

  it("written to a file and brought in again changes nothing", async () => {
    const owned = await ownerWithShop();
    await importGoods(owned.shop, text);
    const shop = await again(owned);
    expect(await importTable(shop, await written(shop))).toEqual({ added: 0, changed: 0, same: 45 });
  });

  it("can be taken back as one step, and done again", async () => {
    const owned = await ownerWithShop();
    await importGoods(owned.shop, text);
    const before = (await goodsOf(await again(owned))).products;
    await importGoods(await again(owned), "SKU,Title,Price\nLK-110,Another name,1.00\nNEW-1,New,2.00\n");
    expect(await stepGoods(await again(owned), "undo")).toBe("Goods brought in from a file");
    const back = (await goodsOf(await again(owned))).products;
    expect(back.map((p) => ({ ...p, version: 0 }))).toEqual(before.map((p) => ({ ...p, version: 0 })));
    expect(await stepGoods(await again(owned), "redo")).toBe("Goods brought in from a file");
    const redone = (await goodsOf(await again(owned))).products;
    expect(redone.find((p) => p.sku === "LK-110")!.title).toBe("Another name");
    expect(redone.some((p) => p.sku === "NEW-1")).toBe(true);
  });

  it("gives products of the same title addresses of their own", async () => {
    const owned = await ownerWithShop();
    await importGoods(owned.shop, "sku,title,price\nA,Kite,1\nB,Kite,2\n");
    expect((await goodsOf(await again(owned))).products.map((p) => p.slug)).toEqual(["kite", "kite-2"]);
  });
});
