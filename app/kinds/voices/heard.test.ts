import { describe, expect, it } from "vitest";
import type { Goods, Review } from "~/core/goods";
import { goods as fixtures } from "~/render/fixtures/content";
import { heardIn } from "./heard";

const review = (id: string, product: string, day: number, more: Partial<Review> = {}): Review => ({
  id,
  product,
  stars: 5,
  title: "",
  text: `Words of ${id}`,
  name: "Ann",
  state: "shown",
  answer: "",
  at: `2026-03-${String(day).padStart(2, "0")}T10:00:00.000Z`,
  ...more,
});

const goods: Goods = {
  ...fixtures,
  collections: fixtures.collections.map((c) => ({ ...c })),
  products: fixtures.products.map((p) => (p.id === "bare" ? { ...p, collections: ["two"] } : p)),
  reviews: {
    plain: [review("p1", "plain", 9), review("p2", "plain", 8), review("p3", "plain", 7)],
    bare: [review("b1", "bare", 10, { stars: 3 }), review("b2", "bare", 6), review("b3", "bare", 20, { text: " " })],
    many: [review("m1", "many", 12, { state: "held" }), review("m2", "many", 5)],
    lost: [review("l1", "lost", 30)],
  },
};
const rule = { reviews: true, picks: [] as string[], collection: null as string | null, least: 4, most: 6 };
const ids = (more: Partial<typeof rule>) => heardIn({ ...rule, ...more }, goods).map((h) => h.review.id);

describe("voices of the shop's reviews", () => {
  it("are the newest with enough stars, two of a product at most; what is held, empty or of lost goods is not among them", () => {
    expect(ids({})).toEqual(["p1", "p2", "b2", "m2"]);
    expect(ids({ least: 3 })).toEqual(["b1", "p1", "p2", "b2", "m2"]);
    expect(ids({ most: 2 })).toEqual(["p1", "p2"]);
    expect(ids({ reviews: false })).toEqual([]);
  });

  it("are of one collection where one is named, and none where it has gone", () => {
    expect(ids({ collection: "two" })).toEqual(["b2"]);
    expect(ids({ collection: "gone" })).toEqual([]);
  });

  it("stand in the order in which they were picked, whatever the rule says; those that have gone are left out", () => {
    expect(ids({ picks: ["p3", "gone", "b1", "m1"] })).toEqual(["p3", "b1"]);
  });
});
