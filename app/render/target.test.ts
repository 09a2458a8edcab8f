import { SOME_DAY } from "~/core/goods/fixtures/day";
import fc from "fast-check";
import { emptyDocument, type Draft } from "~/core/document";
import { describe, expect, it } from "vitest";
import { makeCollection, NO_QUERY } from "~/core/goods";
import { contentWith, everySection, goods } from "./fixtures/content";
import {
  addressOf,
  documentOf,
  hardCases,
  NOT_FOUND,
  onePageOfEachKind,
  ownDocuments,
  pageShownOf,
  pagesOf,
  TARGET_KINDS,
  targetAt,
  targetFor,
  targetName,
  type Target,
} from ".";

const shop = contentWith(everySection.filter((s) => s.slot === "main").map((s) => s.node)).draft.documents;
const documents: Draft["documents"] = { ...shop, about: { ...shop.home!, id: "about", title: "About us" } };
const at = (address: string): Target => {
  const [path, query] = address.split("?");
  return targetAt(path!, new URLSearchParams(query), documents, goods);
};

const every: readonly Target[] = [
  { page: "home" },
  { page: "text", id: "about" },
  { page: "collection", collection: undefined, query: NO_QUERY },
  { page: "collection", collection: goods.collections[0], query: { ...NO_QUERY, page: 3 } },
  ...goods.collections.map((collection): Target => ({ page: "collection", collection, query: NO_QUERY })),
  ...goods.products.map((product): Target => ({ page: "product", product, variant: undefined })),
  { page: "search", sought: "", query: NO_QUERY },
  { page: "search", sought: "red & blue?", query: NO_QUERY },
];

describe("pages, as conditions ask about them", () => {
  it("are all those on which what stands on every page is seen, each once", () => {
    const all = pagesOf(documents, goods, "frame").map((page) => JSON.stringify(page));
    expect(new Set(all).size).toBe(all.length);
    for (const target of every) expect(all).toContain(JSON.stringify(pageShownOf(target, documents)));
  });

  it("are the one page itself, or those that a layout draws", () => {
    expect(pagesOf(documents, goods, "about")).toEqual([{ sort: "page", page: "about" }]);
    expect(pagesOf(documents, goods, "home")).toEqual([{ sort: "home", page: "home" }]);
    const [only] = goods.products;
    const layout = emptyDocument(2, "layout", "one", "One product");
    const props = { of: "product", products: [only!.id], collections: [] };
    const withOne = { ...documents, one: { ...layout, root: { ...layout.root, props } } };
    expect(pagesOf(withOne, goods, "one")).toEqual([{ sort: "product", product: only!.id }]);
    const own = ownDocuments({ page: "product", product: only! }, withOne, goods);
    expect([...own]).toEqual(["one"]);
  });
});

describe("addresses", () => {
  it.each(every.map((t) => [addressOf(t, documents)!, t] as const))(
    "%s leads to the page that has it",
    (address, target) => {
      expect(at(address)).toEqual(target);
      expect(targetName(target, documents)).not.toBe("");
    },
  );

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
    expect(target.page === "search" && target.sought.length).toBe(120);
  });
});

describe("one page of each kind", () => {
  it("is there for every kind that the shop has, and each has an address or stands in for one", () => {
    const kinds = onePageOfEachKind(documents, goods).map((t) => t.page);
    expect(kinds).toEqual([
      "home",
      "collection",
      "product",
      "text",
      "search",
      "cart",
      "checkout",
      "order",
      "not-found",
    ]);
  });

  it("is the fullest collection, a reduced product with pictures, and a search that finds something", () => {
    const [, collection, product] = onePageOfEachKind(documents, goods);
    expect(collection).toMatchObject({ page: "collection", collection: { id: "one" } });
    expect(product).toMatchObject({ page: "product", product: { id: "reduced" } });
  });

  it("leaves out what an empty shop has not", () => {
    const empty = onePageOfEachKind(
      { home: shop.home!, frame: shop.frame! },
      { products: [], collections: [], asOf: SOME_DAY },
    );
    expect(empty.map((t) => t.page)).toEqual(["home", "collection", "search", "not-found"]);
  });
});

describe("a layout", () => {
  it("shows a variant that is asked for by id, or by what a form without script sends", () => {
    expect(at("/products/many?variant=v2")).toMatchObject({ variant: { id: "v2" } });
    expect(at("/products/many?option-0=S&option-1=Kelp&option-2=Short")).toMatchObject({ variant: { id: "v1" } });
    expect(at("/products/many?option-0=L&option-1=Kelp&option-2=Short")).toMatchObject({ variant: undefined });
    expect(at("/products/many?variant=none")).toMatchObject({ variant: undefined });
  });

  const other = (of: "product" | "collection", id: string, products: string[], collections: string[]) => ({
    [id]: { ...documents[of]!, id, title: id, root: { ...documents[of]!.root, props: { of, products, collections } } },
  });
  const many = {
    ...documents,
    ...other("product", "special", ["bare"], []),
    ...other("product", "shelf", [], ["one"]),
  };
  const layoutOf = (id: string) =>
    documentOf({ page: "product", product: goods.products.find((p) => p.id === id)! }, many, goods)?.id;

  it("is the one made for the product, for a collection that it is in, or the one for all", () => {
    expect(layoutOf("bare")).toBe("special");
    expect(layoutOf("plain")).toBe("shelf");
    const alone = { ...goods.products[0]!, id: "alone", collections: [] };
    expect(documentOf({ page: "product", product: alone }, many, goods)?.id).toBe("product");
    // In a collection by its rules is in it as well.
    const cheap = makeCollection({
      id: "cheap",
      title: "Cheap",
      rules: { all: true, rules: [{ field: "price", op: "under", value: "10" }] },
    });
    const ruled = { ...goods, products: [{ ...alone, price: 500 }], collections: [cheap] };
    const shelf = { ...documents, ...other("product", "small", [], ["cheap"]) };
    expect(documentOf({ page: "product", product: ruled.products[0]! }, shelf, ruled)?.id).toBe("small");
    expect(documentOf({ page: "product", product: { ...alone, id: "dear" } }, shelf, ruled)?.id).toBe("product");
  });

  it("is looked at as what it draws, whatever is wished for", () => {
    expect(targetFor(many, goods, "special", null)).toMatchObject({ page: "product", product: { id: "bare" } });
    expect(targetFor(many, goods, "product", "/products/soon")).toMatchObject({ product: { id: "soon" } });
    expect(targetFor(many, goods, "product", "/collections/one")).toMatchObject({ page: "product" });
    expect(targetFor(many, goods, "collection", null)).toMatchObject({ page: "collection", collection: { id: "one" } });
    expect(targetFor(many, { products: [], collections: [], asOf: SOME_DAY }, "product", null)).toMatchObject({
      page: "product",
    });
    expect(targetFor(many, goods, "gone", null)).toEqual({ page: "home" });
  });

  it("has its hard cases found among the goods, each at an address that is there", () => {
    for (const sort of ["product", "collection", "search"] as const) {
      const cases = hardCases(sort, goods, []);
      expect(new Set(cases.map((c) => c.name)).size).toBe(cases.length);
      for (const { name, address } of cases) expect(at(address).page, name).toBe(sort);
    }
    const names = hardCases("product", goods, []).map((c) => c.name);
    expect(names).toEqual(
      expect.arrayContaining(["Longest title", "No picture", "3 variants", "Sold out", "Coming soon"]),
    );
  });
});
