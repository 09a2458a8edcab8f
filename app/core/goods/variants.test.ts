import { SOME_DAY } from "./fixtures/day";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  barcodeProblem,
  canBuy,
  combinationsOf,
  makeProduct,
  mostOf,
  priceSpan,
  stateOf,
  stateWords,
  valueState,
  variantFor,
  withForValue,
  withOptions,
  firstVariant,
  type Option,
  type Variant,
} from ".";
import { checkDigit } from "./barcode";

const option = (name: string, ...values: string[]): Option => ({
  name,
  picker: "buttons",
  values: values.map((v) => ({ name: v, colour: null })),
});
const variant = (id: string, values: string[], more: Partial<Variant> = {}): Variant => ({
  id,
  values,
  sku: id,
  price: null,
  compareAt: null,
  stock: 9,
  barcode: "",
  weight: null,
  picture: null,
  availability: null,
  ...more,
});
const cone = makeProduct({
  id: "cone",
  title: "Cone",
  price: 2000,
  options: [option("Size", "S", "L"), option("Colour", "Dawn", "Kelp", "Squall")],
  variants: [
    variant("a", ["S", "Dawn"]),
    variant("b", ["S", "Kelp"], { stock: 0 }),
    variant("c", ["L", "Dawn"], { price: 3100 }),
    variant("d", ["L", "Squall"], { price: 3300, stock: 2 }),
  ],
});

describe("choosing a variant", () => {
  it("marks what can be had, what can't be just now, and what there is not", () => {
    expect(valueState(cone, ["S", undefined], 1, "Dawn")).toBe("free");
    expect(valueState(cone, ["S", undefined], 1, "Kelp")).toBe("unavailable");
    expect(valueState(cone, ["S", undefined], 1, "Squall")).toBe("none");
    expect(valueState(cone, [undefined, undefined], 1, "Squall")).toBe("free");
    // What is chosen of the option itself is no reason against another value of it.
    expect(valueState(cone, ["S", "Dawn"], 0, "L")).toBe("free");
  });

  it("shows first what can be bought", () => {
    expect(firstVariant(withForValue(cone, 0, "S", { stock: 0 }))?.id).toBe("c");
    expect(variantFor(cone, ["L", "Dawn"])?.id).toBe("c");
    expect(priceSpan(cone)).toEqual({ least: 2000, most: 3300 });
  });

  it("keeps variants when options change", () => {
    let n = 0;
    const id = () => `new${n++}`;
    const more = withOptions(cone, [option("Size", "S", "L"), option("Colour", "Dawn", "Kelp", "Squall", "Gold")], id);
    expect(more.variants).toHaveLength(8);
    expect(variantFor(more, ["L", "Squall"])).toMatchObject({ id: "d", price: 3300, stock: 2 });
    const turned = withOptions(cone, [cone.options[1]!, cone.options[0]!], id);
    expect(variantFor(turned, ["Kelp", "S"])?.id).toBe("b");
    const fewer = withOptions(cone, [cone.options[1]!], id);
    expect(fewer.variants.map((v) => v.values)).toEqual([["Dawn"], ["Kelp"], ["Squall"]]);
    expect(fewer.variants.map((v) => v.id)).toEqual(["a", "b", "d"]);
    expect(withOptions(cone, [], id).variants).toEqual([]);
    // A third option: the first of what one becomes keeps number and stock, so that nothing is counted twice.
    const third = withOptions(cone, [...cone.options, option("Line", "Yes", "No")], id);
    expect(third.variants.filter((v) => v.id === "a")).toHaveLength(1);
    expect(third.variants.filter((v) => v.values[0] === "S" && v.values[1] === "Dawn").map((v) => v.stock)).toEqual([
      9,
      null,
    ]);
  });

  it("has as many combinations as the values multiply to, each once", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 3 }), (counts) => {
        const options = counts.map((count, i) => option(`o${i}`, ...Array.from({ length: count }, (_, k) => `v${k}`)));
        const all = combinationsOf(options).map((c) => c.join("|"));
        expect(all).toHaveLength(counts.reduce((a, b) => a * b, 1));
        expect(new Set(all).size).toBe(all.length);
      }),
    );
  });
});

describe("availability", () => {
  const one = (more: Parameters<typeof makeProduct>[0] extends infer P ? Partial<P> : never) =>
    makeProduct({ id: "p", title: "P", ...more });
  it.each([
    [{ stock: 9 }, "in-stock", true, 9],
    [{ stock: 3 }, "low", true, 3],
    [{ stock: 0 }, "sold-out", false, 0],
    [{ stock: 0, oversell: true }, "in-stock", true, Infinity],
    [{ stock: null }, "in-stock", true, Infinity],
    [{ stock: 0, availability: "made-to-order" }, "made-to-order", true, Infinity],
    [{ stock: 5, availability: "pre-order" }, "pre-order", true, 5],
    [{ stock: 9, availability: "coming-soon" }, "coming-soon", false, 0],
    [{ stock: 9, availability: "discontinued" }, "discontinued", false, 0],
    [{ stock: 1, availability: "collect-only" }, "collect-only", true, 1],
  ] as const)("%j is %s", (more, state, can, most) => {
    const product = one(more);
    expect([stateOf(product), canBuy(product), mostOf(product)]).toEqual([state, can, most]);
  });

  it("of a product is that of the best of its variants", () => {
    expect(stateOf(cone)).toBe("in-stock");
    expect(stateOf(cone, cone.variants[1])).toBe("sold-out");
    expect(stateOf(cone, cone.variants[3])).toBe("low");
    expect(stateOf({ ...cone, variants: [cone.variants[1]!, cone.variants[3]!] })).toBe("low");
    expect(stateOf({ ...cone, variants: [cone.variants[1]!] })).toBe("sold-out");
  });

  it("is said in the product's words, the shop's, or the usual ones", () => {
    const soon = one({ availability: "coming-soon", availableFrom: "2027-03-14" });
    expect(stateWords(soon, undefined, { day: "2026-11-01" })).toBe("Coming 14 March");
    // Next year's March, said in March, would be taken for this one.
    expect(stateWords(soon, undefined, { day: "2026-03-20" })).toBe("Coming 14 March 2027");
    expect(stateWords(soon, undefined, { ...SOME_DAY, words: { "coming-soon": "On the bench" } })).toBe(
      "On the bench, 14 March",
    );
    expect(stateWords(one({ stock: 0, words: { "sold-out": "All flown away" } }), undefined, SOME_DAY)).toBe(
      "All flown away",
    );
    expect(stateWords(one({ stock: 0 }), undefined, { ...SOME_DAY, words: { "sold-out": "Gone" } })).toBe("Gone");
  });
});

describe("barcodes (EAN-13)", () => {
  // 4006381333931: a valid number of the GS1 General Specifications' algorithm, from memory; 9780306406157: the worked
  // example of ISBN-13, whose check digit is the same (ISO 2108).
  it.each(["4006381333931", "9780306406157", "4 006381 333931", ""])("takes %s", (text) =>
    expect(barcodeProblem(text)).toBeUndefined(),
  );
  it("says what is wrong", () => {
    expect(barcodeProblem("4006381333932")).toContain("would be 1, not 2");
    expect(barcodeProblem("400638133393")).toContain("13 digits");
    expect(barcodeProblem("40063813339x1")).toContain("13 digits");
  });
  it("finds every single wrong digit (GS1 General Specifications: weights 3 and 1)", () => {
    fc.assert(
      fc.property(fc.stringMatching(/^\d{12}$/), fc.nat(11), fc.integer({ min: 1, max: 9 }), (body, at, by) => {
        const whole = `${body}${checkDigit(body)}`;
        const wrong = [...whole].with(at, String((Number(whole[at]) + by) % 10)).join("");
        expect(barcodeProblem(whole)).toBeUndefined();
        expect(barcodeProblem(wrong)).toBeDefined();
      }),
    );
  });
});
