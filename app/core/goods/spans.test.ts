import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bitsFor, countOf, has, put, type Bits } from "./bits";
import { inSpan, spansOf } from "./spans";

/** One product for each number, as an index holds them. */
function bearersOf(numbers: readonly string[]): { values: Map<string, Bits>; size: number } {
  const size = numbers.length;
  const values = new Map<string, Bits>();
  numbers.forEach((n, at) => {
    const bits = values.get(n) ?? bitsFor(size);
    put(bits, at);
    values.set(n, bits);
  });
  return { values, size };
}
const spans = (numbers: readonly string[]) => {
  const { values, size } = bearersOf(numbers);
  const found = spansOf(values, size);
  return found && Object.fromEntries([...found].map(([span, bits]) => [span, countOf(bits)]));
};
const every = (from: number, to: number, step: number) =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => String(from + i * step));

describe("numbers of an attribute", () => {
  it("stay single while they are few", () => {
    expect(spans(every(1, 12, 1))).toBeUndefined();
    expect(spans(["1", "2", "red", ...every(10, 30, 1)])).toBeUndefined();
  });

  it("become spans of a round length, the ends being what there is", () => {
    expect(
      spans(["55", "60", "70", "80", "90", "100", "120", "140", "150", "160", "180", "190", "240", "320"]),
    ).toEqual({ "55–100": 5, "100–150": 3, "150–200": 4, "200–250": 1, "300–320": 1 });
    // The most of all, though it is where the next span would begin, is in the last.
    expect(spans(every(0, 70, 5))).toEqual({
      "0–10": 2,
      "10–20": 2,
      "20–30": 2,
      "30–40": 2,
      "40–50": 2,
      "50–60": 2,
      "60–70": 3,
    });
    expect(Object.keys(spans(["0,5", "0,8", ...every(1, 14, 1)])!)).toEqual([
      "0.5–2",
      "2–4",
      "4–6",
      "6–8",
      "8–10",
      "10–12",
      "12–14",
    ]);
    expect(Object.keys(spans(every(-30, 30, 4))!)[0]).toBe("-30–-20");
  });

  it("are each in one span, and spans few and in order, whatever the numbers", () => {
    const number = fc.oneof(
      fc.integer({ min: -5_000, max: 500_000 }),
      fc.integer({ min: 0, max: 3_000 }).map((n) => n / 100),
    );
    fc.assert(
      fc.property(fc.uniqueArray(number, { minLength: 13, maxLength: 80 }), (numbers) => {
        const { values, size } = bearersOf(numbers.map(String));
        const found = [...spansOf(values, size)!];
        expect(found.length).toBeLessThanOrEqual(7);
        numbers.forEach((n, at) => {
          const holding = found.filter(([, bits]) => has(bits, at));
          expect(holding).toHaveLength(1);
          const [from, to] = holding[0]![0].match(/-?[\d.]+/g)!.map(Number) as [number, number];
          expect(n).toBeGreaterThanOrEqual(from - 1e-6);
          expect(n).toBeLessThanOrEqual(to + 1e-6);
        });
        const lows = found.map(([span]) => Number(/^-?[\d.]+/.exec(span)![0]));
        expect(lows).toEqual(lows.toSorted((a, b) => a - b));
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it("are found by a span that is no longer offered, and by nothing that is no span", () => {
    const { values, size } = bearersOf(every(10, 40, 2));
    expect(countOf(inSpan(values, "10–14", size)!)).toBe(3);
    expect(countOf(inSpan(values, "1000–2000", size)!)).toBe(0);
    for (const nonsense of ["40–10", "10-14", "a–b", "", "10–", "12"])
      expect(inSpan(values, nonsense, size)).toBeUndefined();
  });
});
