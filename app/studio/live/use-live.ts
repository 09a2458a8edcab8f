import { useMemo } from "react";
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
import { useStudio } from "../keeping";

/** Facts that words can be filled with, by what they are of. */
export type LiveGroup = {
  readonly id: string;
  readonly name: string;
  readonly facts: readonly { readonly live: Live; readonly label: string; readonly said: string }[];
};

export type LiveOfShop = {
  readonly offers: readonly Offer[];
  readonly say: (live: Live) => string | undefined;
  /** "Percent off, Autumn sale". */
  readonly nameOf: (live: Live) => string;
  /** The fact that is meant by what was typed in braces, why that is not clear, or undefined: it means none. */
  readonly meant: (typed: string) => Live | string | undefined;
};

/** What facts in words say in the shop that is worked on, as of now. */
export function useLive(): LiveOfShop {
  const documents = useStudio((s) => s.draft.documents);
  const look = useStudio((s) => s.draft.look);
  const goods = useStudio((s) => s.goods);
  const situation = useStudio((s) => s.situation);
  const { currency, locale, moneyFormat } = useStudio((s) => s.shop);
  return useMemo(() => {
    const offers = offersOf(documents);
    return {
      offers,
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
  }, [documents, look, goods, currency, locale, moneyFormat, situation]);
}

/** Every fact that there is to put into words: those of each offer, then the shop's own. */
export function groupsOf({ offers, say }: LiveOfShop): readonly LiveGroup[] {
  const ofOffers = offers.map(({ id, name, ...offer }): LiveGroup => {
    const facts = OFFER_FACT_NAMES.filter((fact) => saysFact({ id, name, ...offer }, fact)).map((field) => {
      const live: Live = { field, offer: id };
      return { live, label: OFFER_FACTS[field], said: say(live) ?? "" };
    });
    return { id, name, facts };
  });
  const shop = LIVE_NAMES.map((field) => ({ live: { field }, label: LIVE_FIELDS[field], said: say({ field }) ?? "" }));
  return [...ofOffers.filter(({ facts }) => facts.length > 0), { id: "", name: "The shop", facts: shop }];
}
