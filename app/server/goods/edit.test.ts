import { describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { makeProduct, searchGoods, sizeOf, unpackGoods, updateGoods } from "~/core/goods";
import { ownerWithShop } from "../fixtures/owner";
import { inputOf } from "../fixtures/products";
import { freshShop } from "../shops/index.server";
import {
  allGoodsOf,
  changeProducts,
  duplicateProduct,
  goodsOf,
  goodsSince,
  goodsSteps,
  importGoods,
  importReviews,
  changeReviews,
  keepCollection,
  keepGoodsSettings,
  keepProduct,
  orderCollections,
  packedGoodsOf,
  readReviews,
  recordOrders,
  removeCollection,
  removeProducts,
  replaceGoodsWords,
  replacePictures,
  reviewsOf,
  stepGoods,
  takeReview,
  whatSells,
} from "./index.server";

const FILE = "SKU,Title,Price,Collection\nA,Apple,1.00,Fruit\nB,Banana,2.00,Fruit\nC,Carrot,3.00,Roots\n";

async function shopWithGoods() {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv(FILE));
  const now = () => freshShop(shop);
  const find = async (sku: string) => (await allGoodsOf(await now())).products.find((p) => p.sku === sku)!;
  return { shop, now, find };
}
const collectionOf = (more: object) => ({
  title: "New",
  slug: "new",
  description: "",
  picture: null,
  parent: null,
  rules: null,
  sort: "hand",
  order: [],
  ...more,
});

describe("a product", () => {
  it("is kept, and refused by place where something is wrong", async () => {
    const { now, find } = await shopWithGoods();
    const apple = await find("A");
    const kept = await keepProduct(await now(), apple.id, apple.version, { ...inputOf(apple), title: "Apple, red" });
    expect(kept).toMatchObject({ ok: true, product: { title: "Apple, red" } });
    const after = await find("A");
    for (const [change, path] of [
      [{ sku: "B" }, "sku"],
      [{ slug: "banana" }, "slug"],
      [{ title: " " }, "title"],
      [{ barcode: "4006381333932" }, "barcode"],
      [{ price: -1 }, "price"],
      [{ availability: "coming-soon" }, "availableFrom"],
      [{ options: [{ name: "Size", picker: "list", values: [{ name: "S", colour: null }] }] }, "options"],
    ] as const) {
      const refused = await keepProduct(await now(), after.id, after.version, { ...inputOf(after), ...change });
      expect(refused.ok, path).toBe(false);
      expect("problems" in refused && refused.problems[0]?.path, path).toBe(path);
    }
    expect(await find("A")).toEqual(after);
  });

  it("that was changed elsewhere meanwhile is not overwritten, unless it is said so", async () => {
    const { now, find } = await shopWithGoods();
    const first = await find("A");
    await keepProduct(await now(), first.id, first.version, { ...inputOf(first), title: "Theirs" });
    const mine = { ...inputOf(first), title: "Mine" };
    expect(await keepProduct(await now(), first.id, first.version, mine)).toMatchObject({ code: "moved-on" });
    expect((await find("A")).title).toBe("Theirs");
    expect(await keepProduct(await now(), first.id, null, mine)).toMatchObject({ ok: true });
    expect(await keepProduct(await now(), "gone", null, mine)).toMatchObject({ code: "gone" });
  });

  it("of another shop can't be reached", async () => {
    const one = await shopWithGoods();
    const two = await shopWithGoods();
    const theirs = await two.find("A");
    expect(await keepProduct(await one.now(), theirs.id, null, inputOf(theirs))).toMatchObject({ code: "gone" });
    await removeProducts(await one.now(), [theirs.id]);
    await changeProducts(await one.now(), { ids: [theirs.id], set: { title: "Stolen" } });
    expect((await two.find("A")).title).toBe("Apple");
    expect(await takeReview(one.shop.id, theirs.id, { stars: 5, title: "", text: "Good", name: "N" })).toBe(false);
  });

  it("keeps its variants, and a copy of it has none of its numbers and waits in the archive", async () => {
    const { now, find } = await shopWithGoods();
    const apple = await find("A");
    const variant = {
      id: "v1",
      values: ["S"],
      sku: "A-S",
      price: null,
      compareAt: null,
      stock: 2,
      barcode: "",
      weight: null,
      picture: null,
      availability: null,
    };
    const options = [{ name: "Size", picker: "buttons", values: [{ name: "S", colour: null }] }];
    await keepProduct(await now(), apple.id, null, {
      ...inputOf(apple),
      barcode: "4006381333931",
      options,
      variants: [variant],
    });
    expect((await find("A")).variants).toEqual([variant]);
    const copy = await duplicateProduct(await now(), apple.id);
    const { products } = await allGoodsOf(await now());
    const made = products.find((p) => p.id === copy)!;
    expect(made).toMatchObject({ title: "Apple (copy)", slug: "apple-copy", sku: "A-2", barcode: "", archived: true });
    expect(made.variants[0]).toMatchObject({ sku: "", stock: 2 });
    expect((await goodsOf(await now())).products).toHaveLength(3);
    expect(await duplicateProduct(await now(), "gone")).toBeUndefined();
  });
});

describe("many products", () => {
  it("say other words as one step that comes back, or none of them does", async () => {
    const { shop, now, find } = await shopWithGoods();
    const products = (await allGoodsOf(await now())).products;
    const only = new Set(products.map((p) => `product ${p.id} title`));
    const sought = { words: "a", matchCase: false, whole: false };
    expect(await replaceGoodsWords(shop, sought, "x".repeat(200), only)).toMatchObject({
      ok: false,
      problems: [{ path: "by" }],
    });
    expect((await find("A")).title).toBe("Apple");
    expect(await replaceGoodsWords(await now(), sought, "o", only)).toEqual({ ok: true, count: 3 });
    expect([(await find("A")).title, (await find("B")).title]).toEqual(["opple", "Bonono"]);
    await stepGoods(await now(), "undo");
    expect((await find("A")).title).toBe("Apple");
  });

  it("are changed as one step, and come back as they were", async () => {
    const { now, find } = await shopWithGoods();
    const before = (await allGoodsOf(await now())).products;
    const ids = before.map((p) => p.id);
    expect(
      await changeProducts(await now(), {
        ids,
        set: { priceTimes: 1.1, addTags: ["new"], attribute: { name: "Taste", value: "sweet" } },
      }),
    ).toEqual({ ok: true, count: 3 });
    expect(await find("C")).toMatchObject({ price: 330, tags: ["new"], attributes: { Taste: "sweet" } });
    expect(await goodsSteps((await now()).id)).toMatchObject({ undo: "3 products changed", redo: null });
    await stepGoods(await now(), "undo");
    expect((await allGoodsOf(await now())).products.map((p) => ({ ...p, version: 0 }))).toEqual(
      before.map((p) => ({ ...p, version: 0 })),
    );
    expect(await goodsSteps((await now()).id)).toMatchObject({ redo: "3 products changed" });
    // What is done now takes the place of what was taken back.
    await removeProducts(await now(), [ids[0]!]);
    expect((await goodsSteps((await now()).id)).redo).toBeNull();
    await stepGoods(await now(), "undo");
    expect((await allGoodsOf(await now())).products.map((p) => p.sku)).toEqual(["A", "B", "C"]);
  });

  it("that are sold in variants have the stock and the new price of each set, but never one SKU together", async () => {
    const { now, find } = await shopWithGoods();
    await importGoods(
      await now(),
      readCsv("SKU,Title,Price,Variant of,Options,Stock\nD,Date,4.00,,,\nD-S,,,D,Size: S,1\nD-L,,5.00,D,Size: L,2\n"),
    );
    const [apple, date] = [await find("A"), await find("D")];
    const ids = [apple.id, date.id];
    expect(await changeProducts(await now(), { ids, set: { stock: 7, priceTimes: 2 } })).toMatchObject({ ok: true });
    expect(await find("A")).toMatchObject({ stock: 7, price: 200 });
    expect((await find("D")).variants.map((v) => [v.stock, v.price])).toEqual([
      [7, null],
      [7, 1000],
    ]);
    const both = await changeProducts(await now(), { ids, set: { sku: "ONE" } });
    expect(both).toMatchObject({
      problems: [{ path: "sku", why: "A SKU is of one product only. Give each its own." }],
    });
    // A variant's SKU is as taken as a product's.
    expect(await changeProducts(await now(), { ids: [apple.id], set: { sku: "D-L" } })).toMatchObject({ ok: false });
  });

  it("that went and came back have their reviews still", async () => {
    const { shop, now, find } = await shopWithGoods();
    const apple = await find("A");
    await takeReview(shop.id, apple.id, { stars: 5, title: "", text: "Crisp", name: "Ann" });
    const [review] = await reviewsOf(shop.id);
    await changeReviews(await now(), { ids: [review!.id], state: "shown" });
    await removeProducts(await now(), [apple.id]);
    await stepGoods(await now(), "undo");
    const { products, reviews } = await goodsOf(await now());
    expect(products.find((p) => p.id === apple.id)?.rating).toMatchObject({ average: 5, count: 1 });
    expect(reviews?.[apple.id]).toMatchObject([{ text: "Crisp" }]);
  });

  it("are found by what they are called now, after every change", async () => {
    const { now, find } = await shopWithGoods();
    const found = async (query: string) => searchGoods(await goodsOf(await now()), query).products.map((p) => p.sku);
    expect(await found("apple")).toEqual(["A"]);
    const apple = await find("A");
    await changeProducts(await now(), { ids: [apple.id], set: { title: "Quince" } });
    expect([await found("apple"), await found("quince")]).toEqual([[], ["A"]]);
    await removeProducts(await now(), [(await find("B")).id]);
    expect(await found("banana")).toEqual([]);
    await stepGoods(await now(), "undo");
    expect(await found("banana")).toEqual(["B"]);
    await changeProducts(await now(), { ids: [apple.id], set: { archived: true } });
    expect(await found("quince")).toEqual([]);
  });

  it("all stay as they are when one of them may not be like that", async () => {
    const { now, find } = await shopWithGoods();
    const apple = await find("A");
    expect(await changeProducts(await now(), { ids: [apple.id], set: { sku: "B" } })).toMatchObject({ ok: false });
    expect(await changeProducts(await now(), { ids: [apple.id], set: { availability: "coming-soon" } })).toMatchObject({
      ok: false,
    });
    expect(await find("A")).toEqual(apple);
  });
});

describe("a picture that is replaced", () => {
  it("is another one wherever goods and collections showed it, in one step that can be taken back", async () => {
    const { now, find } = await shopWithGoods();
    const [apple, banana] = [await find("A"), await find("B")];
    const shared = { title: "", description: "", picture: "old" };
    const keep = async (of: typeof apple, more: object) =>
      expect(await keepProduct(await now(), of.id, of.version, { ...inputOf(of), ...more })).toMatchObject({
        ok: true,
      });
    await keep(apple, { pictures: ["a", "old", "new"], search: shared });
    await keep(banana, { pictures: ["b"] });
    const { collections } = await allGoodsOf(await now());
    const fruit = collections.find((c) => c.slug === "fruit")!;
    await keepCollection(await now(), fruit.id, collectionOf({ title: "Fruit", slug: "fruit", picture: "old" }), null);
    const before = await allGoodsOf(await now());
    // What shows both shows the new one once.
    expect(await replacePictures(await now(), new Map([["old", "new"]]))).toBe(2);
    expect(await find("A")).toMatchObject({ pictures: ["a", "new"], search: { picture: "new" } });
    expect((await allGoodsOf(await now())).collections.find((c) => c.id === fruit.id)).toMatchObject({
      picture: "new",
    });
    expect((await find("B")).version).toBe(before.products.find((p) => p.sku === "B")!.version);
    expect(await replacePictures(await now(), new Map([["nowhere", "new"]]))).toBe(0);
    await stepGoods(await now(), "undo");
    expect(await find("A")).toMatchObject({ pictures: ["a", "old", "new"], search: { picture: "old" } });
  });
});

describe("collections", () => {
  it("stand inside of each other and never in a ring; what one held comes out when it goes", async () => {
    const { now, find } = await shopWithGoods();
    const { collections } = await allGoodsOf(await now());
    const [fruit, roots] = [collections[0]!, collections[1]!];
    const apple = await find("A");
    const made = await keepCollection(await now(), null, collectionOf({ parent: fruit.id }), [apple.id]);
    if (!made.ok) throw new Error();
    const ring = await keepCollection(
      await now(),
      fruit.id,
      collectionOf({ title: "Fruit", slug: "fruit", parent: made.id }),
      null,
    );
    expect(ring).toMatchObject({ ok: false, problems: [{ path: "parent" }] });
    expect(await keepCollection(await now(), null, collectionOf({ slug: "fruit" }), null)).toMatchObject({ ok: false });
    expect(await keepCollection(await now(), null, collectionOf({ slug: "all" }), null)).toMatchObject({ ok: false });
    expect((await find("A")).collections).toEqual([fruit.id, made.id]);
    await orderCollections(await now(), [roots.id, fruit.id, made.id]);
    expect((await goodsOf(await now())).collections.map((c) => c.title)).toEqual(["Roots", "Fruit", "New"]);
    await removeCollection(await now(), fruit.id);
    const left = await goodsOf(await now());
    expect(left.collections.map((c) => [c.title, c.parent])).toEqual([
      ["Roots", null],
      ["New", null],
    ]);
    expect((await find("A")).collections).toEqual([made.id]);
    await stepGoods(await now(), "undo");
    expect((await find("A")).collections).toEqual([fruit.id, made.id]);
  });

  it("by rules hold what meets them, as it is now", async () => {
    const { now } = await shopWithGoods();
    const rules = { all: true, rules: [{ field: "price", op: "from", value: "2" }] };
    const made = await keepCollection(await now(), null, collectionOf({ rules }), null);
    const size = async () => {
      const goods = await goodsOf(await now());
      return sizeOf(
        goods,
        goods.collections.find((c) => made.ok && c.id === made.id)!,
      );
    };
    expect(await size()).toBe(2);
    await importGoods(await now(), readCsv("SKU,Title,Price\nA,Apple,9.00\n"));
    expect(await size()).toBe(3);
  });
});

describe("what shoppers say and buy", () => {
  it("waits, is shown, is counted, and is brought in once however often", async () => {
    const { shop, now, find } = await shopWithGoods();
    const apple = await find("A");
    await takeReview(shop.id, apple.id, { stars: 2, title: "", text: "Sour", name: "Ann" });
    expect((await goodsOf(await now())).products[0]!.rating).toBeNull();
    const [review] = await reviewsOf(shop.id);
    await changeReviews(await now(), { ids: [review!.id], state: "shown", answer: "It is a cooker." });
    expect((await goodsOf(await now())).products[0]!.rating).toMatchObject({ average: 2, count: 1 });
    const table = readCsv(
      "sku,rating,review,author,date\nA,4,Crisp,Bo,2026-03-01\nA,0,Bad,Bo,\nX,5,Good,Bo,\nA,4,Crisp,Bo,2026-03-01\n",
    );
    const read = await readReviews(await now(), table);
    expect(read.problems.map((p) => [p.line, p.column])).toEqual([
      [3, "stars"],
      [4, "sku"],
    ]);
    expect(await importReviews(await now(), read)).toEqual({ added: 1, known: 1 });
    expect((await goodsOf(await now())).products[0]!.rating).toMatchObject({ average: 3, count: 2 });
  });

  it("is read from a file only where stars, day and product can be meant", async () => {
    const { now } = await shopWithGoods();
    const read = async (text: string) => readReviews(await now(), readCsv(text));
    expect((await read("name,words\nAnn,Good\n")).problems).toEqual([
      { line: 0, column: "sku", why: "No column is called “sku”." },
      { line: 0, column: "stars", why: "No column is called “stars”." },
      { line: 0, column: "text", why: "No column is called “text”." },
    ]);
    const days = await read(
      "Product,Score,Comment,When,Date\nbanana,5,Ripe,,2026-02-30\nA,5,Crisp,,03/04/2026\nA,5,Crisp,,5\nbanana,5,Soft,,2026-02-03\nA,4.6,Fine,,\n",
    );
    expect(days.problems.map((p) => [p.line, p.column])).toEqual([
      [2, "date"],
      [3, "date"],
      [4, "date"],
      [6, "stars"],
    ]);
    expect(days.reviews).toMatchObject([{ text: "Soft", name: "A customer", at: new Date("2026-02-03") }]);
  });

  it("makes ranks and pairs", async () => {
    const { shop, now, find } = await shopWithGoods();
    const [a, b, c] = await Promise.all(["A", "B", "C"].map(find));
    const order = (...ids: string[]) => ({
      at: new Date(),
      lines: ids.map((product) => ({ product, variant: null, count: 1, price: 100 })),
    });
    await recordOrders(shop.id, [...Array.from({ length: 4 }, () => order(a!.id, b!.id)), order(c!.id), order(c!.id)]);
    await keepGoodsSettings(await now(), { synonyms: [["apple", "pippin"]] });
    const goods = await goodsOf(await now());
    expect(goods.together?.[a!.id]).toMatchObject([{ id: b!.id, count: 4, confidence: 1, lift: 1.5 }]);
    const sells = await whatSells(await now());
    expect(sells.orders).toBe(6);
    expect(sells.products.map((p) => p.title)).toEqual(["Apple", "Banana", "Carrot"]);
    expect(sells.products[0]!.sold.at(-1)).toBe(4);
  });
});

it("settings that make no sense are refused, and what is not given stays", async () => {
  const { now } = await shopWithGoods();
  expect(await keepGoodsSettings(await now(), { synonyms: [["alone"]] })).toMatchObject({ ok: false });
  await keepGoodsSettings(await now(), { words: { "sold-out": "All gone" } });
  expect(await keepGoodsSettings(await now(), { synonyms: [["a", "b"]] })).toMatchObject({
    ok: true,
    settings: { words: { "sold-out": "All gone" }, synonyms: [["a", "b"]] },
  });
  expect(makeProduct({ id: "x", title: "X" }).words).toEqual({});
});

it("an import that is stopped leaves nothing behind", async () => {
  const { shop } = await ownerWithShop();
  const stop = new AbortController();
  const lines = Array.from({ length: 1200 }, (_, i) => `S-${i},Thing ${i},1.00`);
  const done = importGoods(
    shop,
    readCsv(`SKU,Title,Price\n${lines.join("\n")}`),
    {},
    {
      signal: stop.signal,
      step: (at) => at >= 500 && stop.abort(),
    },
  );
  await expect(done).rejects.toThrow();
  expect((await goodsOf(await freshShop(shop))).products).toEqual([]);
});

describe("what has changed since a version", () => {
  it("is told product by product, and whole where that can't be known", async () => {
    const { shop, now, find } = await shopWithGoods();
    const before = await now();
    const stored = unpackGoods(await packedGoodsOf(before)).stored;
    const same = async (from: number) => {
      const fresh = await now();
      const update = await goodsSince(fresh, from);
      const whole = unpackGoods(await packedGoodsOf(fresh)).stored;
      const { asOf: _one, ...told } = updateGoods(stored, update).stored;
      const { asOf: _two, ...is } = whole;
      expect(told).toEqual(is);
      return update;
    };
    const apple = await find("A");
    await keepProduct(before, apple.id, apple.version, { ...inputOf(apple), title: "Apple, red" });
    const one = await same(before.goodsVersion);
    expect(one.isWhole).toBe(false);
    expect(unpackGoods(one.text).stored.products.map((p) => p.title)).toEqual(["Apple, red"]);
    await removeProducts(await now(), [(await find("B")).id]);
    const two = await same(before.goodsVersion);
    expect([two.isWhole, two.gone]).toEqual([false, [stored.products.find((p) => p.sku === "B")!.id]]);
    await stepGoods(await now(), "undo");
    expect((await same(before.goodsVersion)).isWhole).toBe(false);
    // What reviews and words make of goods is not said by products themselves.
    await keepGoodsSettings(await now(), { words: { "sold-out": "Gone" } });
    expect((await same(before.goodsVersion)).isWhole).toBe(true);
    expect((await goodsSince(await now(), 10_000)).isWhole).toBe(true);
    const { id } = (await keepCollection(await now(), null, collectionOf({}), [])) as { id: string };
    const withCollection = (await now()).goodsVersion;
    await removeCollection(await now(), id);
    expect((await goodsSince(await now(), withCollection)).isWhole).toBe(true);
    expect(shop.id).toBe(before.id);
  });
});
