import { describe, expect, it } from "vitest";
import { problemOf } from "~/kinds";
import { DraftPart } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { readCsv } from "~/core/formats";
import { goodsOf, importGoods } from "../goods/index.server";
import {
  changeMoney,
  createShop,
  forgetShops,
  freshShop,
  namesOf,
  newShopSchema,
  shopAt,
  shopOf,
  shopsOf,
} from "./index.server";

describe("a new shop", () => {
  it.each([
    ["host", { host: "ab" }],
    ["host", { host: "Kites & Co" }],
    ["host", { host: "-kites" }],
    ["host", { host: "kites-" }],
    ["host", { host: "1kites" }],
    ["host", { host: "studio" }],
    ["host", { host: "a.b.example" }],
    ["host", { host: "x".repeat(41) }],
    ["name", { name: " " }],
    ["name", { name: "x".repeat(61) }],
    ["currency", { currency: "XXX" }],
    ["currency", { currency: "eur" }],
    ["timeZone", { timeZone: "Atlantis/Harbour" }],
  ])("is refused at its %s with a sentence for %j", (place, wrong) => {
    const parsed = newShopSchema.safeParse({
      name: "Kites",
      host: "kites",
      currency: "EUR",
      timeZone: "Europe/London",
      ...wrong,
    });
    expect(parsed.success).toBe(false);
    expect(parsed.error!.issues[0]!.path).toEqual([place]);
    expect(parsed.error!.issues[0]!.message).toMatch(/\.$/);
  });

  it("is written as people write names and addresses", () =>
    expect(
      newShopSchema.parse({ name: " Kites ", host: " Kites-2 ", currency: "JPY", timeZone: "Asia/Tokyo" }),
    ).toEqual({
      name: "Kites",
      host: "kites-2",
      currency: "JPY",
      timeZone: "Asia/Tokyo",
    }));

  it("begins finished: every part of its pages may be as it is, and nothing is published", async () => {
    const { shop } = await ownerWithShop();
    expect(shop.publicationId).toBeNull();
    const { draft } = await loadDraft(shop.id);
    expect(draft.documents.home!.root.slots.main!.length).toBeGreaterThan(3);
    for (const document of Object.values(draft.documents))
      for (const node of Object.values(document.root.slots).flat()) expect(problemOf(node), node.kind).toBeUndefined();
  });

  it("has an address of its own", async () => {
    const { ownerId, shop } = await ownerWithShop();
    expect(
      await createShop(ownerId, { name: "Again", host: shop.host, currency: "EUR", timeZone: "Europe/London" }),
    ).toEqual({
      ok: false,
      field: "host",
      why: "Another shop has this address. Choose another one.",
    });
    // Of two that want the same at once, one has it.
    const host = `${shop.host.slice(0, 30)}-two`;
    const both = await Promise.all(
      [1, 2].map(() => createShop(ownerId, { name: "Two", host, currency: "EUR", timeZone: "Europe/London" })),
    );
    expect(both.filter((b) => b.ok)).toHaveLength(1);
    expect((await shopsOf(ownerId)).map((s) => s.host)).toEqual([shop.host, host]);
  });
});

describe("a shop", () => {
  it("is its owner's alone", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    expect(await shopOf(mine.ownerId, mine.shop.id)).toMatchObject({ host: mine.shop.host });
    expect(await shopOf(other.ownerId, mine.shop.id)).toBeUndefined();
    await expect(freshShop({ ownerId: other.ownerId, id: mine.shop.id })).rejects.toThrow();
    expect(await shopsOf(other.ownerId)).toHaveLength(1);
  });

  it("is found by its host name, a new one as soon as it is there to this process", async () => {
    const { ownerId, shop } = await ownerWithShop();
    expect((await shopAt(shop.host))?.id).toBe(shop.id);
    const host = `${shop.host.slice(0, 30)}-new`;
    expect(await shopAt(host)).toBeUndefined();
    await createShop(ownerId, { name: "New", host, currency: "EUR", timeZone: "Europe/London" });
    forgetShops();
    expect((await shopAt(host))?.host).toBe(host);
  });
});

describe("names of shops", () => {
  it("are what their owners call them now, and the host name where that can't be read", async () => {
    const [one, two] = [await ownerWithShop(), await ownerWithShop()];
    const { draft } = await loadDraft(one.shop.id);
    await DraftPart.update({ body: "{ not JSON" }, { where: { shopId: two.shop.id, part: "look" } });
    const names = await namesOf([one.shop, two.shop]);
    expect(names.get(one.shop.id)).toBe(draft.look.identity.name);
    expect(names.get(two.shop.id)).toBe(two.shop.host);
  });
});

describe("what a shop counts in", () => {
  const swiss = { currency: "CHF", moneyFormat: "de-CH", timeZone: "Europe/Zurich" } as const;

  it("changes at once, its prices keep their numbers, and what was drawn before is not served again", async () => {
    const { shop } = await ownerWithShop();
    await importGoods(shop, readCsv("Title,Price\nJam,4.50\n"));
    const before = await freshShop(shop);
    await shopAt(shop.host);
    expect(await changeMoney(before, swiss)).toEqual({ ok: true });
    const after = (await shopAt(shop.host))!;
    expect(after).toMatchObject(swiss);
    expect(after.goodsVersion).toBe(before.goodsVersion + 1);
    const { products, asOf } = await goodsOf(after);
    expect([products[0]!.variants[0]?.price ?? products[0]!.price, asOf.timeZone]).toEqual([450, "Europe/Zurich"]);
  });

  it("is no currency with other decimals once there are prices", async () => {
    const { shop } = await ownerWithShop();
    const yen = { currency: "JPY", moneyFormat: "en-GB", timeZone: "Asia/Tokyo" } as const;
    expect(await changeMoney(shop, yen)).toEqual({ ok: true });
    await importGoods(await freshShop(shop), readCsv("Title,Price\nJam,450\n"));
    const refused = await changeMoney(await freshShop(shop), swiss);
    expect(refused).toMatchObject({ ok: false, field: "currency" });
    expect(await freshShop(shop)).toMatchObject(yen);
  });
});
