import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { conditionsSchema, holds, movedDates, spansOf, type DateRule } from ".";
import { clockPlus } from "./times";

const BEGIN = "2026-11-01T00:00";
const END = "2027-11-02T00:00";
const day = fc.nat({ max: 1_200 }).map((n) => clockPlus("2025-06-01T00:00", n));
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
const dates: fc.Arbitrary<DateRule> = fc
  .record({
    when: fc.constant("dates" as const),
    from: maybe(day),
    until: maybe(day),
    yearly: maybe(fc.constant(true as const)),
  })
  .filter((rule) => conditionsSchema.safeParse([rule]).success && !JSON.stringify(rule).includes("-02-29"));

describe("dates on a line", () => {
  it("are where the rule holds, and nowhere else", () => {
    fc.assert(
      fc.property(dates, fc.nat({ max: 364 }), (rule, n) => {
        const at = clockPlus(BEGIN, n);
        const spans = spansOf(rule, BEGIN, END);
        expect(spans.some(({ from, until }) => from <= at && at < until)).toBe(holds([rule], { clock: at }));
        for (const { from, until } of spans) expect(BEGIN <= from && from < until && until <= END).toBe(true);
      }),
      { numRuns: 2_000 },
    );
  });

  it("are moved and moved back, and can't be turned round unseen", () => {
    fc.assert(
      fc.property(
        dates,
        fc.integer({ min: -90, max: 90 }),
        fc.constantFrom("both" as const, "from" as const, "until" as const),
        (rule, n, which) => {
          const there = movedDates(rule, n, which);
          expect(movedDates(there, -n, which)).toEqual(rule);
          if (which === "both" && !rule.yearly) expect(conditionsSchema.safeParse([there]).success).toBe(true);
        },
      ),
    );
  });

  it.each<readonly [DateRule, readonly (readonly [string, string, boolean, boolean])[]]>([
    [
      { when: "dates", from: "2026-12-24T00:00", until: "2027-01-07T00:00", yearly: true },
      [["2026-12-24T00:00", "2027-01-07T00:00", false, false]],
    ],
    [{ when: "dates", from: "2026-01-01T00:00" }, [[BEGIN, END, true, true]]],
    [
      { when: "dates", from: "2026-10-20T00:00", until: "2026-11-10T00:00", yearly: true },
      [
        [BEGIN, "2026-11-10T00:00", true, false],
        ["2027-10-20T00:00", END, false, true],
      ],
    ],
    [{ when: "dates", until: "2026-10-01T00:00" }, []],
  ])("%j", (rule, spans) => {
    const said = spansOf(rule, BEGIN, END).map(({ from, until, isOpen }) => [from, until, isOpen.before, isOpen.after]);
    expect(said).toEqual(spans);
  });
});
