import { describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { CartRow } from "../database/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { goodsOf, importGoods } from "../goods/index.server";
import { freshShop } from "../shops/index.server";
import { cartInput, cartOf, changeCart, changeCode, dropOldCarts, tellWhenThere, waitingFor } from "./index.server";

async function setUp() {
  const { shop } = await ownerWithShop();
  await importGoods(
    shop,
    readCsv(
      "SKU,Title,Price,Stock,Variant of,Options\nA,Apple,1.00,5,,\nB,Banana,2.00,0,,\nC,Cone,3.00,,,\nC-S,,,2,C,Size: S\nC-L,,4.00,9,C,Size: L\n",
    ),
  );
  const goods = await goodsOf(await freshShop(shop));
  const by = (sku: string) => goods.products.find((p) => p.sku === sku)!;
  return { shop, goods, by };
}

describe("a cart", () => {
  it("takes what there is, as far as it goes, and says so", async () => {
    const { shop, goods, by } = await setUp();
    const add = (id: string | undefined, product: string, count: number, variant: string | null = null) =>
      changeCart(shop.id, id, goods, "add", { product, variant, count });
    const first = await add(undefined, by("A").id, 3);
    if (!first.ok) throw new Error(first.why);
    expect(first).toMatchObject({ count: 3, said: "" });
    expect(await add(first.id, by("A").id, 3)).toMatchObject({
      count: 5,
      said: "There are only 5 of it; that many are in your cart.",
    });
    expect(await add(first.id, by("A").id, 1)).toMatchObject({
      count: 5,
      said: "All 5 that there are lie in your cart already.",
    });
    expect(await add(first.id, by("B").id, 1)).toMatchObject({ ok: false, why: "“Banana” can’t be bought just now." });
    expect(await add(first.id, by("C").id, 1)).toMatchObject({ ok: false });
    const [small] = by("C").variants;
    expect(await add(first.id, by("C").id, 1, small!.id)).toMatchObject({ count: 6 });
    expect(
      (await cartOf(shop.id, first.id, goods)).lines.map((l) => [l.product.title, l.variant?.values[0], l.count]),
    ).toEqual([
      ["Apple", undefined, 5],
      ["Cone", "S", 1],
    ]);
    expect(
      await changeCart(shop.id, first.id, goods, "set", { product: by("A").id, variant: null, count: 0 }),
    ).toMatchObject({ count: 1 });
  });

  it("holds codes besides, of many the last ones, and one from before there were codes is read", async () => {
    const { shop, goods, by } = await setUp();
    const { id } = await changeCode(shop.id, undefined, "FIRST", "add");
    for (let i = 0; i < 9; i++) await changeCode(shop.id, id, `CODE${i}`, "add");
    await changeCart(shop.id, id, goods, "add", { product: by("A").id, variant: null, count: 2 });
    // Once more is once, and the last.
    expect(await changeCode(shop.id, id, "FIRST", "add")).toEqual({ id, count: 2 });
    expect((await cartOf(shop.id, id, goods)).codes).toHaveLength(10);
    await changeCode(shop.id, id, "NEW", "add");
    await changeCode(shop.id, id, "FIRST", "remove");
    const { codes } = await cartOf(shop.id, id, goods);
    expect([codes[0], codes.at(-1), codes.length]).toEqual(["CODE1", "NEW", 9]);
    const body = JSON.stringify([{ product: by("A").id, variant: null, count: 3 }]);
    await CartRow.update({ body }, { where: { id } });
    expect(await cartOf(shop.id, id, goods)).toMatchObject({ lines: [{ count: 3 }], codes: [] });
  });

  it("is one shop's alone, and nobody's by a made-up name", async () => {
    const one = await setUp();
    const two = await setUp();
    const made = await changeCart(one.shop.id, undefined, one.goods, "add", {
      product: one.by("A").id,
      variant: null,
      count: 1,
    });
    if (!made.ok) throw new Error(made.why);
    expect((await cartOf(two.shop.id, made.id, one.goods)).lines).toEqual([]);
    const other = await changeCart(two.shop.id, made.id, two.goods, "add", {
      product: two.by("A").id,
      variant: null,
      count: 1,
    });
    expect(other.ok && other.id).not.toBe(made.id);
    const forged = await changeCart(one.shop.id, "me", one.goods, "add", {
      product: one.by("A").id,
      variant: null,
      count: 1,
    });
    expect(forged.ok && forged.id).toMatch(/^[\w-]{43}$/);
  });

  it("shows what became of its goods", async () => {
    const { shop, goods, by } = await setUp();
    const made = await changeCart(shop.id, undefined, goods, "add", { product: by("A").id, variant: null, count: 4 });
    if (!made.ok) throw new Error(made.why);
    const left = (stock: number) => ({
      ...goods,
      products: goods.products.map((p) => (p.sku === "A" ? { ...p, stock } : p)),
    });
    expect((await cartOf(shop.id, made.id, left(2))).lines[0]).toMatchObject({ problem: "There are only 2 of it." });
    expect((await cartOf(shop.id, made.id, left(0))).lines[0]).toMatchObject({
      problem: expect.stringContaining("can’t be bought") as string,
    });
    expect((await cartOf(shop.id, made.id, { ...goods, products: [] })).lines).toEqual([]);
  });

  it("goes when nobody comes back to it", async () => {
    const { shop, goods, by } = await setUp();
    await changeCart(shop.id, undefined, goods, "add", { product: by("A").id, variant: null, count: 1 });
    await dropOldCarts(Date.now() + 59 * 86_400_000);
    expect(await CartRow.count({ where: { shopId: shop.id } })).toBe(1);
    await dropOldCarts(Date.now() + 61 * 86_400_000);
    expect(await CartRow.count({ where: { shopId: shop.id } })).toBe(0);
  });

  it.each(["1.5", "-1", "100", "many"])("does not take %s of something", (count) =>
    expect(cartInput.safeParse({ product: "p", count }).success).toBe(false),
  );
});

it("who wants to be told of something is noted once", async () => {
  const { shop, goods, by } = await setUp();
  const wish = { product: by("B").id, variant: "", address: "a@shop.example" };
  expect(await tellWhenThere(shop.id, goods, wish)).toBe(true);
  expect(await tellWhenThere(shop.id, goods, wish)).toBe(true);
  expect(await tellWhenThere(shop.id, goods, { ...wish, product: "gone" })).toBe(false);
  expect((await waitingFor(shop.id)).get(by("B").id)).toBe(1);
});
