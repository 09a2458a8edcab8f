import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { DateRule } from "../conditions";
import { emptyDocument, type Draft, type Json, type Part } from "../document";
import { contentWith } from "~/render/fixtures/content";
import { documentProblem } from "~/kinds/documents";
import {
  followed,
  inYears,
  liesWithin,
  overlap,
  seasonsOf,
  wornAt,
  wornOn,
  yearsAhead,
  yearsLater,
  type SeasonDates,
} from ".";

const { draft: empty } = contentWith([]);
const dates = (from: string, until: string, more: Pick<DateRule, "yearly"> = {}): SeasonDates => ({
  when: "dates",
  from: `${from}T00:00`,
  until: `${until}T00:00`,
  ...more,
});
const look = (name: string) => ({ name, theme: "pomelo", brand: { colour: "#112233" } });

function season(id: string, rule: DateRule, props: Readonly<Record<string, unknown>> = {}) {
  const document = emptyDocument(2, "season", id, id, props as Part["props"]);
  return { ...document, root: { ...document.root, conditions: [rule] as unknown as readonly Json[] } };
}
const shop = (...seasons: readonly ReturnType<typeof season>[]): Draft => ({
  ...empty,
  documents: { ...empty.documents, ...Object.fromEntries(seasons.map((each) => [each.id, each])) },
});

describe("the look of a season", () => {
  const draft = shop(
    season("autumn", dates("2026-10-24", "2026-12-16"), { look: look("Leaves") }),
    season("gifts", dates("2026-12-01", "2026-12-25"), { look: look("Gifts") }),
    season("turn", dates("2026-12-27", "2027-01-06", { yearly: true }), { look: look("New year") }),
    season("off", dates("2026-12-02", "2026-12-03"), { look: look("Never"), off: true }),
    season("plain", dates("2026-12-04", "2026-12-05")),
  );
  const wears = (clock: string) => wornAt(draft.documents, clock)?.look?.name;

  it("is worn between its dates, that of the season which began last", () => {
    expect(wears("2026-10-23T23:59")).toBeUndefined();
    expect(wears("2026-10-24T00:00")).toBe("Leaves");
    expect(wears("2026-12-02T12:00")).toBe("Gifts");
    expect(wears("2026-12-04T12:00")).toBe("Gifts");
    expect(wears("2026-12-25T00:00")).toBeUndefined();
  });

  it("is worn every year, over the end of one as well", () => {
    for (const clock of ["2026-12-31T12:00", "2027-01-05T23:59", "2031-12-27T00:00"])
      expect(wears(clock)).toBe("New year");
    expect(wears("2027-01-06T00:00")).toBeUndefined();
  });

  it("changes nothing but theme and brand, and gives the same draft each time", () => {
    const worn = wornOn(draft, "2026-11-01T00:00");
    expect(worn.look).toEqual({ ...draft.look, theme: "pomelo", brand: { colour: "#112233" } });
    expect(worn.documents).toBe(draft.documents);
    expect(wornOn(draft, "2026-11-02T00:00")).toBe(worn);
    expect(wornOn(draft, "2026-10-01T00:00")).toBe(draft);
  });

  it("can't be read where it makes no sense, and then wears nothing", () => {
    const broken = season("broken", dates("2026-10-01", "2026-11-01"), { look: look("X"), members: "all" });
    expect(seasonsOf(shop(broken).documents)).toEqual([]);
    expect(documentProblem(broken)).toBeDefined();
    const endless = season("endless", { when: "dates", from: "2026-10-01T00:00" });
    expect(documentProblem(endless)).toBe("A season needs a day it begins and one it ends.");
    const wild = season("wild", dates("2026-10-01", "2026-11-01"), {
      look: { ...look("X"), brand: { colour: "red;}</style>" } },
    });
    expect(documentProblem(wild)).toBeDefined();
    expect(wornAt(shop(wild).documents, "2026-10-02T00:00")).toBeUndefined();
  });
});

describe("dates that belong to a season", () => {
  const was = dates("2026-10-24", "2026-11-04");

  it("are moved by as many days where it is, and keep what they had of their own", () => {
    const early: DateRule = { when: "dates", from: "2026-10-22T09:30", until: was.until };
    expect(followed(early, was, dates("2026-10-26", "2026-11-06"))).toEqual({
      when: "dates",
      from: "2026-10-24T09:30",
      until: "2026-11-06T00:00",
    });
  });

  it("begin and end with it where they did, when it is lengthened", () => {
    const next = dates("2026-10-24", "2026-11-20");
    expect(followed(was, was, next)).toEqual(next);
    const short: DateRule = { when: "dates", from: was.from, until: "2026-10-30T00:00" };
    expect(followed(short, was, next)).toEqual(short);
  });

  it("come every year once it does", () => {
    expect(followed(was, was, { ...was, yearly: true })).toEqual({ ...was, yearly: true });
    expect(followed({ when: "dates", from: was.from }, was, { ...was, yearly: true })).toEqual({
      when: "dates",
      from: was.from,
    });
    expect(followed({ ...was, yearly: true }, { ...was, yearly: true }, was)).toEqual(was);
  });

  it("go back to where they were when it does", () => {
    const day = fc
      .integer({ min: 0, max: 300 })
      .map((n) => new Date(Date.UTC(2026, 0, 1 + n)).toISOString().slice(0, 10));
    fc.assert(
      fc.property(day, fc.integer({ min: 1, max: 60 }), fc.integer({ min: -200, max: 200 }), (from, length, days) => {
        const moved = (by: number) => {
          const at = (n: number) => new Date(Date.parse(`${from}T00:00Z`) + n * 86_400_000).toISOString().slice(0, 10);
          return dates(at(by), at(by + length));
        };
        const rule: DateRule = { when: "dates", from: `${from}T08:15` };
        expect(followed(followed(rule, moved(0), moved(days)), moved(days), moved(0))).toEqual(rule);
      }),
    );
  });

  it.each([
    ["2026-10-24T00:00", 1, "2027-10-24T00:00"],
    ["2028-02-29T09:00", 1, "2029-02-28T09:00"],
    ["2028-02-29T09:00", 4, "2032-02-29T09:00"],
    // A year that can be divided by 100 has none, unless it can be by 400.
    ["2096-02-29T09:00", 4, "2100-02-28T09:00"],
  ])("%s is, %s years later, %s", (clock, years, later) => expect(yearsLater(clock, years)).toBe(later));

  it.each([
    ["2026-10-23T12:00", 1],
    ["2026-10-25T12:00", 1],
    ["2027-10-24T00:00", 2],
    ["2030-01-01T00:00", 4],
  ])("come next, after %s, in %s years", (clock, years) => expect(yearsAhead(was, clock)).toBe(years));

  it("are of another year once, although they came every year", () =>
    expect(inYears({ ...was, yearly: true }, 1)).toEqual(dates("2027-10-24", "2027-11-04")));

  it("lie within it, or don't", () => {
    const now = "2026-10-01T00:00";
    expect(liesWithin(was, was, now)).toBe(true);
    expect(liesWithin({ when: "dates", from: was.from }, was, now)).toBe(false);
    expect(liesWithin(dates("2026-10-23", "2026-11-01"), was, now)).toBe(false);
    expect(liesWithin(was, { when: "dates", until: "2026-11-04T00:00" }, now)).toBe(true);
    expect(liesWithin(was, undefined, now)).toBe(true);
    // What is over does not matter any more.
    expect(liesWithin(dates("2026-10-23", "2026-11-01"), was, "2026-12-01T00:00")).toBe(true);
    expect(overlap(was, dates("2026-11-03", "2026-11-05"), now)).toBe(true);
    expect(overlap(was, dates("2026-11-04", "2026-11-05"), now)).toBe(false);
    expect(overlap(was, dates("2020-11-01", "2020-11-05", { yearly: true }), now)).toBe(true);
  });
});
