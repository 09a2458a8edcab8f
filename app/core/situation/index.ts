import { clockIn, dayIn, nextDayStart } from "./calendar";

export { clockIn, DAY, dayIn, daysBetween, isTimeZone, momentIn, nextDayStart } from "./calendar";

/**
 * What decides how a page looks besides what the seller made: it is handed to whatever draws or decides, in panes and in the
 * shop alike. Core, kinds and render never read a clock. What else may be asked (device, visitor, cart, country) joins it here
 * with the first thing that asks.
 */
export type Situation = {
  /** ms since 1970. */
  readonly now: number;
  /** The shop's own, as an IANA name. */
  readonly timeZone: string;
};

/** Date and time that clocks of the shop show: "2026-11-28T09:00". */
export const clockOf = ({ now, timeZone }: Situation): string => clockIn(now, timeZone);

/** A day in a time zone: what goods are looked at as of. */
export type OnDay = { readonly day: string; readonly timeZone: string };

export const dayOf = ({ now, timeZone }: Situation): OnDay => ({ day: dayIn(now, timeZone), timeZone });

/** What of a situation something depends on. */
export type Axes = { readonly day: boolean };

/**
 * How a situation looks to something that depends on these axes: two situations with the same outcome look alike. A page
 * is kept under its outcome, so that it is drawn once for each way it can look.
 */
export const outcomeOf = (situation: Situation, axes: Axes): string => (axes.day ? dayOf(situation).day : "");

/** When the outcome may next be another one, in ms since 1970; Infinity where it stays as it is. */
export const nextChange = (situation: Situation, axes: Axes): number =>
  axes.day ? nextDayStart(situation.now, situation.timeZone) : Infinity;
