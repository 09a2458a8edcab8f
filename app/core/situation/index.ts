import { clockIn, dayIn, nextDayStart } from "./calendar";

export { clockIn, DAY, dayIn, daysBetween, isTimeZone, momentIn, nextDayStart } from "./calendar";

/** The page that is drawn: of which sort, and by its ids which one it is and what it shows. */
export type PageShown = {
  readonly sort: string;
  readonly page?: string;
  readonly product?: string;
  readonly collection?: string;
};

/** Who looks at it. A visit is over after half an hour in which nothing was asked for. */
export type Visitor = {
  /** Which visit it is, from 1 on. */
  readonly visits: number;
  /** What the link said by which somebody came; empty: nothing. */
  readonly by: string;
  /** Whether they have signed up for letters from here. */
  readonly isSubscribed: boolean;
  /** Whether they are signed in to an account of the shop. */
  readonly isSignedIn: boolean;
  /** Whether they have bought something here before. */
  readonly hasBought: boolean;
};

/** What lies in the cart of who looks. */
export type InCart = {
  /** Pieces. */
  readonly count: number;
  /** In minor units of the shop's currency. */
  readonly worth: number;
  /** Ids. */
  readonly products: readonly string[];
  /** What lies in it, by ids; absent where only the above is pretended. */
  readonly lines?: readonly { readonly product: string; readonly variant: string | null; readonly count: number }[];
};

/** What is known of one shopper: with it, a page is drawn for them alone. */
export type Person = {
  readonly visitor: Visitor;
  readonly cart: InCart;
  /** By its code of two letters (ISO 3166-1); empty: not known. */
  readonly country: string;
};

/** Somebody who is here for the first time, with nothing in the cart yet. */
export const FIRST_VISIT: Person = {
  visitor: { visits: 1, by: "", isSubscribed: false, isSignedIn: false, hasBought: false },
  cart: { count: 0, worth: 0, products: [] },
  country: "",
};

/**
 * What decides how a page looks besides what the seller made: it is handed to whatever draws or decides, in panes and in the
 * shop alike. Core, kinds and render never read a clock, an address or a cookie.
 */
export type Situation = {
  /** ms since 1970. */
  readonly now: number;
  /** The shop's own, as an IANA name. */
  readonly timeZone: string;
  /** Absent: what is asked holds for more than one page, or one shopper. */
  readonly page?: PageShown;
  readonly person?: Person;
  /** What whoever looks has closed, by the names of what it said. */
  readonly closed?: readonly string[];
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
