import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  conditionsSchema,
  explain,
  holds,
  nextChangeOf,
  outlook,
  type Condition,
  type DateRule,
  type TimeRule,
} from ".";
import { BY_ID } from "../fixtures/conditions";

const holdsAt = (all: readonly Condition[], clock: string) => holds(all, { clock });

const HALF_HOUR = 30 * 60_000;
const START = Date.UTC(2026, 0, 1);
const clockOf = (moment: number) => new Date(moment).toISOString().slice(0, 16);
const at = fc.nat({ max: 3 * 365 * 48 }).map((n) => clockOf(START + n * HALF_HOUR));
const hour = fc
  .nat({ max: 47 })
  .map((n) => clockOf(n * HALF_HOUR).slice(11))
  .filter((time) => time !== "00:00");
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
const dates = fc
  .record({
    when: fc.constant("dates" as const),
    from: maybe(at),
    until: maybe(at),
    yearly: maybe(fc.constant(true as const)),
  })
  .filter((rule) => conditionsSchema.safeParse([rule]).success);
const times = fc.record({
  when: fc.constant("times" as const),
  days: maybe(fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 })),
  from: maybe(hour),
  until: maybe(hour),
});
const conditions: fc.Arbitrary<readonly (DateRule | TimeRule)[]> = fc.oneof(
  fc.tuple(dates),
  fc.tuple(times),
  fc.tuple(dates, times),
);

/** The same, said another way: with the parts of a date, and day by day. */
function bruteForce(all: readonly (DateRule | TimeRule)[], clock: string): boolean {
  const now = new Date(`${clock}:00Z`);
  const minute = (d: Date) => d.getUTCHours() * 60 + d.getUTCMinutes();
  const minuteOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
  return all.every((rule) => {
    if (rule.when === "dates") {
      const { from, until, yearly } = rule;
      const ms = (text: string) => Date.parse(`${text}:00Z`);
      if (!yearly) return (!from || +now >= ms(from)) && (!until || +now < ms(until));
      // As it is each year, beginning with those around this one.
      return [-1, 0, 1].some((years) => {
        const inYear = (text: string, more: number) => {
          const d = new Date(ms(text));
          return Date.UTC(
            now.getUTCFullYear() + more,
            d.getUTCMonth(),
            d.getUTCDate(),
            d.getUTCHours(),
            d.getUTCMinutes(),
          );
        };
        const goesOver = until!.slice(5) <= from!.slice(5);
        return +now >= inYear(from!, years) && +now < inYear(until!, years + (goesOver ? 1 : 0));
      });
    }
    const isOn = (day: Date) => !rule.days || rule.days.includes(((day.getUTCDay() + 6) % 7) + 1);
    const begin = rule.from ? minuteOf(rule.from) : 0;
    const end = rule.until ? minuteOf(rule.until) : 24 * 60;
    const yesterday = new Date(+now - 24 * 60 * 60_000);
    const length = end > begin ? end - begin : end + 24 * 60 - begin;
    return (
      (isOn(now) && minute(now) >= begin && minute(now) < begin + length) ||
      (isOn(yesterday) && minute(now) + 24 * 60 < begin + length)
    );
  });
}

describe("whether conditions hold", () => {
  it("is what another evaluator says, at any time", () => {
    // On the 29th of February the other evaluator begins a day later in other years.
    const noLeap = conditions.filter((all) => !JSON.stringify(all).includes("-02-29"));
    fc.assert(
      fc.property(noLeap, at, (all, clock) => {
        expect(holdsAt(all, clock)).toBe(bruteForce(all, clock));
      }),
      { numRuns: 2_000 },
    );
  });

  it.each([
    ["2026-12-30T09:00", true],
    ["2027-01-06T00:00", false],
    ["2031-12-24T00:00", true],
    ["2031-12-23T23:59", false],
  ])("every year over the turn of the year, at %s: %s", (clock, holds) => {
    const rule = { when: "dates", from: "2026-12-24T00:00", until: "2027-01-06T00:00", yearly: true } as const;
    expect(holdsAt([rule], clock)).toBe(holds);
  });

  it.each([
    ["2026-11-27T23:30", true],
    ["2026-11-28T01:59", true],
    ["2026-11-28T02:00", false],
    ["2026-11-28T23:30", false],
  ])("Friday night goes on past midnight, at %s: %s", (clock, holds) => {
    expect(holdsAt([{ when: "times", days: [5], from: "22:00", until: "02:00" }], clock)).toBe(holds);
  });
});

describe("when that changes", () => {
  it("is never before the time that is given, and nothing is left out", () => {
    fc.assert(
      fc.property(conditions, at, (all, clock) => {
        const next = nextChangeOf(all, clock);
        const from = Date.parse(`${clock}:00Z`);
        const to = next === undefined ? from + 40 * 48 * HALF_HOUR : Date.parse(`${next}:00Z`);
        expect(next === undefined || next > clock).toBe(true);
        const last = Math.min(to, from + 40 * 48 * HALF_HOUR);
        for (let m = from; m < last; m += HALF_HOUR) expect(holdsAt(all, clockOf(m))).toBe(holdsAt(all, clock));
      }),
      { numRuns: 300 },
    );
  });

  it("for good, or for the first time after, is said of a part as a whole", () => {
    fc.assert(
      fc.property(conditions, at, (all, clock) => {
        const { shows, until } = outlook(all, clock);
        expect(shows).toBe(holdsAt(all, clock));
        const from = Date.parse(`${clock}:00Z`);
        let first: string | undefined;
        for (let m = from; m < from + 60 * 48 * HALF_HOUR && !first; m += HALF_HOUR)
          if (holdsAt(all, clockOf(m)) !== shows) first = clockOf(m);
        if (first) expect(until).toBe(first);
        else if (until) expect(Date.parse(`${until}:00Z`)).toBeGreaterThanOrEqual(from + 60 * 48 * HALF_HOUR);
      }),
      { numRuns: 300 },
    );
  });

  it.each<readonly [string, readonly Condition[], string, ReturnType<typeof outlook>]>([
    [
      "what is over",
      [{ when: "dates", until: "2026-11-01T00:00" }],
      "2026-11-30T12:00",
      { shows: false, until: undefined },
    ],
    [
      "what goes on",
      [{ when: "dates", from: "2026-11-01T00:00" }],
      "2026-11-30T12:00",
      { shows: true, until: undefined },
    ],
    [
      "hours that begin years after",
      [
        { when: "dates", from: "2030-06-01T00:00" },
        { when: "times", days: [1], from: "09:00", until: "10:00" },
      ],
      "2026-11-30T12:00",
      { shows: false, until: "2030-06-03T09:00" },
    ],
    [
      "a leap day",
      [{ when: "dates", from: "2028-02-29T00:00", until: "2028-03-01T00:00", yearly: true }],
      "2028-03-01T00:00",
      { shows: false, until: "2032-02-29T00:00" },
    ],
    [
      "a weekday that the dates leave out",
      [
        { when: "dates", from: "2026-11-30T00:00", until: "2026-12-02T00:00" },
        { when: "times", days: [7] },
      ],
      "2026-11-30T12:00",
      { shows: false, until: undefined },
    ],
  ])("%s", (_what, all, clock, expected) => expect(outlook(all, clock)).toEqual(expected));
});

it.each<readonly [readonly Condition[], string]>([
  [[], "at any time"],
  [
    [{ when: "dates", from: "2026-10-24T00:00", until: "2026-11-04T18:30" }],
    "from 24 Oct 2026 until 4 Nov 2026, 18:30",
  ],
  [
    [{ when: "dates", from: "2026-10-24T00:00", until: "2026-11-04T00:00", yearly: true }],
    "every year from 24 Oct until the end of 3 Nov",
  ],
  [[{ when: "times", days: [5, 1], from: "09:00", until: "17:00" }], "on Mondays and Fridays, between 09:00 and 17:00"],
  [
    [
      { when: "dates", from: "2026-12-01T00:00" },
      { when: "times", days: [1, 2, 3, 4, 5] },
    ],
    "from 1 Dec 2026, on weekdays",
  ],
])("conditions are said in words: %j", (all, words) => expect(explain(all, BY_ID)).toBe(words));

it.each<readonly [unknown, RegExp]>([
  [[{ when: "dates", from: "2026-11-04T00:00", until: "2026-10-24T00:00" }], /before it begins/],
  [[{ when: "dates", from: "2026-10-24T00:00", yearly: true }], /begins and one it ends/],
  [[{ when: "dates", from: "2026-01-01T00:00", until: "2027-06-01T00:00", yearly: true }], /within the year/],
  [[{ when: "dates", from: "2026-02-30T00:00" }], /date and a time/],
  [[{ when: "times", days: [] }], /at least one day/],
  [[{ when: "times", from: "25:00" }], /time/],
  [
    [
      { when: "times", days: [1] },
      { when: "times", days: [2] },
    ],
    /one rule of each sort/,
  ],
])("what can't be is refused: %j", (all, why) => {
  const parsed = conditionsSchema.safeParse(all);
  expect(JSON.stringify(parsed.error?.issues)).toMatch(why);
});
