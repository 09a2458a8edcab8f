import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import type { Line } from "~/core/offers";
import { QueryTypes } from "sequelize";
import { basketsOf } from "../goods/learn";
import { database, OrderRow, StockLog, StockRow } from "../database/index.server";
import { placing } from "../fixtures/orders";
import { ownerWithShop } from "../fixtures/owner";
import { changeProducts, goodsOf, importGoods, stepGoods } from "../goods/index.server";
import { freshShop } from "../shops/index.server";
import {
  changeOrder,
  countsOf,
  dropHeld,
  HOLD_MINUTES,
  orderByToken,
  orderOf,
  ordersFile,
  ordersOf,
  placeOrder,
  removeTestOrders,
  settleOrder,
} from "./index.server";

async function setUp(stock = 10) {
  const { shop } = await ownerWithShop();
  await importGoods(
    shop,
    readCsv(
      `SKU,Title,Price,Stock,Variant of,Options\nA,Apple,1.00,${stock},,\nB,Bread,2.00,,,\nC,Cone,3.00,,,\nC-S,,,4,C,Size: S\n`,
    ),
  );
  const fresh = () => freshShop(shop);
  const goods = async () => goodsOf(await fresh());
  const now = await goods();
  const by = (sku: string) => now.products.find((p) => p.sku === sku)!;
  const line = (sku: string, count: number): Line => ({ product: by(sku), variant: by(sku).variants[0], count });
  let pressed = 0;
  const place = (lines: readonly Line[], more: { pressed?: string; waits?: boolean; isTest?: boolean } = {}) =>
    placeOrder(shop, { ...placing(now, lines, `press-${++pressed}-of-the-button`), ...more });
  const left = async (sku: string) =>
    (await StockRow.findOne({
      where: { shopId: shop.id, productId: by(sku).id, variantId: by(sku).variants[0]?.id ?? "" },
    }))!;
  return { shop, fresh, goods, by, line, place, left };
}
const idOf = (placed: Awaited<ReturnType<typeof placeOrder>>) => {
  if (!placed.ok) throw new Error("it was not placed");
  return placed.order.id;
};

describe("an order", () => {
  it("takes its goods from the stock, gets the next number, and is a snapshot", async () => {
    const { shop, place, line, left, by, fresh } = await setUp();
    const one = await place([line("A", 3), line("B", 2), line("C", 1)]);
    const two = await place([line("A", 1)]);
    expect((await left("A")).pieces).toBe(6);
    expect((await left("C")).pieces).toBe(3);
    const found = (await orderOf(shop.id, idOf(one)))!;
    expect(found.order).toMatchObject({
      number: 1,
      state: "placed",
      paid: 0,
      body: { total: 1_500, mail: "ada@quill.example" },
    });
    expect((await orderOf(shop.id, idOf(two)))!.order.number).toBe(2);
    // What is changed later changes nothing of it.
    await changeProducts(await fresh(), { ids: [by("A").id], set: { priceTimes: 5 } });
    expect((await orderOf(shop.id, idOf(one)))!.order.body.lines[0]).toMatchObject({
      title: "Apple",
      each: 100,
      total: 300,
    });
    // Somebody else’s is the same as none.
    const other = await ownerWithShop();
    expect(await orderOf(other.shop.id, idOf(one))).toBeUndefined();
    expect(await changeOrder(other.shop.id, { do: "note", id: idOf(one), text: "Mine" })).toMatchObject({
      ok: false,
      status: 404,
    });
    // What was sold is learnt from.
    expect((await basketsOf(shop.id)).map(({ lines }) => lines.length).toSorted()).toEqual([1, 3]);
  });

  it("is one, however often its form is sent", async () => {
    const { place, line, left, shop } = await setUp();
    const all = await Promise.all(
      Array.from({ length: 6 }, () => place([line("A", 1)], { pressed: "the-same-press-each-time" })),
    );
    expect(new Set(all.map(idOf)).size).toBe(1);
    expect(all.filter((each) => each.ok && each.isNew)).toHaveLength(1);
    expect((await left("A")).pieces).toBe(9);
    expect((await ordersOf(shop.id, { find: "", filter: "all", page: 1 })).total).toBe(1);
  });

  it("is refused whole where there is too little of one thing", async () => {
    const { place, line, left } = await setUp(2);
    expect(await place([line("C", 1), line("A", 3)])).toMatchObject({ ok: false, short: [{ count: 2 }] });
    expect((await left("C")).pieces).toBe(4);
  });

  it("goes to ten of fifty who want the last ten, and their numbers have no gap", async () => {
    const { place, line, left, shop } = await setUp(10);
    const all = await Promise.all(Array.from({ length: 50 }, () => place([line("A", 1)])));
    expect(all.filter((each) => each.ok)).toHaveLength(10);
    expect(all.flatMap((each) => (each.ok ? [] : each.short.map(({ count }) => count)))).toEqual(Array(40).fill(0));
    expect((await left("A")).pieces).toBe(0);
    const { orders } = await ordersOf(shop.id, { find: "", filter: "all", page: 1 });
    expect(orders.map(({ number }) => number).toSorted((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });

  it("is sold beyond what there is where its seller said so, and what comes back settles that first", async () => {
    const { place, line, left, shop } = await setUp(2);
    const apple = line("A", 5);
    const owed = await place([{ ...apple, product: { ...apple.product, oversell: true } }]);
    expect(await left("A")).toMatchObject({ pieces: 0, owed: 3 });
    const { version } = (await orderOf(shop.id, idOf(owed)))!.order;
    await changeOrder(shop.id, { do: "cancel", id: idOf(owed), version, text: "", tells: false });
    expect(await left("A")).toMatchObject({ pieces: 2, owed: 0 });
  });
});

describe("an order that waits for its payment", () => {
  it("keeps its goods, and has a number once it is paid; the second answer changes nothing", async () => {
    const { place, line, left, shop } = await setUp();
    const waiting = await place([line("A", 4)], { waits: true });
    expect((await left("A")).pieces).toBe(6);
    expect(await orderOf(shop.id, idOf(waiting))).toBeUndefined();
    const [one, two] = await Promise.all([settleOrder(idOf(waiting), true), settleOrder(idOf(waiting), true)]);
    expect([one!.isNew, two!.isNew].filter(Boolean)).toHaveLength(1);
    expect((await orderOf(shop.id, idOf(waiting)))!.order).toMatchObject({ number: 1, paid: 900 });
    expect((await settleOrder(idOf(waiting), false))!.state).toBe("placed");
    expect((await left("A")).pieces).toBe(6);
  });

  it("gives them back when it is declined or nobody pays in time, and leaves no gap in the numbers", async () => {
    const { place, line, left, shop } = await setUp();
    const pressed = "the-press-that-was-declined";
    const declined = await place([line("A", 4)], { waits: true, pressed });
    const late = await place([line("A", 2)], { waits: true });
    await settleOrder(idOf(declined), false);
    expect((await left("A")).pieces).toBe(8);
    await dropHeld(Date.now() + (HOLD_MINUTES - 1) * 60_000);
    expect((await left("A")).pieces).toBe(8);
    await dropHeld(Date.now() + (HOLD_MINUTES + 1) * 60_000);
    await dropHeld(Date.now() + (HOLD_MINUTES + 1) * 60_000);
    expect((await left("A")).pieces).toBe(10);
    const { token } = (await OrderRow.findByPk(idOf(late)))!;
    expect(await orderByToken(shop.id, token!)).toEqual({ is: "gone" });
    // The same form may be sent again.
    const again = await place([line("A", 1)], { pressed });
    expect((await orderOf(shop.id, idOf(again)))!.order.number).toBe(1);
    // Nothing of a payment that came to nothing counts as sold.
    expect((await countsOf(shop.id)).all).toBe(1);
  });
});

describe("what a seller does with an order", () => {
  it("is done once, in order, and noted", async () => {
    const { place, line, shop } = await setUp();
    const id = idOf(await place([line("A", 2)]));
    const at = async () => (await orderOf(shop.id, id))!;
    const hand = (version: number) =>
      changeOrder(shop.id, { do: "hand", id, version, handed: "sent", text: "TP 1", tells: true });
    expect(await changeOrder(shop.id, { do: "paid", id, version: 0 })).toMatchObject({ ok: true, tell: "paid" });
    // Another tab shows it as it was.
    expect(await hand(0)).toMatchObject({ ok: false, status: 409 });
    expect(await hand(1)).toMatchObject({ ok: true, tell: "sent", text: "TP 1" });
    expect(await hand(2)).toMatchObject({ ok: false, status: 422 });
    expect(await changeOrder(shop.id, { do: "paid", id, version: 2 })).toMatchObject({
      ok: false,
      why: "It is paid already.",
    });
    await changeOrder(shop.id, { do: "note", id, text: "Rang." });
    expect((await at()).events.map(({ what }) => what)).toEqual(["placed", "paid", "sent", "note"]);
    expect((await at()).order).toMatchObject({ handed: "sent", paid: 700 });
  });

  it("gives money back in part and whole, never more than was paid, and no piece twice", async () => {
    const { place, line, left, shop } = await setUp();
    const id = idOf(await place([line("A", 4)], { waits: true }));
    await settleOrder(id, true);
    const refund = async (amount: number, back: number) => {
      const { version } = (await orderOf(shop.id, id))!.order;
      return changeOrder(shop.id, { do: "refund", id, version, amount, back: [back], text: "", tells: false });
    };
    expect(await refund(1_000, 0)).toMatchObject({
      ok: false,
      field: "amount",
      why: "€9.00 can be given back at most.",
    });
    expect(await refund(400, 3)).toMatchObject({ ok: true });
    expect((await left("A")).pieces).toBe(9);
    expect(await refund(500, 4)).toMatchObject({ ok: true });
    expect((await left("A")).pieces).toBe(10);
    expect(await refund(1, 0)).toMatchObject({ ok: false });
    expect((await orderOf(shop.id, id))!.order.refunded).toBe(900);
  });

  it("takes back pieces of the same thing from two lines, as where one of them was given", async () => {
    const { place, line, left, shop } = await setUp();
    const id = idOf(await place([line("A", 3), line("A", 1)], { waits: true }));
    await settleOrder(id, true);
    await changeOrder(shop.id, { do: "refund", id, version: 0, amount: 1, back: [2, 1], text: "", tells: false });
    expect((await left("A")).pieces).toBe(9);
  });

  it("finds them by number, name, mail and what was bought, and writes them into a file", async () => {
    const { place, line, shop } = await setUp();
    await place([line("A", 1)]);
    await place([line("B", 1)]);
    const find = async (words: string) =>
      (await ordersOf(shop.id, { find: words, filter: "all", page: 1 })).orders.map(({ number }) => number);
    expect(await find("2")).toEqual([2]);
    expect(await find("bread")).toEqual([2]);
    expect(await find("quill")).toEqual([2, 1]);
    expect(await find("100%")).toEqual([]);
    const file = readCsv(await ordersFile(shop.id));
    expect(
      file.rows.map(({ cells }) =>
        ["Order", "Product", "Total", "Paid with", "Town"].map((name) => cells[file.columns.indexOf(name)]),
      ),
    ).toEqual([
      ["1", "Apple", "6.00", "Card", "Howth"],
      ["2", "Bread", "7.00", "Card", "Howth"],
    ]);
  });

  it("are to be paid as long as anything is, though a gift card has paid a part", async () => {
    const { place, line, shop } = await setUp();
    const id = idOf(await place([line("A", 1)]));
    const toPay = async () => (await ordersOf(shop.id, { find: "", filter: "to-pay", page: 1 })).total;
    const { total } = (await orderOf(shop.id, id))!.order.body;
    const seen: number[] = [];
    for (const paid of [0, 1, total - 1, total]) {
      await OrderRow.update({ paid }, { where: { id } });
      seen.push(await toPay());
    }
    expect(seen).toEqual([1, 1, 1, 0]);
    expect((await countsOf(shop.id))["to-pay"]).toBe(0);
  });

  it("takes tests away, and they leave nothing behind", async () => {
    const { place, line, left, shop } = await setUp();
    await place([line("A", 2)], { isTest: true });
    const real = idOf(await place([line("A", 1)]));
    expect((await orderOf(shop.id, real))!.order.number).toBe(1);
    expect(await removeTestOrders(shop.id)).toBe(1);
    expect((await left("A")).pieces).toBe(9);
    expect(await countsOf(shop.id)).toMatchObject({ all: 1, test: 0 });
  });
});

describe("stock", () => {
  it("is counted apart from what sellers write: nothing that was sold comes back by that", async () => {
    const { place, line, left, by, fresh, goods } = await setUp();
    const { id } = by("A");
    await changeProducts(await fresh(), { ids: [id], set: { priceTimes: 2 } });
    await place([line("A", 8)]);
    // What a tab still shows of it is not what is stored.
    await changeProducts(await fresh(), { ids: [id], set: { featured: true } });
    expect((await left("A")).pieces).toBe(2);
    expect((await goods()).products.find((p) => p.id === id)!.stock).toBe(2);
    await stepGoods(await fresh(), "undo");
    await stepGoods(await fresh(), "undo");
    expect((await left("A")).pieces).toBe(2);
    // A number that the seller wrote is taken back by as much as it changed.
    await changeProducts(await fresh(), { ids: [id], set: { stock: 7 } });
    await place([line("A", 1)]);
    await stepGoods(await fresh(), "undo");
    expect((await left("A")).pieces).toBe(1);
    expect((await goods()).products.find((p) => p.id === id)!.stock).toBe(1);
  });

  it("and what was sold are as many as before, whatever is done at once; the ledger says why", async () => {
    const { place, line, left, shop, by } = await setUp(12);
    const step = fc.constantFrom("buy", "hold", "pay", "decline", "cancel", "refund");
    await fc.assert(
      fc.asyncProperty(
        fc.array(step, { minLength: 6, maxLength: 14 }),
        fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 14, maxLength: 14 }),
        async (steps, counts) => {
          const open: string[] = [];
          const started: Promise<unknown>[] = [];
          for (const [i, what] of steps.entries()) {
            const id = open[counts[i]! % Math.max(1, open.length)];
            if (what === "buy" || what === "hold") {
              const placed = await place([line("A", counts[i]!)], { waits: what === "hold" });
              if (placed.ok) open.push(placed.order.id);
            } else if (id === undefined) continue;
            else if (what === "pay" || what === "decline") started.push(settleOrder(id, what === "pay"));
            else {
              const version = (await orderOf(shop.id, id))?.order.version;
              if (version === undefined) continue;
              started.push(
                what === "cancel"
                  ? changeOrder(shop.id, { do: "cancel", id, version, text: "", tells: false })
                  : changeOrder(shop.id, { do: "refund", id, version, amount: 1, back: [1], text: "", tells: false }),
              );
            }
          }
          await Promise.all(started);
          const { pieces } = await left("A");
          expect(pieces).toBeGreaterThanOrEqual(0);
          const [{ taken }] = (await database().query<{ taken: string }>(
            "SELECT COALESCE(SUM(-pieces), 0) AS taken FROM stockLog WHERE shopId = ? AND productId = ? AND orderId IS NOT NULL",
            { type: QueryTypes.SELECT, replacements: [shop.id, by("A").id] },
          )) as [{ taken: string }];
          expect(pieces + Number(taken)).toBe(12);
          // Orders that came to nothing, or were cancelled, hold nothing.
          const over = await OrderRow.findAll({
            where: { shopId: shop.id, state: ["gone", "cancelled"] },
            attributes: ["id"],
          });
          for (const { id } of over) {
            const rows = await StockLog.findAll({ where: { orderId: id } });
            expect(rows.reduce((sum, row) => sum + row.pieces, 0)).toBe(0);
          }
        },
      ),
      { seed: 18, numRuns: 12 },
    );
  });
});
