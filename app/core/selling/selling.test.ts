import fc from "fast-check";
import postal from "postal-codes-js";
import { describe, expect, it } from "vitest";
import { emptyDocument, type Part } from "../document";
import {
  addressFields,
  addressLines,
  addressProblems,
  cardProblems,
  chargeTestCard,
  COUNTRY_CODES,
  deliveredTo,
  deliveryFor,
  inPostcodes,
  isLuhn,
  isPostcode,
  notSelling,
  paymentsFor,
  plainAddress,
  postcodesProblem,
  SELLING,
  sellingOf,
  sellingRoot,
  taxRulesFor,
  TEST_CARDS,
  zoneFor,
  type PostalAddress,
  type Selling,
} from ".";

const flat = (id: string, price: number) => ({ id, name: id, rate: { by: "flat" as const, price } });
const selling: Selling = {
  from: "IE",
  zones: [
    { id: "dublin", name: "Dublin", countries: ["IE"], postcodes: "D*", ways: [flat("bike", 300)] },
    {
      id: "home",
      name: "Ireland",
      countries: ["IE"],
      ways: [
        {
          id: "post",
          name: "Post",
          freeFrom: 6_000,
          rate: {
            by: "weight",
            steps: [
              { upTo: 2_000, price: 690 },
              { upTo: 10_000, price: 1_190 },
            ],
          },
        },
        { id: "carrier", name: "Parcel", rate: { by: "carrier" } },
      ],
    },
    { id: "de", name: "Germany", countries: ["DE"], postcodes: "10000-19999", ways: [flat("berlin", 900)] },
    { id: "rest", name: "Elsewhere", countries: ["*"], ways: [flat("air", 2_900)] },
  ],
  collect: "The workshop, Pier Road",
  pays: { card: true, transfer: "IE00", onDelivery: true, onCollection: true },
};
const parcel = { weight: 1_500, worth: 2_600, count: 2 };
const costs = (country: string, postcode: string, more = {}) =>
  deliveryFor(selling, { country, postcode }, { ...parcel, ...more }, "EUR").ways.map(({ id, costs: c }) => [id, c]);

describe("delivery", () => {
  it("goes by the zone of a postcode before that of a country, and that before everywhere else", () => {
    expect(zoneFor(selling, { country: "IE", postcode: "D02 AF30" })?.id).toBe("dublin");
    expect(zoneFor(selling, { country: "IE", postcode: "T12 X" })?.id).toBe("home");
    expect(zoneFor(selling, { country: "DE", postcode: "10115" })?.id).toBe("de");
    expect(zoneFor(selling, { country: "DE", postcode: "80331" })?.id).toBe("rest");
    expect(zoneFor(selling, { country: "NZ", postcode: "" })?.id).toBe("rest");
  });
  it("costs by weight, is free from a worth on, and can be quoted by the carrier", () => {
    expect(costs("IE", "T12")).toEqual([
      ["post", 690],
      ["carrier", 550],
      ["collect", 0],
    ]);
    expect(costs("IE", "T12", { weight: 2_001 })[0]).toEqual(["post", 1_190]);
    expect(costs("IE", "T12", { worth: 6_000 })[0]).toEqual(["post", 0]);
    // Heavier than its last step goes: the carrier still takes it.
    expect(costs("IE", "T12", { weight: 10_001 }).map(([id]) => id)).toEqual(["carrier", "collect"]);
    expect(costs("FR", "75001")).toEqual([
      ["air", 2_900],
      ["collect", 0],
    ]);
  });
  it("can't be where something has to be fetched", () => {
    expect(costs("IE", "T12", { mustCollect: true })).toEqual([["collect", 0]]);
    const { collect: _none, ...sends } = selling;
    expect(deliveryFor(sends, { country: "IE", postcode: "" }, { ...parcel, mustCollect: true }, "EUR")).toEqual({
      ways: [],
      why: "collect",
    });
    const home = { ...sends, zones: sends.zones.slice(0, 3) };
    expect(deliveryFor(home, { country: "FR", postcode: "" }, parcel, "EUR").why).toBe("place");
    expect(deliveryFor(home, { country: "IE", postcode: "" }, { ...parcel, weight: 99_999 }, "EUR").why).toBe("parcel");
    expect(deliveredTo(home)).toEqual(["IE", "DE"]);
    expect(deliveredTo(selling)).toBeUndefined();
  });
  it("reads lists of postcodes", () => {
    expect(inPostcodes("1050", "1000-1999, 25*, 9712")).toBe(true);
    expect(inPostcodes("2000", "1000-1999, 25*, 9712")).toBe(false);
    expect(inPostcodes("2512", "1000-1999, 25*, 9712")).toBe(true);
    expect(inPostcodes("sw1a 1aa", "SW1*")).toBe(true);
    // A span is of codes that are as long.
    expect(inPostcodes("10500", "1000-1999")).toBe(false);
    expect(inPostcodes("", "1000-1999, *")).toBe(false);
    expect(postcodesProblem("1000-1999, 25*")).toBeUndefined();
    expect(postcodesProblem("1000-1999, 1999-1000")).toBe("1999-1000");
    expect(inPostcodes("00-950", "00-950")).toBe(true);
    expect(postcodesProblem("!")).toBe("!");
  });
  it("a step that is further never makes a lighter parcel dearer where prices rise", () => {
    const rising = fc
      .uniqueArray(fc.integer({ min: 1, max: 50_000 }), { minLength: 1, maxLength: 12 })
      .map((list) => list.toSorted((a, b) => a - b).map((upTo, i) => ({ upTo, price: i * 100 })));
    fc.assert(
      fc.property(rising, fc.nat(60_000), fc.nat(60_000), (steps, a, b) => {
        const one = {
          ...selling,
          zones: [
            {
              id: "z",
              name: "z",
              countries: ["*"],
              ways: [{ id: "w", name: "w", rate: { by: "weight" as const, steps } }],
            },
          ],
        };
        const of = (weight: number) =>
          deliveryFor(one, { country: "IE", postcode: "" }, { ...parcel, weight }, "EUR").ways[0]!;
        const [light, heavy] = [of(Math.min(a, b)), of(Math.max(a, b))];
        if (heavy.id === "w") expect(light.costs).toBeLessThanOrEqual(heavy.costs);
      }),
      { seed: 18, numRuns: 300 },
    );
  });
});

describe("what a shop says of selling", () => {
  const document = (root: unknown) => ({
    [SELLING]: emptyDocument(1, "selling", SELLING, "Selling", root as Part["props"]),
  });
  it("sells nothing where it can't be read", () => {
    expect(sellingOf(document({ zones: "everywhere" }))).toEqual({ zones: [], pays: {} });
    expect(sellingOf({})).toEqual({ zones: [], pays: {} });
  });
  it("has to say how it delivers and how it is paid", () => {
    expect(notSelling({ zones: [], pays: { card: true } })).toBe("delivery");
    expect(notSelling({ ...selling, pays: {} })).toBe("payment");
    // Who can only fetch can't pay on delivery.
    expect(notSelling({ zones: [], collect: "here", pays: { onDelivery: true } })).toBe("payment");
    expect(notSelling(selling)).toBeUndefined();
    expect(paymentsFor(selling, { isCollected: false })).toEqual(["card", "transfer", "on-delivery"]);
    expect(paymentsFor(selling, { isCollected: true })).toEqual(["card", "transfer", "on-collection"]);
  });
  it.each([
    [{ zones: [{ id: "a", name: "A", countries: [], ways: [] }] }, "Choose at least one country."],
    [
      {
        zones: [
          {
            id: "a",
            name: "A",
            countries: ["IE"],
            ways: [
              {
                id: "w",
                name: "W",
                rate: {
                  by: "count",
                  steps: [
                    { upTo: 3, price: 1 },
                    { upTo: 2, price: 2 },
                  ],
                },
              },
            ],
          },
        ],
      },
      "Each step has to reach further than the one before.",
    ],
    [{ pays: { transfer: " " } }, "Say to which account the money goes."],
    [
      {
        tax: {
          prices: "with",
          rounding: "line",
          name: "VAT",
          rates: [{ country: "IE", standard: 10_001, reduced: 0 }],
        },
      },
      "A rate is 100 % at most.",
    ],
  ])("says what is wrong with %j", (root, why) => {
    expect(sellingRoot.safeParse(root).error?.issues[0]?.message).toBe(why);
  });
  it("taxes by the country that goods go to", () => {
    const taxed: Selling = {
      ...selling,
      tax: {
        prices: "with",
        rounding: "total",
        name: "VAT",
        rates: [{ country: "IE", standard: 2_300, reduced: 1_350 }],
      },
    };
    expect(taxRulesFor(selling, "IE")).toBeUndefined();
    expect(taxRulesFor(taxed, "IE")?.rateOf("reduced")).toBe(1_350);
    expect(taxRulesFor(taxed, "IE")?.rateOf("none")).toBe(0);
    expect(taxRulesFor(taxed, "NZ")?.rateOf("standard")).toBe(0);
  });
});

describe("addresses", () => {
  const fields = (country: string) => addressFields(country).map(({ field }) => field);
  it("have the fields of their country, in its order", () => {
    expect(fields("DE")).toEqual(["name", "company", "street", "more", "postcode", "town"]);
    expect(fields("GB")).toEqual(["name", "company", "street", "more", "town", "postcode"]);
    expect(fields("US")).toEqual(["name", "company", "street", "more", "town", "area", "postcode"]);
    expect(fields("JP")).toContain("area");
    const label = (country: string, field: string) => addressFields(country).find((f) => f.field === field)?.label;
    expect(label("US", "postcode")).toBe("ZIP code");
    expect(label("US", "area")).toBe("State");
    expect(label("GB", "postcode")).toBe("Postcode");
  });
  it("can be asked for in every country of ISO 3166", () => {
    expect(COUNTRY_CODES).toHaveLength(250);
    for (const code of COUNTRY_CODES) expect(fields(code)).toEqual(expect.arrayContaining(["name", "street", "more"]));
  });
  const address: PostalAddress = {
    country: "DE",
    name: "Ada Quill",
    company: "",
    street: "Deichstraße 4",
    more: "",
    district: "",
    town: "Husum",
    area: "Nowhere",
    postcode: "2581",
  };
  it("say what is wrong with them beside the field", () => {
    expect([...addressProblems(address)]).toEqual([
      ["postcode", "“2581” can’t be the postcode there. Please check it."],
    ]);
    expect(addressProblems({ ...address, postcode: "25813" }).size).toBe(0);
    expect(addressProblems({ ...address, postcode: "", town: "" }).size).toBe(2);
    expect(addressProblems({ ...address, country: "US", postcode: "" }).get("postcode")).toBe(
      "Please write the ZIP code.",
    );
    // There are addresses in Ireland without a code.
    expect(addressProblems({ ...address, country: "IE", postcode: "" }).size).toBe(0);
  });
  it("are written as they stand on a parcel", () => {
    const plain = plainAddress({ ...address, postcode: "25813" });
    expect(plain.area).toBe("");
    expect(addressLines(plain, (code) => code, "DE")).toEqual(["Ada Quill", "Deichstraße 4", "25813 Husum"]);
    expect(addressLines(plain, (code) => code, "IE").at(-1)).toBe("DE");
  });
  // `postal-codes-js` 2.5.2 is a second table of patterns, kept by somebody else.
  it("know postcodes as a second table of patterns does", () => {
    for (const [country, good, bad] of [
      ["DE", "25813", "258"],
      ["GB", "SW1A 1AA", "12345"],
      ["NL", "1012 AB", "1012"],
      ["US", "94016", "9401"],
      ["CA", "K1A 0B1", "K1A"],
      ["FR", "75001", "7500A"],
      ["CH", "8001", "80010"],
      ["PL", "00-950", "00950123"],
      ["SE", "114 55", "11"],
    ] as const) {
      expect([country, isPostcode(good, country), isPostcode(bad, country)]).toEqual([country, true, false]);
      expect([country, postal.validate(country, good), postal.validate(country, bad) === true]).toEqual([
        country,
        true,
        false,
      ]);
    }
  });
});

describe("test cards", () => {
  // 79927398713: the usual worked example of Luhn's formula (from memory).
  it("have Luhn’s check digit (ISO/IEC 7812-1)", () => {
    expect(isLuhn("79927398713")).toBe(true);
    for (const last of "0124567890") if (last !== "3") expect(isLuhn(`7992739871${last}`)).toBe(false);
    for (const number of Object.values(TEST_CARDS)) expect(isLuhn(number)).toBe(true);
    for (const [result, number] of Object.entries(TEST_CARDS)) expect(chargeTestCard(number)).toBe(result);
  });
  it("notice every single wrong digit", () => {
    fc.assert(
      fc.property(fc.nat(14), fc.integer({ min: 1, max: 9 }), (at, by) => {
        const digits = [...TEST_CARDS.paid].map(Number);
        digits[at] = (digits[at]! + by) % 10;
        expect(isLuhn(digits.join(""))).toBe(false);
      }),
      { seed: 7, numRuns: 150 },
    );
  });
  it("are checked before they are tried, and no real card is taken", () => {
    const card = { number: "9000 1000 0000 0009", expires: "08/29", code: "123" };
    expect(cardProblems(card, "2026-12").size).toBe(0);
    expect(cardProblems({ ...card, number: "9000 1000 0000 0008" }, "2026-12").get("number")).toContain("check it");
    // 4000000000000002 has a right check digit.
    expect(cardProblems({ ...card, number: "4000000000000002" }, "2026-12").get("number")).toContain("no real card");
    expect(cardProblems({ ...card, expires: "11/26" }, "2026-12").get("expires")).toBe("This card has expired.");
    expect(cardProblems({ ...card, expires: "13/29" }, "2026-12").has("expires")).toBe(true);
    expect(cardProblems({ number: "", expires: "", code: "" }, "2026-12").size).toBe(3);
  });
});
