import fc from "fast-check";
import { DateTime } from "luxon";
import { describe, expect, it } from "vitest";
import { COUNT_DAYS, leftOf, momentsFrom, type CountTo } from ".";

const iso = (moments: readonly number[]) => moments.map((at) => new Date(at).toISOString().slice(0, 16));

describe("what is counted down to", () => {
  // Clocks in Dublin are put forward on 28 March and back on 31 October 2027 (tz database).
  it.each<readonly [string, CountTo, string, readonly string[]]>([
    ["a moment in winter", { to: "moment", at: "2026-12-24T18:00" }, "2026-12-01", ["2026-12-24T18:00"]],
    ["a moment in summer", { to: "moment", at: "2027-06-01T09:30" }, "2026-12-01", ["2027-06-01T08:30"]],
    ["a moment that is past", { to: "moment", at: "2026-11-30T23:59" }, "2026-12-01", []],
    ["nothing yet", { to: "moment", at: "" }, "2026-12-01", []],
    [
      "an hour on Sundays over the change of clocks",
      { to: "hour", days: "7", time: "15:00" },
      "2027-03-21",
      ["2027-03-21T15:00", "2027-03-28T14:00", "2027-04-04T14:00"],
    ],
  ])("is %s", (_what, count, day, moments) => {
    expect(iso(momentsFrom(count, day, "Europe/Dublin"))).toEqual(moments);
  });

  it("comes again at the same hour of the shop’s clocks, on the right days, as another library has it", () => {
    const zone = fc.constantFrom("Europe/Dublin", "America/New_York", "Pacific/Auckland", "Asia/Kolkata", "UTC");
    const day = fc.nat({ max: 730 }).map((n) => DateTime.utc(2026, 1, 1).plus({ days: n }).toISODate()!);
    fc.assert(
      fc.property(zone, day, fc.constantFrom(...COUNT_DAYS), (timeZone, from, days) => {
        const moments = momentsFrom({ to: "hour", days, time: "15:00" }, from, timeZone);
        const expected: number[] = [];
        for (let i = 0; i < 15; i++) {
          const at = DateTime.fromISO(`${from}T15:00`, { zone: timeZone }).plus({ days: i });
          const isOn = { every: true, weekdays: at.weekday < 6, saturdays: at.weekday < 7 }[days as "every"];
          if (isOn ?? at.weekday === Number(days)) expected.push(at.toMillis());
        }
        expect(moments).toEqual(expected);
      }),
      { numRuns: 300 },
    );
  });

  it.each([
    [0, [0, 0, 0, 0]],
    [-5_000, [0, 0, 0, 0]],
    [999, [0, 0, 0, 0]],
    [61_000, [0, 0, 1, 1]],
    [90_061_000, [1, 1, 1, 1]],
    [100 * 86_400_000 - 1, [99, 23, 59, 59]],
  ])("%i ms are %j", (ms, left) => expect(leftOf(ms)).toEqual(left));
});
