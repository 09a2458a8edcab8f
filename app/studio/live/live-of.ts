import {
  fromTyped,
  isOfOffer,
  LIVE_FIELDS,
  LIVE_NAMES,
  OFFER_FACT_NAMES,
  OFFER_FACTS,
  piecesOf,
  saysFact,
  type Live,
} from "~/core/live";
import { offersOf, type Offer } from "~/core/offers";
import { liveFacts } from "~/render";
import { useStudio, type StudioStore } from "../keeping";

type State = ReturnType<StudioStore["getState"]>;

/** The offers of a shop: the same list for as long as none of them changes, whatever else is written. */
export const useOffers = (): readonly Offer[] => useStudio((s) => offersOf(s.draft.documents));

/** Facts that words can be filled with, by what they are of. */
export type LiveGroup = {
  readonly id: string;
  readonly name: string;
  readonly facts: readonly { readonly live: Live; readonly label: string; readonly said: string }[];
};

export type LiveOfShop = {
  readonly say: (live: Live) => string | undefined;
  /** "Percent off, Autumn sale". */
  readonly nameOf: (live: Live) => string;
  /** The fact that is meant by what was typed in braces, why that is not clear, or undefined: it means none. */
  readonly meant: (typed: string) => Live | string | undefined;
};

/** What facts in words say in the shop that is worked on, as of a state of it. */
export function liveOf({ draft: { documents, look }, goods, situation, shop }: State): LiveOfShop {
  const offers = offersOf(documents);
  const { currency, locale, moneyFormat } = shop;
  return {
    say: liveFacts(documents, look, { goods, currency, locale, moneyFormat, situation }),
    nameOf: (live) =>
      isOfOffer(live)
        ? `${OFFER_FACTS[live.field]}, ${offers.find(({ id }) => id === live.offer)?.name ?? "an offer that is gone"}`
        : LIVE_FIELDS[live.field],
    meant: (typed) => {
      const { text, why } = fromTyped(typed, offers);
      const [piece] = piecesOf(text);
      return why ?? (typeof piece === "object" ? piece : undefined);
    },
  };
}

/** Every fact that there is to put into words, with what it says now: those of each offer, then the shop's own. */
export function groupsOf(state: State): readonly LiveGroup[] {
  const { say } = liveOf(state);
  const factOf = (live: Live, label: string) => ({ live, label, said: say(live) ?? "" });
  const ofOffers = offersOf(state.draft.documents).map((offer): LiveGroup => ({
    id: offer.id,
    name: offer.name,
    facts: OFFER_FACT_NAMES.filter((fact) => saysFact(offer, fact)).map((field) =>
      factOf({ field, offer: offer.id }, OFFER_FACTS[field]),
    ),
  }));
  const ofShop = LIVE_NAMES.map((field) => factOf({ field }, LIVE_FIELDS[field]));
  return [...ofOffers, { id: "", name: "The shop", facts: ofShop }];
}
