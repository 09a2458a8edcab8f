import type { ReactNode } from "react";
import { productWith, type Goods } from "~/core/goods";
import type { Offer } from "~/core/offers";
import { factOf } from "~/core/live";
import type { ViewProps } from "../definition";
import { SectionHead, useEnv, Words } from "../parts";
import type { OffersShownProps } from "./definition";

/** What an offer gives, as large as it deserves: by its name alone where that is not said in a number. */
function givesOf({ gives }: Offer, money: (amount: number) => string, percent: string | undefined): string | undefined {
  switch (gives.sort) {
    case "percent":
      return percent === undefined || gives.on === "cheapest" ? undefined : `−${percent}`;
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

/** The goods that an offer is for, by what they are called; the rest of many by three dots. */
function goodsWords({ goods: { products, collections } }: Offer, goods: Goods): string {
  const titles = [
    ...collections.map((id) => goods.collections.find((each) => each.id === id)?.title),
    ...products.map((id) => productWith(goods, id)?.title),
  ].filter((title) => title !== undefined);
  return titles.length > MOST_NAMED ? `${titles.slice(0, MOST_NAMED).join(", ")} …` : titles.join(", ");
}
const MOST_NAMED = 4;

/** Offers that hold for everybody just now, each with its code where it has one. */
export function View({ props, first }: ViewProps<OffersShownProps>): ReactNode {
  const { studio, offers: all, money, locale, goods } = useEnv();
  const open = all();
  const chosen = props.chosen.flatMap(({ offer: id, words }, at) => {
    const offer = open.find((each) => each.id === id);
    return offer ? [{ offer, words, at }] : [];
  });
  const shown = props.chosen.length ? chosen : open.map((offer) => ({ offer, words: "", at: -1 }));
  if (shown.length === 0)
    return studio ? (
      <p className="in studio-empty">
        {props.chosen.length ? "None of the chosen offers" : "No offer"} holds for everybody just now. Shoppers don’t
        see this until one does.
      </p>
    ) : null;
  return (
    <div className="in">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      <ul className="slips">
        {shown.map(({ offer, words, at }) => {
          const writing = { locale, money };
          const gives = givesOf(offer, money, factOf(offer, "percent", writing));
          const [goal, ends] = [factOf(offer, "goal", writing), factOf(offer, "ends", writing)];
          const percent = new Intl.NumberFormat(locale, { style: "percent", maximumFractionDigits: 2 });
          const steps = offer.gives.sort === "steps" ? offer.gives.steps : [];
          const pieces = steps.length ? undefined : offer.fromCount > 1 ? `${offer.fromCount} ×` : undefined;
          const from = [goal, pieces].filter(Boolean).join(", ");
          const which = goodsWords(offer, goods);
          return (
            <li className="slip" key={offer.id}>
              {gives ? <b className="slip-gives">{gives}</b> : null}
              <span className={gives ? "slip-name" : "slip-gives"}>{offer.name}</span>
              {at < 0 ? null : <Words at={`chosen.${at}.words`} text={words} hint="A few words on it" />}
              {which ? <span className="slip-more">{which}</span> : null}
              {steps.length ? (
                <span className="slip-more">
                  {steps.map((step) => `${step.from} × −${percent.format(step.off / 10_000)}`).join(" · ")}
                </span>
              ) : null}
              {from ? <span className="slip-more">{`${props.from} ${from}`}</span> : null}
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
