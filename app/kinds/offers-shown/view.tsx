import type { ReactNode } from "react";
import { productWith, type Goods } from "~/core/goods";
import type { Offer } from "~/core/offers";
import { factOf, percentWords, type Writing } from "~/core/live";
import type { ViewProps } from "../definition";
import { SectionHead, useEnv, Words } from "../parts";
import type { OffersShownProps } from "./definition";

/** What an offer gives, as large as it deserves: by its name alone where that is not said in a number. */
function givesOf({ gives }: Offer, { money, locale }: Writing): string | undefined {
  switch (gives.sort) {
    case "percent":
      return gives.on === "cheapest" ? undefined : `−${percentWords(gives.off, locale)}`;
    case "amount":
      return gives.on === "cheapest" ? undefined : `−${money(gives.amount)}`;
    case "price":
      return money(gives.price);
    case "bundle":
      return `${gives.take} for ${gives.pay}`;
    default:
      return undefined;
  }
}

/** From what on an offer holds, a line for each step. `from`: the seller's word for it. */
function fromWords(offer: Offer, from: string, writing: Writing): readonly string[] {
  if (offer.gives.sort === "steps")
    return offer.gives.steps.map((step) => `${from} ${step.from}: −${percentWords(step.off, writing.locale)}`);
  const least = [factOf(offer, "goal", writing), offer.fromCount > 1 ? `${offer.fromCount} ×` : undefined];
  const said = least.filter(Boolean).join(", ");
  return said ? [`${from} ${said}`] : [];
}

/** At most so many of the goods that an offer is for are named. */
const MOST_NAMED = 4;

/** The goods that an offer is for, by what they are called; the rest of many by three dots. */
function goodsWords({ goods: { products, collections } }: Offer, goods: Goods): string {
  const titles = [
    ...collections.map((id) => goods.collections.find((each) => each.id === id)?.title),
    ...products.map((id) => productWith(goods, id)?.title),
  ].filter((title) => title !== undefined);
  return titles.length > MOST_NAMED ? `${titles.slice(0, MOST_NAMED).join(", ")} …` : titles.join(", ");
}

/** Offers that hold for everybody just now: the chosen ones, with their codes, or all that come by themselves. */
export function View({ props, first }: ViewProps<OffersShownProps>): ReactNode {
  const { studio, offers: all, money, locale, goods } = useEnv();
  const writing: Writing = { locale, money };
  const open = all();
  const chosen = props.chosen.flatMap(({ offer: id, words }, at) => {
    const offer = open.find((each) => each.id === id);
    return offer ? [{ offer, words, at }] : [];
  });
  // A code may be meant for a few: it is told to everybody only where the seller chose it.
  const known = open.filter(({ code }) => code === "").map((offer) => ({ offer, words: "", at: -1 }));
  const shown = props.chosen.length ? chosen : known;
  if (shown.length === 0)
    return studio ? (
      <p className="in studio-empty">
        {props.chosen.length
          ? "None of the chosen offers holds for everybody just now."
          : "No offer without a code holds for everybody just now. Those with a code are chosen in Details."}{" "}
        Shoppers don’t see this until there is one.
      </p>
    ) : null;
  return (
    <div className="in">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      <ul className="slips">
        {shown.map(({ offer, words, at }) => {
          const [gives, which, ends] = [
            givesOf(offer, writing),
            goodsWords(offer, goods),
            factOf(offer, "ends", writing),
          ];
          return (
            <li className="slip" key={offer.id}>
              {gives ? <b className="slip-gives">{gives}</b> : null}
              <span className={gives ? "slip-name" : "slip-gives"}>{offer.name}</span>
              {at < 0 ? null : <Words at={`chosen.${at}.words`} text={words} hint="A few words on it" />}
              {which ? <span className="slip-more">{which}</span> : null}
              {fromWords(offer, props.from, writing).map((line) => (
                <span className="slip-more" key={line}>
                  {line}
                </span>
              ))}
              {ends ? <span className="slip-more">{`${props.ends} ${ends}`}</span> : null}
              {offer.code ? (
                <form method="post" action="/cart/code">
                  <input type="hidden" name="code" value={offer.code} />
                  <span className="slip-code">{offer.code}</span>
                  <button className="button button-2" type="submit" aria-label={`${props.take}: ${offer.name}`}>
                    {props.take}
                  </button>
                  <p className="message" aria-live="polite" />
                </form>
              ) : null}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
