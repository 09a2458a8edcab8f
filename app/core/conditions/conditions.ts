import { z } from "zod";
import { sameJson } from "../document";

// When a part of a page shows. A condition is plain data, asked with the date and time that the shop's clocks show
// ("2026-12-01T09:00"), so that it holds the same hours whatever is done to clocks in spring and autumn.

/** Between two moments, or from one on, or until one; every year: between the same days of each year. `until` is the first moment after it. */
export type DateRule = {
  readonly when: "dates";
  readonly from?: string | undefined;
  readonly until?: string | undefined;
  readonly yearly?: true | undefined;
};
/**
 * On days of the week, 1 for Monday to 7 for Sunday, and between hours of those days ("09:00"). Hours that end before they begin
 * go on past midnight, and belong to the day on which they begin.
 */
export type TimeRule = {
  readonly when: "times";
  readonly days?: readonly number[] | undefined;
  readonly from?: string | undefined;
  readonly until?: string | undefined;
};
export type Condition = DateRule | TimeRule;

const MINUTES = 24 * 60;

/** Minutes since 1970 of what a clock shows, as if there were no time zones; NaN where that is no date and time. */
function minutesOf(clock: string): number {
  const at = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(clock) ? Date.parse(`${clock}:00Z`) : Number.NaN;
  // A day such as 31 February is read as another one.
  return clockOf(at / 60_000) === clock ? at / 60_000 : Number.NaN;
}
const clockOf = (minutes: number): string =>
  Number.isFinite(minutes) ? new Date(minutes * 60_000).toISOString().slice(0, 16) : "";

const clock = z
  .string()
  .refine((text) => !Number.isNaN(minutesOf(text)), "Choose a date and a time.")
  .optional();
const hour = z
  .string()
  .regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "Choose a time.")
  .optional();

const dates = z
  .strictObject({ when: z.literal("dates"), from: clock, until: clock, yearly: z.literal(true).optional() })
  .refine(({ from, until }) => !from || !until || from < until, "It ends before it begins.")
  .refine(({ from, until, yearly }) => !yearly || (from && until), "Every year needs a day it begins and one it ends.")
  .refine(
    ({ from, until, yearly }) => !yearly || minutesOf(until!) - minutesOf(from!) < 365 * MINUTES,
    "Every year, it has to end within the year.",
  );
const times = z.strictObject({
  when: z.literal("times"),
  days: z
    .array(z.number().int().min(1).max(7))
    .min(1, "Choose at least one day of the week.")
    .max(7)
    .refine((days) => new Set(days).size === days.length)
    .optional(),
  from: hour,
  until: hour,
});

/** What has to hold for a part to show: all of it. At most one rule of each sort. */
export const conditionsSchema: z.ZodType<readonly Condition[]> = z
  .array(z.union([dates, times]))
  .max(2)
  .refine((all) => new Set(all.map((c) => c.when)).size === all.length, "There can be one rule of each sort.");

/** Within a year, of a clock: "12-01T09:00". */
const ofYear = (at: string): string => at.slice(5);

function datesHold({ from, until, yearly }: DateRule, at: string): boolean {
  if (!yearly || !from || !until) return (!from || from <= at) && (!until || at < until);
  const [begin, end, now] = [ofYear(from), ofYear(until), ofYear(at)];
  return begin < end ? begin <= now && now < end : begin <= now || now < end;
}

/** The day of the week, 1 for Monday, of minutes since 1970; the first of January 1970 was a Thursday. */
const dayOfWeek = (minutes: number): number => ((((Math.floor(minutes / MINUTES) + 3) % 7) + 7) % 7) + 1;

function timesHold({ days, from = "00:00", until = "00:00" }: TimeRule, at: string): boolean {
  const minutes = minutesOf(at);
  const isOn = (m: number) => !days || days.includes(dayOfWeek(m));
  const now = at.slice(11);
  if (from < until || until === "00:00") return isOn(minutes) && from <= now && (until === "00:00" || now < until);
  if (from === until) return isOn(now < from ? minutes - MINUTES : minutes);
  return (isOn(minutes) && from <= now) || (isOn(minutes - MINUTES) && now < until);
}

/** Whether all conditions hold when the shop's clocks show this. */
export const holdsAt = (conditions: readonly Condition[], at: string): boolean =>
  conditions.every((each) => (each.when === "dates" ? datesHold(each, at) : timesHold(each, at)));

/** Years that are looked into: the next 29 February is eight years ahead at most (1896 to 1904, 2096 to 2104). */
const YEARS_AHEAD = 9;

function momentsOf(condition: Condition, at: string): readonly string[] {
  const now = minutesOf(at);
  if (condition.when === "times") {
    const { from, until, days } = condition;
    // Midnight counts where a day begins or ends something.
    const midnight = days || !from || !until ? ["00:00"] : [];
    const hours = [...[from, until].filter((each) => each !== undefined), ...midnight];
    const today = Math.floor(now / MINUTES) * MINUTES;
    return Array.from({ length: 9 }, (_, i) => clockOf(today + i * MINUTES).slice(0, 10)).flatMap((day) =>
      hours.map((each) => `${day}T${each}`),
    );
  }
  const ends = [condition.from, condition.until].filter((end) => end !== undefined);
  if (!condition.yearly) return ends;
  const year = Number(at.slice(0, 4));
  return Array.from({ length: YEARS_AHEAD }, (_, i) => String(year + i).padStart(4, "0")).flatMap((y) =>
    ends.map((end) => {
      const moment = `${y}-${ofYear(end)}`;
      // A year without that day goes on with the next one.
      return Number.isNaN(minutesOf(moment)) ? `${y}-03-01T00:00` : moment;
    }),
  );
}

/** The next time, as the shop's clocks show it, at which conditions may begin or cease to hold; undefined where there is none. */
export function nextChangeOf(conditions: readonly Condition[], at: string): string | undefined {
  let next: string | undefined;
  for (const condition of conditions)
    for (const moment of momentsOf(condition, at)) if (moment > at && (!next || moment < next)) next = moment;
  return next;
}

/** Whether a part shows, and the next time at which that is otherwise. */
export type Outlook = {
  readonly shows: boolean;
  /** As the shop's clocks show it; undefined: it stays so. */
  readonly until: string | undefined;
};

/** So many moments are looked at before it is taken that a rule of hours never meets its dates: those of months, or of decades of one day a year. */
const MOST_MOMENTS = 400;

/** How a part with these conditions stands at a time, and until when. */
export function outlook(conditions: readonly Condition[], at: string): Outlook {
  const shows = holdsAt(conditions, at);
  const dated = conditions.find((c) => c.when === "dates");
  let now = at;
  for (let i = 0; i < MOST_MOMENTS; i++) {
    // Outside of its dates, hours decide nothing.
    const next = nextChangeOf(dated && !datesHold(dated, now) ? [dated] : conditions, now);
    if (next === undefined) break;
    if (holdsAt(conditions, next) !== shows) return { shows, until: next };
    now = next;
  }
  return { shows, until: undefined };
}

const DAYS = ["Mondays", "Tuesdays", "Wednesdays", "Thursdays", "Fridays", "Saturdays", "Sundays"];
const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;

/** A clock in words: "24 Oct 2026, 09:00", without its year where it is meant of each. */
export function clockWords(at: string, withYear = true): string {
  const day = new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "short",
    ...(withYear ? { year: "numeric" } : {}),
    timeZone: "UTC",
  }).format(minutesOf(at) * 60_000);
  const time = at.slice(11);
  return time === "00:00" ? day : `${day}, ${time}`;
}

/** The first moment after something in words: midnight is the end of the day before, "until 4 Nov" could mean either. */
export const endWords = (at: string, withYear = true): string =>
  at.endsWith("T00:00")
    ? `the end of ${clockWords(`${clockOf(minutesOf(at) - 1).slice(0, 10)}T00:00`, withYear)}`
    : clockWords(at, withYear);

/** The midnight after a day: where what is meant to last for that day ends. */
export const endOfDay = (day: string): string => clockOf(minutesOf(`${day}T00:00`) + MINUTES);

/** The days of a week in words: "weekdays", "Mondays and Fridays". */
export function daysWords(days: readonly number[]): string {
  const sorted = days.toSorted((a, b) => a - b);
  if (sameJson(sorted, [1, 2, 3, 4, 5])) return "weekdays";
  if (sameJson(sorted, [6, 7])) return "weekends";
  return listed(sorted.map((day) => DAYS[day - 1]!));
}

/** Conditions in words, to stand after "Shows": "from 24 Oct 2026 until the end of 3 Nov 2026, on weekdays, between 09:00 and 17:00". */
export function explain(conditions: readonly Condition[]): string {
  const parts = conditions.flatMap((each): readonly string[] => {
    if (each.when === "dates") {
      const words = [
        each.from ? `from ${clockWords(each.from, !each.yearly)}` : "",
        each.until ? `until ${endWords(each.until, !each.yearly)}` : "",
      ].filter(Boolean);
      return words.length ? [`${each.yearly ? "every year " : ""}${words.join(" ")}`] : [];
    }
    const hours =
      each.from && each.until
        ? `between ${each.from} and ${each.until}`
        : each.from
          ? `from ${each.from} on`
          : each.until
            ? `until ${each.until}`
            : "";
    return [...(each.days && each.days.length < 7 ? [`on ${daysWords(each.days)}`] : []), ...(hours ? [hours] : [])];
  });
  return parts.length ? parts.join(", ") : "at any time";
}
