// Days as a shop has them: in its own time zone, whatever the clock of the machine says. Time zones are IANA names, days are
// written as in ISO 8601 ("2026-11-27"), moments are ms since 1970.

const HOUR = 3_600_000;
export const DAY = 24 * HOUR;

// Making a formatter takes far longer than using it; there are about 400 zones.
const writers = new Map<string, Intl.DateTimeFormat>();

function writerFor(timeZone: string): Intl.DateTimeFormat {
  let writer = writers.get(timeZone);
  if (!writer) {
    // Of the locales that every engine has, Swedish writes the date as ISO 8601 does.
    writer = new Intl.DateTimeFormat("sv-SE", { timeZone, year: "numeric", month: "2-digit", day: "2-digit" });
    writers.set(timeZone, writer);
  }
  return writer;
}

/** Whether there is such a time zone. */
export function isTimeZone(name: string): boolean {
  try {
    writerFor(name);
    return true;
  } catch {
    return false;
  }
}

/** The day that it is at a moment in a time zone. @throws RangeError for a time zone that there is not */
export const dayIn = (moment: number, timeZone: string): string => writerFor(timeZone).format(moment);

/** How many days lie between two days; negative where the second is the earlier one. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY);

/**
 * The first moment of the next day in a time zone. Days have 23, 24 or 25 hours where clocks are put forward or back, and
 * some begin at one o'clock; so it is searched for and not computed.
 */
export function nextDayStart(moment: number, timeZone: string): number {
  const today = dayIn(moment, timeZone);
  let [before, after] = [moment, moment + 26 * HOUR];
  // Where a whole day was left out of the calendar, it is further off.
  while (dayIn(after, timeZone) === today) after += DAY;
  while (after - before > 1) {
    const middle = Math.floor((before + after) / 2);
    if (dayIn(middle, timeZone) === today) before = middle;
    else after = middle;
  }
  return after;
}
