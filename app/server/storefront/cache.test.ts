import { describe, expect, it } from "vitest";
import { importGoods, keepProduct, goodsOf } from "../goods/index.server";
import { readCsv } from "~/core/formats";
import { inputOf } from "../fixtures/products";
import { openStorefront } from "../fixtures/shoppers";
import { ownerWithShop } from "../fixtures/owner";
import { pendingChanges, publish } from "../publishing/index.server";
import { freshShop } from "../shops/index.server";
import { PageCache } from "./cache";
import { pageAt, type ServedPage } from "./pages";

const pageOf = (bytes: number): ServedPage => ({
  status: 200,
  hash: "",
  isPersonal: false,
  styleHash: "",
  permissions: new Set(),
  bytes: () => Buffer.alloc(bytes),
  heads: {},
});

describe("pages that are kept", () => {
  it("take no more bytes than they may, and a shop pushes out none but its own", () => {
    const cache = new PageCache(100_000, 40_000);
    cache.set("quiet", "/", pageOf(5_000));
    for (let n = 0; n < 10_000; n++) cache.set("loud", `/?page=${n}`, pageOf(1_000));
    expect(cache.bytes).toBeLessThanOrEqual(48_001);
    expect(cache.get("quiet", "/")).toBeDefined();
    expect(cache.get("loud", "/?page=9999")).toBeDefined();
    expect(cache.get("loud", "/?page=0")).toBeUndefined();
  });

  it("of all shops together are bounded; the shop that was not asked for the longest goes", () => {
    const cache = new PageCache(100_000, 40_000);
    for (const shop of ["a", "b", "c", "d"]) {
      cache.set(shop, "/", pageOf(20_000));
      cache.get("a", "/");
    }
    expect(cache.bytes).toBeLessThanOrEqual(100_000);
    expect(["a", "b", "c", "d"].filter((shop) => cache.get(shop, "/"))).toEqual(["a", "c", "d"]);
  });
});

describe("time", () => {
  it("turns at the shop's own midnight in pages that are kept, and not before", async () => {
    const owned = await ownerWithShop();
    await importGoods(owned.shop, readCsv("SKU,Title,Price,Stock\nA,Harbour delta,20.00,4\n"));
    const [product] = (await goodsOf(await freshShop(owned.shop))).products;
    const coming = { ...inputOf(product!), availability: "coming-soon", availableFrom: "2027-03-14" };
    expect(await keepProduct(await freshShop(owned.shop), product!.id, null, coming)).toMatchObject({ ok: true });
    const { seq } = await pendingChanges(owned.shop.id);
    await publish(owned.shop.id, seq);
    const shop = { ...(await freshShop(owned.shop)), timeZone: "America/New_York" };
    const at = async (when: string) => {
      const situation = { now: Date.parse(when), timeZone: shop.timeZone };
      return (await pageAt(shop, "/products/harbour-delta", "http://s.example", situation))!;
    };
    const long = await at("2026-04-01T12:00:00-04:00");
    expect(long.bytes("identity").toString()).toContain("Coming 14 March 2027");
    const evening = await at("2027-03-13T23:59:59-05:00");
    expect(evening.bytes("identity").toString()).toContain("Coming 14 March");
    expect(evening.bytes("identity").toString()).not.toContain("Coming 14 March 2027");
    // The same page again, from memory, and on the same day from another hour.
    expect(await at("2027-03-13T23:59:59-05:00")).toBe(evening);
    expect(await at("2027-03-13T00:00:00-05:00")).toBe(evening);
    const morning = await at("2027-03-14T00:00:00-05:00");
    expect(morning.bytes("identity").toString()).not.toContain("Coming 14 March");
    expect(morning.bytes("identity").toString()).toContain("In stock");
    expect(morning.hash).not.toBe(evening.hash);
  });

  it("makes no difference to pages of goods that have none", async () => {
    const owned = await ownerWithShop();
    const { seq } = await pendingChanges(owned.shop.id);
    await publish(owned.shop.id, seq);
    const shop = await freshShop(owned.shop);
    const at = (now: number) => pageAt(shop, "/", "http://s.example", { now, timeZone: shop.timeZone });
    expect(await at(Date.UTC(2026, 5, 1))).toBe(await at(Date.UTC(2027, 5, 1)));
  });
});

describe("host names", () => {
  it("are those of shops that there are, below the domain that is in the settings; others are kept nowhere", async () => {
    const owned = await ownerWithShop();
    const { seq } = await pendingChanges(owned.shop.id);
    await publish(owned.shop.id, seq);
    const front = await openStorefront();
    try {
      const { host } = owned.shop;
      expect((await front.ask("/", { host })).status).toBe(200);
      const as = async (name: string) => (await front.ask("/", { headers: { Host: name } })).status;
      expect(await as(`${host}.elsewhere.example`)).toBe(404);
      expect(await as(`x.${host}.localhost`)).toBe(404);
      expect(await as("localhost")).toBe(404);
      // What the page says of its own address does not follow the request.
      const page = await front.ask("/", { headers: { Host: `${host}.LOCALHOST:9` } });
      expect(page.body).toContain(`<link rel="canonical" href="http://${host}.localhost:${front.port}/">`);
    } finally {
      front.close();
    }
  });
});
