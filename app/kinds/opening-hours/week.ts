import { WEEK, type OpeningHours } from "~/core/document";
import type { OpeningHoursProps } from "./definition";

// A week as it is read, and what holds on one day. Days are ISO 8601, days of the week 1 (Monday) to 7, times minutes of a day.

export type Span = readonly [from: number, to: number];
export type Exception = OpeningHoursProps["exceptions"][number];

const DAY = 24 * 60;
const minutes = (time: string): number => Number(time.slice(0, -3)) * 60 + Number(time.slice(-2));

/** Minutes of a day as a clock shows them. */
export const clock = (at: number): string => {
  const of = ((at % DAY) + DAY) % DAY;
  return `${String(Math.floor(of / 60)).padStart(2, "0")}:${String(of % 60).padStart(2, "0")}`;
};

/** The day of the week of a day: 1 for Monday to 7 for Sunday, as in ISO 8601. */
export const weekdayOf = (day: string): number => new Date(`${day}T00:00:00Z`).getUTCDay() || 7;

/** The day that is `by` days later. */
const dayAfter = (day: string, by: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + by * DAY * 60_000).toISOString().slice(0, 10);

/** When it is open on a day of the week, earliest first; what goes on past midnight ends after the day does. */
export const spansOf = (hours: readonly OpeningHours[], weekday: number): readonly Span[] =>
  hours
    .filter(({ days }) => days.includes(weekday))
    .map(({ from, to }): Span => {
      const [start, end] = [minutes(from), minutes(to)];
      return [start, end > start ? end : end + DAY];
    })
    .sort(([a], [b]) => a - b);

/** What a week is like, day by day. */
export const weekOf = (hours: readonly OpeningHours[]): readonly { weekday: number; spans: readonly Span[] }[] =>
  WEEK.map((weekday) => ({ weekday, spans: spansOf(hours, weekday) }));

/** Days that are different and not over yet, the next one first; without a day to begin with, one says nothing. */
export const aheadOf = (exceptions: readonly Exception[], day: string): readonly (Exception & { index: number })[] =>
  exceptions
    .map((each, index) => ({ ...each, index }))
    .filter(({ from, to, text }) => from !== "" && text.trim() !== "" && (to || from) >= day)
    .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.index - b.index));

const exceptionOn = (exceptions: readonly Exception[], day: string): Exception | undefined =>
  aheadOf(exceptions, day).find(({ from }) => from <= day);

const TIMES = /(\d{1,2}:[0-5]\d)\s*(?:–|-|to)\s*(\d{1,2}:[0-5]\d)/g;

/** When it is open on one day: as ever on its day of the week, or at the times that what is different says; none: closed. */
function spansOn(day: string, hours: readonly OpeningHours[], exceptions: readonly Exception[]): readonly Span[] {
  const different = exceptionOn(exceptions, day);
  if (!different) return spansOf(hours, weekdayOf(day));
  const times = [...different.text.matchAll(TIMES)].map(([, from, to]) => ({
    days: [1],
    from: from!.padStart(5, "0"),
    to: to!.padStart(5, "0"),
  }));
  return spansOf(times, 1);
}

/** What is said of today, and when it is open, in minutes from the day's beginning; below 0 began yesterday. */
export function todayOf(
  day: string,
  hours: readonly OpeningHours[],
  exceptions: readonly Exception[],
): { readonly weekday: number; readonly different: string | undefined; readonly open: readonly Span[] } {
  const late = spansOn(dayAfter(day, -1), hours, exceptions)
    .map(([from, to]): Span => [from - DAY, to - DAY])
    .filter(([, to]) => to > 0);
  return {
    weekday: weekdayOf(day),
    different: exceptionOn(exceptions, day)?.text,
    open: [...late, ...spansOn(day, hours, exceptions)],
  };
}
