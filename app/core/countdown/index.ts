import { clockIn, DAY, momentIn } from "../situation";

// What time is counted down to: one moment, or an hour that comes again, such as the one at which the day's parcels leave.

/** The days on which an hour comes again, as fields offer them; "1" to "7": that day of the week, Monday first. */
export const COUNT_DAYS = ["every", "weekdays", "saturdays", "1", "2", "3", "4", "5", "6", "7"] as const;
export type CountDays = (typeof COUNT_DAYS)[number];

/** `at`: "2026-12-24T18:00"; empty: not said yet. `time`: "15:00". All by the shop's own clocks. */
export type CountTo =
  | { readonly to: "moment"; readonly at: string }
  | { readonly to: "hour"; readonly days: CountDays; readonly time: string };

const isOn = (days: CountDays, weekday: number): boolean =>
  days === "every" ||
  (days === "weekdays" && weekday <= 5) ||
  (days === "saturdays" && weekday <= 6) ||
  String(weekday) === days;

/** Days that are looked ahead: whichever day of the week it is, the hour comes twice. */
const DAYS_AHEAD = 15;

/** The day of the week, 1 for Monday to 7 for Sunday. */
const weekdayOf = (day: string): number => new Date(`${day}T00:00Z`).getUTCDay() || 7;

/**
 * The moments that are counted down to from the beginning of a day on, in ms since 1970, earliest first: one, or those of the next two weeks. A page
 * that is kept for a day can go on from one to the next by itself. None where the moment is past.
 */
export function momentsFrom(count: CountTo, day: string, timeZone: string): readonly number[] {
  if (count.to === "moment") {
    const at = count.at.slice(0, 10) >= day ? momentIn(count.at, timeZone) : undefined;
    return at === undefined ? [] : [at];
  }
  const noon = Date.parse(`${day}T12:00Z`);
  return Array.from({ length: DAYS_AHEAD }, (_, i) => clockIn(noon + i * DAY, "UTC").slice(0, 10)).flatMap((each) => {
    const at = isOn(count.days, weekdayOf(each)) ? momentIn(`${each}T${count.time}`, timeZone) : undefined;
    return at === undefined ? [] : [at];
  });
}

/** Days, hours, minutes and seconds that are left, each below the next larger one. Nothing is left after the moment. */
export function leftOf(ms: number): readonly [days: number, hours: number, minutes: number, seconds: number] {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  return [Math.floor(seconds / 86_400), Math.floor(seconds / 3_600) % 24, Math.floor(seconds / 60) % 60, seconds % 60];
}
