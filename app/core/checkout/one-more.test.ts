import { describe, expect, it } from "vitest";
import { makeProduct, type Product, type Variant } from "../goods";
import { SOME_DAY } from "../goods/fixtures/day";
import { oneMore } from ".";

const kite = makeProduct({ id: "kite", title: "Kite", price: 6400, related: ["reel"] });
const reel = makeProduct({ id: "reel", title: "Reel", price: 1200 });
const goodsOf = (...products: Product[]) => ({ products, collections: [], sold: new Map(), asOf: SOME_DAY });
const ids = (products: readonly Product[], chosen: readonly string[] = [], most = 2) =>
  oneMore(goodsOf(...products) as never, [{ product: kite }], chosen, most).map(({ product }) => product.id);

describe("what is offered before an order is paid", () => {
  it("is what was chosen for it, in that order, or else what goes with its goods", () => {
    const bag = makeProduct({ id: "bag", title: "Bag", price: 900 });
    expect(ids([kite, reel, bag], ["bag", "reel"])).toEqual(["bag", "reel"]);
    expect(ids([kite, reel, bag], ["bag", "reel"], 1)).toEqual(["bag"]);
    expect(ids([kite, reel])).toEqual(["reel"]);
  });

  it("lies not in it yet, can be had, and comes at once", () => {
    const others = (
      [
        { availability: "collect-only" },
        { availability: "made-to-order" },
        { availability: "pre-order" },
        { availability: "coming-soon" },
        { stock: 0 },
      ] as const
    ).map((more, i) => makeProduct({ id: `no-${i}`, title: "Mast", price: 9000, ...more }));
    expect(ids([kite, reel, ...others], ["kite", ...others.map(({ id }) => id), "gone", "reel"], 4)).toEqual(["reel"]);
  });

  it("is the first variant that can be had", () => {
    const variant = (id: string, stock: number) =>
      ({
        id,
        values: [id],
        sku: "",
        price: null,
        compareAt: null,
        stock,
        picture: null,
        weight: null,
      }) as unknown as Variant;
    const line = makeProduct({
      id: "line",
      title: "Line",
      price: 800,
      options: [{ name: "Length", values: ["short", "long"] }] as never,
      variants: [variant("short", 0), variant("long", 4)],
    });
    expect(oneMore(goodsOf(kite, line) as never, [{ product: kite }], ["line"], 1)[0]?.variant?.id).toBe("long");
  });
});
