import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contentWith, everySection, goods } from "./fixtures/content";
import { addressOf, NOT_FOUND, onePageOfEachKind, TARGET_KINDS, targetAt, targetName, type Target } from ".";

const shop = contentWith(everySection.filter((s) => s.slot === "main").map((s) => s.node)).draft.documents;
const documents = { ...shop, about: { ...shop.home!, id: "about", title: "About us" } };
const at = (address: string): Target => {
  const [path, query] = address.split("?");
  return targetAt(path!, new URLSearchParams(query), documents, goods);
};

const every: readonly Target[] = [
  { page: "home" },
  { page: "text", id: "about" },
  { page: "collection", collection: undefined },
  ...goods.collections.map((collection): Target => ({ page: "collection", collection })),
  ...goods.products.map((product): Target => ({ page: "product", product })),
  { page: "search", query: "" },
  { page: "search", query: "red & blue?" },
];

describe("addresses", () => {
  it.each(every.map((t) => [addressOf(t)!, t] as const))("%s leads to the page that has it", (address, target) => {
    expect(at(address)).toEqual(target);
    expect(targetName(target, documents)).not.toBe("");
  });

  it.each([
    "/collections",
    "/collections/none",
    "/collections/one/more",
    "/products/none",
    "/pages/home",
    "/pages/frame",
    "/pages/none",
    "/pages/__proto__",
    "/search/more",
    "/nowhere",
    "//",
  ])("%s leads nowhere, and says so", (address) => expect(at(address)).toBe(NOT_FOUND));

  it("never throw, whatever is asked for", () => {
    fc.assert(
      fc.property(fc.webPath(), fc.string(), (path, query) => {
        expect(TARGET_KINDS[targetAt(path, new URLSearchParams({ q: query }), documents, goods).page]).toBeDefined();
      }),
      { seed: 2, numRuns: 200 },
    );
  });

  it("carry no more of a search than can be meant", () => {
    const target = at(`/search?q=${"x".repeat(500)}`);
    expect(target.page === "search" && target.query.length).toBe(120);
  });
});

describe("one page of each kind", () => {
  it("is there for every kind that the shop has, and each has an address or stands in for one", () => {
    const kinds = onePageOfEachKind(documents, goods).map((t) => t.page);
    expect(kinds).toEqual(["home", "collection", "product", "text", "search", "message"]);
  });

  it("is the fullest collection, a reduced product with pictures, and a search that finds something", () => {
    const [, collection, product] = onePageOfEachKind(documents, goods);
    expect(collection).toMatchObject({ page: "collection", collection: { id: "one" } });
    expect(product).toMatchObject({ page: "product", product: { id: "reduced" } });
  });

  it("leaves out what an empty shop has not", () => {
    const empty = onePageOfEachKind({ home: shop.home!, frame: shop.frame! }, { products: [], collections: [] });
    expect(empty.map((t) => t.page)).toEqual(["home", "collection", "search", "message"]);
  });
});
