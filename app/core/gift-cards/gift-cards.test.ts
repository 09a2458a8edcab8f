import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { makeProduct, type Goods } from "../goods";
import { SOME_DAY } from "../goods/fixtures/day";
import { price } from "../offers";
import { offering } from "../offers/fixtures/offer";
import { backToCards } from "../orders";
import {
  CARD_DESIGNS,
  CARD_LENGTH,
  CARD_LETTERS,
  cardForProblems,
  cardFor,
  cardProblem,
  isCardCode,
  lastOf,
  payWith,
  plainCard,
  shapesOf,
  writtenCard,
} from ".";

const code = fc
  .array(fc.constantFrom(...CARD_LETTERS), { minLength: CARD_LENGTH, maxLength: CARD_LENGTH })
  .map((all) => all.join(""));

describe("a code", () => {
  it("is the same however it is written down", () => {
    fc.assert(
      fc.property(code, (is) => {
        expect(plainCard(writtenCard(is))).toBe(is);
        expect(plainCard(` ${writtenCard(is).toLowerCase().replaceAll(" ", "-")} `)).toBe(is);
        expect(isCardCode(is)).toBe(true);
        expect(lastOf(is)).toBe(`…${is.slice(-4)}`);
      }),
      { seed: 5 },
    );
  });
  it("has no letter that is mistaken for another one", () => {
    expect([...CARD_LETTERS].filter((letter) => "0O1IL2Z5S8BUV".includes(letter))).toEqual([]);
    expect(new Set(CARD_LETTERS).size).toBe(22);
    expect(isCardCode("KITE5")).toBe(false);
  });
});

describe("paying with cards", () => {
  const cards = fc.array(fc.record({ code, left: fc.integer({ min: 0, max: 10_000 }) }), { maxLength: 5 });
  it("takes what there is to pay and no more, from each card no more than is left on it", () => {
    fc.assert(
      fc.property(cards, fc.integer({ min: 0, max: 30_000 }), (all, total) => {
        const { parts, due } = payWith(all, total);
        const paid = parts.reduce((sum, { amount }) => sum + amount, 0);
        expect(paid + due).toBe(total);
        expect(due).toBe(Math.max(0, total - all.reduce((sum, { left }) => sum + left, 0)));
        for (const { amount } of parts) expect(amount).toBeGreaterThan(0);
      }),
      { seed: 7 },
    );
  });
  it("gives back what was paid otherwise first, and in all neither more nor less", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5_000 }),
        fc.integer({ min: 0, max: 5_000 }),
        fc.array(fc.integer({ min: 1, max: 900 }), { maxLength: 9 }),
        (byCard, otherwise, refunds) => {
          const order = { paid: byCard + otherwise, body: { byCards: [{ last: "", amount: byCard }] } as never };
          let [before, onCards] = [0, 0];
          for (const wish of refunds) {
            const amount = Math.min(wish, order.paid - before);
            onCards += backToCards(order, before, amount);
            before += amount;
            expect(onCards).toBe(Math.max(0, before - otherwise));
          }
        },
      ),
      { seed: 9 },
    );
  });
  it("is not possible with one that is empty, over, ended or of other money", () => {
    const card = { left: 5, until: null, isOff: false, currency: "EUR" };
    expect(cardProblem(card, 10, "EUR")).toBeUndefined();
    for (const wrong of [{ left: 0 }, { until: 10 }, { isOff: true }, { currency: "GBP" }])
      expect(cardProblem({ ...card, ...wrong }, 10, "EUR")).toMatch(/card/);
  });
});

describe("what somebody writes for a card", () => {
  it("is said where it is wrong", () => {
    expect([...cardForProblems(cardFor.parse({ to: "ada@", message: "x".repeat(301) })).keys()]).toEqual([
      "to",
      "message",
    ]);
    expect(cardForProblems(cardFor.parse({})).size).toBe(0);
    expect(cardFor.parse({ design: "no such" }).design).toBe("plain");
  });
  it("has a picture for each occasion, another one each", () => {
    const drawn = CARD_DESIGNS.map((design) => JSON.stringify(shapesOf(design)));
    expect(new Set(drawn).size).toBe(CARD_DESIGNS.length);
  });
});

describe("a gift card in a cart", () => {
  const card = makeProduct({ id: "card", title: "Gift card", price: 5_000, isGiftCard: true });
  const kite = makeProduct({ id: "kite", title: "Kite", price: 5_000 });
  const lines = [card, kite].map((product) => ({ product, variant: undefined, count: 1 }));
  const goods: Goods = { products: [card, kite], collections: [], asOf: SOME_DAY };
  const bill = (more: object) =>
    price({ lines, offers: [], codes: [], goods, asked: { clock: "2026-12-01T12:00", goods }, ...more });
  it("is cheaper only by an offer that names it", () => {
    const half = { sort: "percent", off: 5_000, on: "all" } as const;
    expect(bill({ offers: [offering(half)] }).lines.map(({ total }) => total)).toEqual([5_000, 2_500]);
    const named = offering(half, { goods: { products: ["card"], collections: [] } });
    expect(bill({ offers: [named] }).lines.map(({ total }) => total)).toEqual([2_500, 5_000]);
  });
  it("is not taxed: what is bought with it is (Directive 2006/112/EC, art. 30b, from memory)", () => {
    const { tax } = bill({ tax: { isIncluded: true, rounding: "total", rateOf: () => 2_000 } });
    expect(tax!.rows).toEqual([
      { rate: 2_000, net: 4_167, tax: 833 },
      { rate: 0, net: 5_000, tax: 0 },
    ]);
  });
});
