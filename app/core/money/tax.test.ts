import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { taxOf } from ".";

describe("tax", () => {
  // HMRC, VAT guide (Notice 700): the VAT fraction of 20 % is 1/6, of 5 % it is 1/21 (from memory).
  it.each([
    [12_000, 2_000, 2_000],
    [2_100, 500, 100],
    [11_900, 1_900, 1_900],
    [10_700, 700, 700],
    [999, 2_000, 167],
  ])("in %i at %i hundredths of a percent is %i", (amount, rate, tax) => {
    const taxed = taxOf({ isIncluded: true, rounding: "total" }, [{ amount, rate }]);
    expect(taxed.rows).toEqual([{ rate, net: amount - tax, tax }]);
  });
  it("on top of prices is added", () => {
    expect(taxOf({ isIncluded: false, rounding: "total" }, [{ amount: 10_000, rate: 1_900 }]).tax).toBe(1_900);
  });
  // Three lines of 0.99 at 19 %: 0.1881 each. Rounded by line 0.57, in all 0.5643, so 0.56 (worked by hand).
  it("comes out differently rounded by line and in all", () => {
    const lines = [1, 2, 3].map(() => ({ amount: 99, rate: 1_900 }));
    expect(taxOf({ isIncluded: false, rounding: "line" }, lines).tax).toBe(57);
    expect(taxOf({ isIncluded: false, rounding: "total" }, lines).tax).toBe(56);
  });
  it("on delivery has the share of each rate", () => {
    const lines = [
      { amount: 7_500, rate: 1_900 },
      { amount: 2_500, rate: 700 },
    ];
    // 10.00 of delivery: 7.50 at 19 %, 2.50 at 7 %.
    expect(taxOf({ isIncluded: false, rounding: "total" }, lines, 1_000).rows).toEqual([
      { rate: 1_900, net: 8_250, tax: 1_568 },
      { rate: 700, net: 2_750, tax: 193 },
    ]);
    expect(taxOf({ isIncluded: true, rounding: "total" }, [{ amount: 0, rate: 1_900 }], 1_190).tax).toBe(190);
  });
  it("loses no unit: net and tax are what was paid, whatever the rates and the rounding", () => {
    const line = fc.record({ amount: fc.nat(1e7), rate: fc.constantFrom(0, 500, 700, 1_350, 1_900, 2_000, 2_550) });
    fc.assert(
      fc.property(
        fc.array(line, { minLength: 1, maxLength: 14 }),
        fc.nat(1e5),
        fc.constantFrom("line" as const, "total" as const),
        fc.boolean(),
        (lines, delivery, rounding, isIncluded) => {
          const { rows, tax } = taxOf({ isIncluded, rounding }, lines, delivery);
          const asked = lines.reduce((sum, { amount }) => sum + amount, 0) + delivery;
          const [net, all] = [rows.reduce((s, r) => s + r.net, 0), rows.reduce((s, r) => s + r.tax, 0)];
          expect(all).toBe(tax);
          expect(isIncluded ? net + tax : net).toBe(asked);
          // Rounding moves each line and each share by half a unit at most.
          const exact = rows.reduce(
            (sum, { rate, net: n, tax: t }) =>
              sum + ((isIncluded ? n + t : n) * rate) / (isIncluded ? 10_000 + rate : 10_000),
            0,
          );
          expect(Math.abs(tax - exact)).toBeLessThanOrEqual((lines.length + rows.length) / 2 + 1e-6);
        },
      ),
      { seed: 18, numRuns: 500 },
    );
  });
  it("is exact for sums that a number can’t hold multiplied", () => {
    expect(taxOf({ isIncluded: true, rounding: "total" }, [{ amount: 1_000_000_000_000, rate: 2_500 }]).tax).toBe(
      200_000_000_000,
    );
  });
});
