// Days as a shop has them: in its own time zone, whatever the clock of the machine says. Time zones are IANA names, days are
// written as in ISO 8601 ("2026-11-27"), moments are ms since 1970.

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
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

const clocks = new Map<string, Intl.DateTimeFormat>();

function clockFor(timeZone: string): Intl.DateTimeFormat {
  let clock = clocks.get(timeZone);
  if (!clock) {
    clock = new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short", timeStyle: "short" });
    clocks.set(timeZone, clock);
  }
  return clock;
}

/** Date and time at a moment in a time zone, as fields for both write it: "2026-11-27T09:30". */
export const clockIn = (moment: number, timeZone: string): string =>
  clockFor(timeZone).format(moment).replace(" ", "T");

/**
 * The moment at which clocks in a time zone show a date and time, "2026-11-27T09:30". Of a time that comes twice, as clocks are put
 * back, the first; for one that is left out, as they are put forward, the moment of the change. Undefined where it is no date and time.
 */
export function momentIn(clock: string, timeZone: string): number | undefined {
  const asUtc = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(clock) ? Date.parse(`${clock}:00Z`) : Number.NaN;
  // A day such as 31 February is read as another one.
  if (Number.isNaN(asUtc) || clockIn(asUtc, "UTC") !== clock) return undefined;
  // No zone is further from UTC than that.
  let [before, after] = [asUtc - 15 * HOUR, asUtc + 15 * HOUR];
  // What clocks show grows with the moment, but for the hour that comes twice; of that, the first is found.
  while (after - before > MINUTE) {
    const middle = before + Math.floor((after - before) / (2 * MINUTE)) * MINUTE;
    if (reached(middle, clock, timeZone)) after = middle;
    else before = middle;
  }
  return after;
}

/** Whether clocks have shown a time already, at this moment or in the hours before it. */
const reached = (moment: number, clock: string, timeZone: string): boolean =>
  [0, HOUR, 2 * HOUR].some((ago) => clockIn(moment - ago, timeZone) >= clock);
