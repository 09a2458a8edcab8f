import { describe, expect, it } from "vitest";
import { axesOf, canBuy, goodsOn, makeCollection, makeProduct, sizeOf, stateOf, stateWords, type Goods } from ".";

const zone = "Europe/Dublin";
const on = (day: string) => ({ day, timeZone: zone });
const soon = makeProduct({ id: "soon", title: "Soon", availability: "coming-soon", availableFrom: "2026-11-28" });
const early = makeProduct({
  id: "early",
  title: "Early",
  availability: "pre-order",
  availableFrom: "2026-11-28",
  stock: 0,
});
const someDay = makeProduct({ id: "some-day", title: "Some day", availability: "coming-soon" });
const fresh = makeCollection({
  id: "new",
  title: "New this week",
  rules: { all: true, rules: [{ field: "age", op: "under", value: "7" }] },
});
const goods: Goods = {
  products: [
    soon,
    early,
    someDay,
    // Late in the evening in Dublin, where it is the 20th; in Auckland it is the 21st.
    makeProduct({ id: "made", title: "Made", createdAt: "2026-11-20T22:30:00.000Z" }),
  ],
  collections: [fresh],
  asOf: on("2026-11-01"),
};
const product = (g: Goods, id: string) => g.products.find((p) => p.id === id)!;

describe("goods on a day", () => {
  it("are to come until their day, and there from then on; what the stock says is so from then on", () => {
    const before = goodsOn(goods, on("2026-11-27"));
    expect(stateWords(product(before, "soon"), undefined, before.asOf)).toBe("Coming 28 November");
    expect([canBuy(product(before, "soon")), canBuy(product(before, "early"))]).toEqual([false, false]);
    const there = goodsOn(goods, on("2026-11-28"));
    expect(stateWords(product(there, "soon"), undefined, there.asOf)).toBe("In stock");
    expect(canBuy(product(there, "soon"))).toBe(true);
    expect(stateOf(product(there, "early"))).toBe("sold-out");
    // Without a day there is none to wait for.
    expect(stateOf(product(there, "some-day"))).toBe("coming-soon");
    expect(stateOf(product(goods, "soon"))).toBe("coming-soon");
  });

  it("are new this week by the shop's own calendar", () => {
    const size = (day: string) => sizeOf(goodsOn(goods, on(day)), fresh);
    expect([size("2026-11-20"), size("2026-11-26"), size("2026-11-27")]).toEqual([1, 1, 0]);
    const inAuckland = goodsOn(goods, { day: "2026-11-27", timeZone: "Pacific/Auckland" });
    expect(sizeOf(inAuckland, fresh)).toBe(1);
  });

  it("are the same object for the same day, and share their products where none has come", () => {
    expect(goodsOn(goods, on("2026-11-28"))).toBe(goodsOn(goods, on("2026-11-28")));
    expect(goodsOn(goods, on("2026-11-27")).products).toBe(goods.products);
    expect(goodsOn(goods, goods.asOf)).toBe(goods);
  });

  it("depend on the day only where something of them does", () => {
    expect(axesOf(goods)).toEqual({ day: true });
    expect(axesOf({ ...goods, products: [someDay] })).toEqual({ day: true });
    expect(axesOf({ ...goods, collections: [] })).toEqual({ day: true });
    expect(axesOf({ ...goods, products: [someDay], collections: [] })).toEqual({ day: false });
  });
});
