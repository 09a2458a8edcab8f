import { describe, expect, it } from "vitest";
import { aheadOf, clock, spansOf, todayOf, weekdayOf } from "./week";

const hours = [
  { days: [4, 5], from: "14:00", to: "18:00" },
  { days: [4, 5], from: "10:00", to: "13:00" },
  { days: [6], from: "20:00", to: "02:00" },
];

describe("a week of opening hours", () => {
  it("counts days as ISO 8601 does", () => {
    // ISO 8601 begins the week on Monday; 2000-01-01 was a Saturday, 2026-11-29 a Sunday (Gregorian calendar).
    expect(["2000-01-01", "2026-11-29", "2026-11-30"].map(weekdayOf)).toEqual([6, 7, 1]);
  });

  it("puts the times of a day in order; past midnight goes on after the day", () => {
    expect(spansOf(hours, 4)).toEqual([
      [600, 780],
      [840, 1080],
    ]);
    expect(spansOf(hours, 6)).toEqual([[1200, 1560]]);
    expect(spansOf(hours, 1)).toEqual([]);
    expect([600, 1560, -240].map(clock)).toEqual(["10:00", "02:00", "20:00"]);
  });

  it("knows what holds today: what began yesterday, and what is different", () => {
    // 2026-11-29 is a Sunday: open since Saturday, until two.
    expect(todayOf("2026-11-29", hours, [])).toEqual({ weekday: 7, different: undefined, open: [[-240, 120]] });
    const closed = [{ from: "2026-11-26", to: "", text: "Closed" }];
    expect(todayOf("2026-11-26", hours, closed)).toEqual({ weekday: 4, different: "Closed", open: [] });
    const short = [{ from: "2026-11-25", to: "2026-11-27", text: "Fair: 9:30–11:00" }];
    expect(todayOf("2026-11-27", hours, short).open).toEqual([[570, 660]]);
    expect(todayOf("2026-11-28", hours, short).different).toBeUndefined();
  });

  it("tells of days that are still to come, the next first", () => {
    const days = [
      { from: "2027-01-02", to: "", text: "Closed" },
      { from: "2026-12-24", to: "2026-12-26", text: "Closed" },
      { from: "2026-11-01", to: "", text: "Closed" },
      { from: "", to: "", text: "Closed" },
      { from: "2026-12-31", to: "", text: " " },
    ];
    expect(aheadOf(days, "2026-12-25").map((d) => d.from)).toEqual(["2026-12-24", "2027-01-02"]);
  });
});
