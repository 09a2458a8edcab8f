import { clockPlus, movedDates, spansOf, type DateRule } from "../conditions";
import type { SeasonDates } from "./season";

// Dates that follow those of their season.

const dayOf = (clock: string): number => Date.parse(`${clock.slice(0, 10)}T00:00Z`) / 86_400_000;

/** By how many days both dates were moved, if they were moved by as many. */
function shiftOf(was: SeasonDates, next: SeasonDates): number | undefined {
  const days = dayOf(next.from) - dayOf(was.from);
  return clockPlus(was.from, days) === next.from && clockPlus(was.until, days) === next.until ? days : undefined;
}

/**
 * What becomes of the dates of something that belongs to a season when the season's change. Where both were moved by as many days, it
 * is moved by them too; else what began or ended with the season still does, and the rest stays.
 */
export function followed(rule: DateRule, was: SeasonDates, next: SeasonDates): DateRule {
  const { yearly: _was, ...dates } = rule;
  const yearly = Boolean(rule.yearly) === Boolean(was.yearly) ? next.yearly : rule.yearly;
  const put = (moved: DateRule): DateRule => (yearly && moved.from && moved.until ? { ...moved, yearly: true } : moved);
  const shift = shiftOf(was, next);
  if (shift !== undefined) return put(movedDates(dates, shift, "both"));
  return put({
    ...dates,
    ...(rule.from === was.from ? { from: next.from } : {}),
    ...(rule.until === was.until ? { until: next.until } : {}),
  });
}

const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

/** The same day of another year; of 29 February, where that year has none, the day before. */
export function yearsLater(clock: string, years: number): string {
  const year = Number(clock.slice(0, 4)) + years;
  const rest = clock.slice(5, 10) === "02-29" && !isLeap(year) ? `02-28${clock.slice(10)}` : clock.slice(5);
  return `${String(year).padStart(4, "0")}-${rest}`;
}

/** Dates of another year, once: what came every year does so no more. */
export const inYears = ({ yearly: _each, ...rule }: DateRule, years: number): DateRule => ({
  ...rule,
  ...(rule.from ? { from: yearsLater(rule.from, years) } : {}),
  ...(rule.until ? { until: yearsLater(rule.until, years) } : {}),
});

/** In how many years dates that were once begin next, after a time: one at least. */
export function yearsAhead({ from }: SeasonDates, clock: string): number {
  for (let years = 1; ; years++) if (yearsLater(from, years) > clock) return years;
}

/** So many days are looked through to see whether dates lie within others: a year, and what goes over its end. */
const DAYS = 800;

/** Whether something shows only while others' dates hold, between a moment and two years later. */
export function liesWithin(rule: DateRule, outer: DateRule | undefined, clock: string): boolean {
  if (!outer) return true;
  const end = clockPlus(clock, DAYS);
  const around = spansOf(outer, clock, end);
  return spansOf(rule, clock, end).every((span) =>
    around.some((other) => other.from <= span.from && span.until <= other.until),
  );
}

/** Whether two dates have a moment in common from now on. */
export function overlap(a: DateRule, b: DateRule, clock: string): boolean {
  const end = clockPlus(clock, DAYS);
  const others = spansOf(b, clock, end);
  return spansOf(a, clock, end).some((span) => others.some((o) => o.from < span.until && span.from < o.until));
}
