import type { DateRule } from "../conditions";
import { isGoal, type Goal, type Offer } from "../offers";
import type { OfferFact } from "./names";

/** How a shop writes numbers, days and money: as its shoppers read them. */
export type Writing = {
  /** A BCP 47 locale. */
  readonly locale: string;
  readonly money: (amount: number) => string;
};

/** So much of a goal, its whole or what is still to go: an amount, or pieces. */
export const goalWords = ({ by }: Pick<Goal, "by">, much: number, { locale, money }: Writing): string =>
  by === "worth" ? money(much) : new Intl.NumberFormat(locale).format(much);

/** What is taken off, in hundredths of a percent; of steps the most. Undefined where it is not said in percent. */
function percentOf({ gives }: Offer): number | undefined {
  if (gives.sort === "percent") return gives.off;
  if (gives.sort === "steps") return gives.steps.at(-1)!.off;
  // Free delivery is not called a discount of a hundred percent.
  return gives.sort === "delivery" && gives.off !== null && gives.off < 10_000 ? gives.off : undefined;
}

const amountOf = ({ gives }: Offer): number | undefined =>
  gives.sort === "amount" ? gives.amount : gives.sort === "delivery" ? (gives.amount ?? undefined) : undefined;

/** From how many pieces on it holds. */
function countOf({ gives, fromCount }: Offer): number | undefined {
  if (fromCount > 1) return fromCount;
  if (gives.sort === "bundle") return gives.take;
  return gives.sort === "steps" ? gives.steps[0]!.from : undefined;
}

/** When it holds in any case; dates of which one of several is enough say nothing by themselves. */
const datesOf = ({ conditions }: Offer): DateRule | undefined =>
  conditions.find((rule): rule is DateRule => rule.when === "dates" && !rule.not);

/** A moment as the shop's clocks show it, in words: a midnight at which something ends is the day before it. */
function momentWords(clock: string, locale: string, isEnd: boolean): string {
  const isDay = clock.endsWith("T00:00");
  const at = Date.parse(`${clock}:00Z`) - (isDay && isEnd ? 60_000 : 0);
  return new Intl.DateTimeFormat(locale, {
    day: "numeric",
    month: "long",
    ...(isDay ? {} : { hour: "2-digit", minute: "2-digit" }),
    timeZone: "UTC",
  }).format(at);
}

/** Hundredths of a percent as shoppers of a shop read them. */
export const percentWords = (hundredths: number, locale: string): string =>
  new Intl.NumberFormat(locale, { style: "percent", maximumFractionDigits: 2 }).format(hundredths / 10_000);

/**
 * What an offer says of itself, as shoppers read it; undefined where it has no such fact. What is still to go is not the offer's to
 * say: that depends on a cart.
 */
export function factOf(offer: Offer, fact: OfferFact, { locale, money }: Writing): string | undefined {
  switch (fact) {
    case "name":
      return offer.name;
    case "percent": {
      const off = percentOf(offer);
      return off === undefined ? undefined : percentWords(off, locale);
    }
    case "amount": {
      const off = amountOf(offer);
      return off === undefined ? undefined : money(off);
    }
    case "price":
      return offer.gives.sort === "price" ? money(offer.gives.price) : undefined;
    case "code":
      return offer.code || undefined;
    case "starts": {
      const from = datesOf(offer)?.from;
      return from && momentWords(from, locale, false);
    }
    case "ends": {
      const until = datesOf(offer)?.until;
      return until && momentWords(until, locale, true);
    }
    case "goal":
      return offer.fromWorth > 0 ? money(offer.fromWorth) : undefined;
    case "count": {
      const count = countOf(offer);
      return count === undefined ? undefined : new Intl.NumberFormat(locale).format(count);
    }
    case "to-go":
      return undefined;
  }
}

const PLAIN: Writing = { locale: "en-GB", money: String };

/** Whether an offer has such a fact. */
export const saysFact = (offer: Offer, fact: OfferFact): boolean =>
  fact === "to-go" ? isGoal(offer) : factOf(offer, fact, PLAIN) !== undefined;
