import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Offer } from "../offers";
import { offering } from "../offers/fixtures/offer";
import { asTyped, factOf, filledText, fromTyped, isUnbound, OFFER_FACT_NAMES, piecesOf, saysFact, storedLive } from ".";

const offer = (id: string, name: string, more: Partial<Offer> = {}): Offer =>
  offering({ sort: "percent", off: 1500, on: "all" }, { id, name, ...more });
const GALES = offer("k2", "Autumn gales", {
  code: "GALES15",
  conditions: [{ when: "dates", from: "2026-10-24T00:00", until: "2026-11-05T00:00" }],
});
const FREE = offer("k3", "Free: from 60", {
  gives: { sort: "delivery", off: 10_000, amount: null },
  fromWorth: 60_00,
});
const WRITING = { locale: "en-GB", money: (amount: number) => `€${(amount / 100).toFixed(2)}` };

describe("facts of an offer", () => {
  it.each([
    ["percent", GALES, "15%"],
    ["code", GALES, "GALES15"],
    ["starts", GALES, "24 October"],
    // What ends at a midnight ends with the day before.
    ["ends", GALES, "4 November"],
    ["ends", offer("x", "x", { conditions: [{ when: "dates", until: "2026-11-05T18:00" }] }), "5 November at 18:00"],
    ["name", FREE, "Free: from 60"],
    ["goal", FREE, "€60.00"],
    ["percent", FREE, undefined],
    ["amount", offer("x", "x", { gives: { sort: "amount", amount: 5_00, on: "all" } }), "€5.00"],
    ["price", offer("x", "x", { gives: { sort: "price", price: 9_90 } }), "€9.90"],
    ["count", offer("x", "x", { gives: { sort: "bundle", take: 3, pay: 2 } }), "3"],
    [
      "percent",
      offer("x", "x", {
        gives: {
          sort: "steps",
          steps: [
            { from: 2, off: 500 },
            { from: 5, off: 1250 },
          ],
        },
      }),
      "12.5%",
    ],
    // Dates of which one is enough, or which it is not on, are no dates of the offer.
    [
      "ends",
      offer("x", "x", { conditions: [{ when: "any", of: [{ when: "dates", until: "2026-11-05T00:00" }] }] }),
      undefined,
    ],
    ["ends", offer("x", "x", { conditions: [{ when: "dates", until: "2026-11-05T00:00", not: true }] }), undefined],
  ] as const)("%s", (fact, of, words) => expect(factOf(of, fact, WRITING)).toBe(words));

  it("are written as the shop's shoppers read them", () => {
    expect(factOf(GALES, "percent", { ...WRITING, locale: "de-DE" })).toBe("15\u00a0%");
    expect(factOf(GALES, "ends", { ...WRITING, locale: "de-DE" })).toBe("4. November");
  });
});

describe("facts in words", () => {
  const offers = [GALES, FREE];

  it("are stored by the offer's id and typed by its name", () => {
    const { text, why } = fromTyped("Get { Percent of autumn GALES } until {ends}, {goal of Free: from 60}", offers);
    expect(why).toBeUndefined();
    expect(text).toBe("Get {percent:k2} until {ends:k2}, {goal:k3}");
    expect(asTyped(text, offers)).toBe(
      "Get {percent of Autumn gales} until {ends of Autumn gales}, {goal of Free: from 60}",
    );
    expect(
      filledText(text, (live) =>
        "offer" in live
          ? factOf(
              offers.find((o) => o.id === live.offer)!,
              live.field as "percent",
              WRITING,
            )
          : "",
      ),
    ).toBe("Get 15% until 4 November, €60.00");
  });

  it.each([
    ["{percent of Winter}", "There is no offer called “Winter”."],
    ["{percent of Free: from 60}", "“Free: from 60” has nothing to say of “percent off”."],
    ["{name}", "Several offers say “name of the offer”. Say which: {name of Autumn gales}"],
    ["{amount}", "No offer says “amount off”. Make one in Offers first."],
  ])("%s is said to be unclear, and kept as it was typed", (typed, why) => {
    expect(fromTyped(`a ${typed} b`, offers)).toEqual({ text: `a ${typed} b`, why });
    expect(isUnbound(`a ${typed} b`)).toBe(true);
  });

  it.each(["{", "{}", "{perc", "{ to be }", "a {b: c} d", "{percentage}", "{{x}}", "{percent: of}"])(
    "leaves other braces alone: %s",
    (text) => {
      expect(fromTyped(text, offers)).toEqual({ text });
      expect(isUnbound(text)).toBe(false);
      expect(filledText(text, () => "X")).toBe(text);
    },
  );

  it("is not to be read while a fact is begun", () => {
    for (const text of ["a {percent", "a {percent of Aut", "{ends of {code:k2}"])
      expect(isUnbound(text), text).toBe(true);
    for (const text of ["a {perc", "{percent:k2} {", "{nameless"]) expect(isUnbound(text), text).toBe(false);
  });

  it("takes facts that the part itself says as they are", () => {
    expect(fromTyped("{to-go} to go", [], ["to-go"])).toEqual({ text: "{to-go} to go" });
    expect(fromTyped("{to-go} to go", []).why).toContain("No offer");
  });

  it("comes back as it was stored from what is typed, whatever stands around it and however offers are called", () => {
    const names = fc.uniqueArray(
      fc
        .string({ minLength: 1, maxLength: 20 })
        .map((s) => s.trim())
        .filter(Boolean),
      {
        minLength: 1,
        maxLength: 4,
        selector: (name) => name.toLowerCase(),
      },
    );
    fc.assert(
      fc.property(
        names,
        fc.array(fc.oneof(fc.string(), fc.nat(), fc.constantFrom("{", "}", "{ends}"))),
        (called, parts) => {
          const all = called.map((name, i) => ({ ...GALES, id: `o${i}`, name, fromWorth: 100 }));
          const said = OFFER_FACT_NAMES.filter((fact) => saysFact(all[0]!, fact));
          const stored = parts
            .map((part) =>
              typeof part === "number"
                ? storedLive({ field: said[part % said.length]!, offer: `o${part % all.length}` })
                : part.replace(/[{}]/g, ""),
            )
            .join("");
          expect(fromTyped(asTyped(stored, all), all)).toEqual({ text: stored });
          expect(
            piecesOf(stored)
              .map((p) => (typeof p === "string" ? p : storedLive(p)))
              .join(""),
          ).toBe(stored);
        },
      ),
      { numRuns: 500 },
    );
  });
});
