import { z } from "zod";
import { sameJson } from "../document";

// Rules of dates and hours. They are asked with the date and time that the shop's clocks show ("2026-12-01T09:00"), so that they
// hold the same hours whatever is done to clocks in spring and autumn.

/** Between two moments, or from one on, or until one; every year: between the same days of each year. `until` is the first moment after it. */
export type DateRule = {
  readonly when: "dates";
  readonly from?: string | undefined;
  readonly until?: string | undefined;
  readonly yearly?: true | undefined;
  readonly not?: true | undefined;
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
  readonly not?: true | undefined;
};
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

const not = z.literal(true).optional();

export const datesSchema = z
  .strictObject({ when: z.literal("dates"), from: clock, until: clock, yearly: z.literal(true).optional(), not })
  .refine(({ from, until }) => !from || !until || from < until, "It ends before it begins.")
  .refine(({ from, until, yearly }) => !yearly || (from && until), "Every year needs a day it begins and one it ends.")
  .refine(
    ({ from, until, yearly }) => !yearly || minutesOf(until!) - minutesOf(from!) < 365 * MINUTES,
    "Every year, it has to end within the year.",
  );
export const timesSchema = z.strictObject({
  when: z.literal("times"),
  days: z
    .array(z.number().int().min(1).max(7))
    .min(1, "Choose at least one day of the week.")
    .max(7)
    .refine((days) => new Set(days).size === days.length)
    .optional(),
  from: hour,
  until: hour,
  not,
});

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
  const minutes = Date.parse(`${at}:00Z`) / 60_000;
  const isOn = (m: number) => !days || days.includes(dayOfWeek(m));
  const now = at.slice(11);
  if (from < until || until === "00:00") return isOn(minutes) && from <= now && (until === "00:00" || now < until);
  if (from === until) return isOn(now < from ? minutes - MINUTES : minutes);
  return (isOn(minutes) && from <= now) || (isOn(minutes - MINUTES) && now < until);
}

/** Whether a rule of dates or hours holds when the shop's clocks show this. */
export const timeHolds = (rule: DateRule | TimeRule, at: string): boolean =>
  (rule.when === "dates" ? datesHold(rule, at) : timesHold(rule, at)) !== (rule.not === true);

/** Years that are looked into: the next 29 February is eight years ahead at most (1896 to 1904, 2096 to 2104). */
const YEARS_AHEAD = 9;

/** Moments after which a rule may hold otherwise than before: all of them for some days, or years, ahead. */
export function momentsOf(condition: DateRule | TimeRule, at: string): readonly string[] {
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

const DAYS = ["Mondays", "Tuesdays", "Wednesdays", "Thursdays", "Fridays", "Saturdays", "Sundays"];
export const listed = (words: readonly string[]): string =>
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

/** A clock so many days later, or earlier. */
export const clockPlus = (at: string, days: number): string => clockOf(minutesOf(at) + days * MINUTES);

/** The days of a week in words: "weekdays", "Mondays and Fridays". */
export function daysWords(days: readonly number[]): string {
  const sorted = days.toSorted((a, b) => a - b);
  if (sameJson(sorted, [1, 2, 3, 4, 5])) return "weekdays";
  if (sameJson(sorted, [6, 7])) return "weekends";
  return listed(sorted.map((day) => DAYS[day - 1]!));
}

/** A rule of dates or hours in words: "from 24 Oct 2026 until the end of 3 Nov 2026", "on weekdays, between 09:00 and 17:00"; empty where it says nothing. */
export function timeWords(each: DateRule | TimeRule): string {
  if (each.when === "dates") {
    const words = [
      each.from ? `from ${clockWords(each.from, !each.yearly)}` : "",
      each.until ? `until ${endWords(each.until, !each.yearly)}` : "",
    ].filter(Boolean);
    return words.length ? `${each.yearly ? "every year " : ""}${words.join(" ")}` : "";
  }
  const hours =
    each.from && each.until
      ? `between ${each.from} and ${each.until}`
      : each.from
        ? `from ${each.from} on`
        : each.until
          ? `until ${each.until}`
          : "";
  return [each.days && each.days.length < 7 ? `on ${daysWords(each.days)}` : "", hours].filter(Boolean).join(", ");
}
