import type { Offer } from "../offers";
import { saysFact } from "./facts";
import {
  isOfOffer,
  LIVE_NAMES,
  OFFER_FACT_NAMES,
  OFFER_FACTS,
  type Live,
  type LiveField,
  type OfferFact,
} from "./names";

// Facts in words. They are stored by the id of their offer, `{percent:k2h8}`, so that an offer can be called otherwise; sellers type and read
// them by its name, `{percent of Autumn sale}`.

const SHOP = LIVE_NAMES.join("|");
const OFFER = OFFER_FACT_NAMES.join("|");
const STORED = new RegExp(`\\{(?:(${SHOP})|(${OFFER}):([\\w-]{1,40}))\\}`, "g");
/** What is meant as a fact, as it is typed; also one that belongs to no offer that there is. */
const TYPED = new RegExp(`\\{ *(${OFFER})(?: +of +([^{}]{1,100}?))? *\\}`, "gi");

/** What stands between the facts of a text, and the facts, in order. */
export function piecesOf(text: string): readonly (string | Live)[] {
  const pieces: (string | Live)[] = [];
  let at = 0;
  for (const match of text.matchAll(STORED)) {
    if (match.index > at) pieces.push(text.slice(at, match.index));
    const [whole, shop, fact, offer] = match;
    pieces.push(shop ? { field: shop as LiveField } : { field: fact as OfferFact, offer: offer! });
    at = match.index + whole.length;
  }
  if (at < text.length) pieces.push(text.slice(at));
  return pieces;
}

/** One that was begun, and not ended before another begins or the text is over. */
const BEGUN = new RegExp(`\\{ *(?:${OFFER})\\b[^{}]*(?:\\{|$)`, "i");

/** Whether it names a fact of no offer that there was when it was written, or begins to: shoppers must not read that. */
export const isUnbound = (text: string): boolean => text.includes("{") && (text.search(TYPED) >= 0 || BEGUN.test(text));

/** A fact as it is stored within a text. */
export const storedLive = (live: Live): string =>
  isOfOffer(live) ? `{${live.field}:${live.offer}}` : `{${live.field}}`;

/** A text with its facts put in. `say`: what one says, undefined where it can't be said; then it stands there by its name in braces. */
export const filledText = (text: string, say: (live: Live) => string | undefined): string =>
  text.includes("{")
    ? piecesOf(text)
        .map((piece) => (typeof piece === "string" ? piece : (say(piece) ?? `{${piece.field}}`)))
        .join("")
    : text;

const named = (offers: readonly Offer[], name: string): readonly Offer[] =>
  offers.filter((offer) => offer.name.toLowerCase() === name.trim().toLowerCase());

/** A text with its facts by their names alone, "{percent}", where it is only to be recognised. */
export const shortened = (text: string): string => filledText(text, () => undefined);

/** A text as sellers read and type it: facts by the names of their offers. */
export const asTyped = (text: string, offers: readonly Offer[]): string =>
  text.includes("{")
    ? piecesOf(text)
        .map((piece) => {
          if (typeof piece === "string") return piece;
          if (!isOfOffer(piece)) return `{${piece.field}}`;
          const name = offers.find(({ id }) => id === piece.offer)?.name;
          const isClear = name !== undefined && !/[{}]/.test(name) && named(offers, name).length === 1;
          return isClear ? `{${piece.field} of ${name}}` : storedLive(piece);
        })
        .join("")
    : text;

export type Bound = {
  readonly text: string;
  /** What is wrong with a fact in it; the text keeps that as it was typed. */ readonly why?: string;
};

/**
 * A text as it is stored, of one that was typed. A fact without a name is that of the one offer that has it. `own`: facts that the part itself
 * says, without an offer.
 */
export function fromTyped(typed: string, offers: readonly Offer[], own: readonly string[] = []): Bound {
  if (!typed.includes("{")) return { text: typed };
  let why: string | undefined;
  const text = typed.replace(TYPED, (whole: string, given: string, name: string | undefined) => {
    const fact = given.toLowerCase() as OfferFact;
    if (name === undefined && own.includes(fact)) return `{${fact}}`;
    const all = name === undefined ? offers.filter((offer) => saysFact(offer, fact)) : named(offers, name);
    const [offer, another] = all;
    const words = OFFER_FACTS[fact].toLowerCase();
    if (!offer)
      why ??=
        name === undefined
          ? `No offer says “${words}”. Make one in Offers first.`
          : `There is no offer called “${name.trim()}”.`;
    else if (another) why ??= `Several offers say “${words}”. Say which: {${fact} of ${offer.name}}`;
    else if (!saysFact(offer, fact)) why ??= `“${offer.name}” has nothing to say of “${words}”.`;
    else return storedLive({ field: fact, offer: offer.id });
    return whole;
  });
  return why === undefined ? { text } : { text, why };
}
