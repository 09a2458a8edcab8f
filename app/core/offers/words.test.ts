import { describe, expect, it } from "vitest";
import type { Condition } from "../conditions";
import { BY_ID } from "../fixtures/conditions";
import { FIRST_VISIT } from "../situation";
import { givesWords, whyWords, type Gives, type Offer, type OfferGoods, type Why } from ".";

const all: OfferGoods = { products: [], collections: [] };
const kites: OfferGoods = { products: [], collections: ["kites"] };
const many: OfferGoods = { products: ["a", "b", "c"], collections: ["kites"] };
const plain = (words: string) => words.replaceAll("\u00a0", " ");

describe("what an offer gives, in words", () => {
  it.each<[Gives, OfferGoods, string]>([
    [{ sort: "percent", off: 1250, on: "all" }, all, "12.5 % off everything"],
    [{ sort: "percent", off: 500, on: "cheapest" }, kites, "5 % off the cheapest piece of “collection kites”"],
    [{ sort: "percent", off: 500, on: "all" }, many, "5 % off “product a”, “product b” and 2 more"],
    [{ sort: "amount", amount: 500, on: "all" }, all, "500p off the cart"],
    [{ sort: "amount", amount: 500, on: "each" }, kites, "500p off each piece of “collection kites”"],
    [{ sort: "price", price: 900 }, all, "900p for each piece"],
    [{ sort: "bundle", take: 3, pay: 2 }, kites, "Take 3, pay 2: “collection kites”"],
    [{ sort: "gift", product: "a", variant: null, count: 2 }, all, "2 × “product a” as a gift"],
    [{ sort: "delivery", off: 10_000, amount: null }, all, "Free delivery"],
    [{ sort: "delivery", off: null, amount: 300 }, kites, "Delivery costs 300p less with “collection kites”"],
    [
      {
        sort: "steps",
        steps: [
          { from: 3, off: 500 },
          { from: 6, off: 1000 },
        ],
      },
      all,
      "5 % off from 3 pieces, 10 % off from 6 pieces",
    ],
  ])("%j: %#", (gives, goods, words) => expect(plain(givesWords({ gives, goods }, BY_ID))).toBe(words));
});

describe("why an offer does nothing, in words", () => {
  const offer = (conditions: readonly Condition[] = []): Offer => ({
    id: "o",
    name: "Tenth",
    gives: { sort: "percent", off: 1000, on: "all" },
    goods: all,
    code: "TENTH",
    fromWorth: 6000,
    fromCount: 0,
    mostUses: 0,
    mostEach: 0,
    withGoods: true,
    withRest: true,
    isOff: false,
    conditions,
  });
  const asked = { clock: "2026-11-30T10:00", person: FIRST_VISIT };
  const said = (why: Why, conditions?: readonly Condition[]) =>
    whyWords(offer(conditions), why, { asked, names: BY_ID, nameOf: (id) => `offer ${id}` });

  it.each<[Why, string]>([
    [{ why: "off" }, "It is switched off."],
    [{ why: "code" }, "Its code, TENTH, was not given."],
    [{ why: "goods" }, "None of the goods it is for are in the cart."],
    [{ why: "worth", toGo: 3400 }, "3400p to go until 6000p."],
    [{ why: "count", toGo: 1 }, "1 more piece to go."],
    [{ why: "count", toGo: 2 }, "2 more pieces to go."],
    [{ why: "others", others: ["a"] }, "“offer a” saves more, and they don’t go together."],
    [{ why: "others", others: ["a", "b"] }, "“offer a” and “offer b” save more, and they don’t go together."],
  ])("%j", (why, words) => expect(said(why)).toBe(words));

  it("says which of its conditions is against it", () => {
    expect(said({ why: "conditions" }, [{ when: "dates", until: "2026-01-01T00:00" }])).toBe(
      "It does not hold on this day.",
    );
    expect(said({ why: "conditions" }, [{ when: "visitor", is: "returning" }])).toBe("It is for other visitors.");
  });
});
