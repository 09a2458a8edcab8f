import fc from "fast-check";
import { DateTime } from "luxon";
import { describe, expect, it } from "vitest";
import { clockIn, dayIn, daysBetween, dayOf, isTimeZone, momentIn, nextChange, nextDayStart, outcomeOf } from ".";

// Second opinion: luxon, over two whole years, in zones of both hemispheres, one without daylight saving, one whose days
// begin at one o'clock when clocks are put forward (Beirut), and the two ends of the world.
const ZONES = [
  "Europe/Dublin",
  "America/New_York",
  "Australia/Lord_Howe",
  "Asia/Kolkata",
  "Asia/Beirut",
  "Pacific/Kiritimati",
  "Pacific/Pago_Pago",
];
const [from, to] = [Date.UTC(2026, 0, 1), Date.UTC(2028, 0, 1)];
const moments = fc.integer({ min: from, max: to });

describe.each(ZONES)("days in %s", (zone) => {
  it("have times that are those of a reference library, both ways", () => {
    fc.assert(
      fc.property(moments, (asked) => {
        const moment = asked - (asked % 60_000);
        const there = DateTime.fromMillis(moment, { zone });
        const clock = there.toFormat("yyyy-MM-dd'T'HH:mm");
        expect(clockIn(moment, zone)).toBe(clock);
        // Of an hour that comes twice it is the first.
        const first = there
          .getPossibleOffsets()
          .map((each) => each.toMillis())
          .sort((a, b) => a - b)[0];
        expect(momentIn(clock, zone)).toBe(first);
      }),
      { seed: 4, numRuns: 300 },
    );
  });

  it("are those of a reference library, and so is where the next one begins", () => {
    fc.assert(
      fc.property(moments, (moment) => {
        const there = DateTime.fromMillis(moment, { zone });
        expect(dayIn(moment, zone)).toBe(there.toISODate());
        expect(nextDayStart(moment, zone)).toBe(there.plus({ days: 1 }).startOf("day").toMillis());
      }),
      { seed: 3, numRuns: 300 },
    );
  });

  it("follow each other without a gap over two years, whatever clocks do", () => {
    let [moment, days] = [nextDayStart(from, zone), 0];
    for (; moment < to; days++) {
      const next = nextDayStart(moment, zone);
      expect(daysBetween(dayIn(moment, zone), dayIn(next, zone))).toBe(1);
      expect(dayIn(next - 1, zone)).toBe(dayIn(moment, zone));
      expect((next - moment) / 3_600_000).toBeGreaterThan(22);
      moment = next;
    }
    // The first of them may begin on the second of January.
    expect(days).toBeGreaterThanOrEqual(729);
  });
});

it("knows which time zones there are", () => {
  expect(ZONES.every(isTimeZone)).toBe(true);
  expect(["", "Atlantis/Harbour", "<script>"].some(isTimeZone)).toBe(false);
});

it("what depends on the day has an outcome for each, until midnight in the shop's own zone", () => {
  const zone = "America/New_York";
  const evening = Date.parse("2026-11-27T23:30:00-05:00");
  const at = (now: number) => ({ now, timeZone: zone });
  // It is tomorrow in Greenwich already.
  expect(new Date(evening).toISOString().slice(0, 10)).toBe("2026-11-28");
  expect(dayOf(at(evening))).toEqual({ day: "2026-11-27", timeZone: zone });
  expect(outcomeOf(at(evening), { day: true })).toBe("2026-11-27");
  const midnight = nextChange(at(evening), { day: true });
  expect(new Date(midnight).toISOString()).toBe("2026-11-28T05:00:00.000Z");
  expect(outcomeOf(at(midnight), { day: true })).toBe("2026-11-28");
  expect([outcomeOf(at(evening), { day: false }), nextChange(at(evening), { day: false })]).toEqual(["", Infinity]);
});

describe("a date and time that clocks show", () => {
  it("is the moment of the change where clocks are put forward over it, and the first of two where they are put back", () => {
    // In 2026, clocks in Dublin go forward at 01:00 UTC on 29 March, and back at 01:00 UTC on 25 October (IANA time zone database).
    expect(momentIn("2026-03-29T01:30", "Europe/Dublin")).toBe(Date.UTC(2026, 2, 29, 1, 0));
    expect(momentIn("2026-10-25T01:30", "Europe/Dublin")).toBe(Date.UTC(2026, 9, 25, 0, 30));
  });

  it("is none where it is no date and time", () => {
    for (const clock of [
      "",
      "2026-02-31T10:00",
      "2026-11-27",
      "2026-11-27T25:00",
      "27.11.2026 10:00",
      "2026-11-27T10:00:00",
    ])
      expect([clock, momentIn(clock, "Europe/Dublin")]).toEqual([clock, undefined]);
  });
});
