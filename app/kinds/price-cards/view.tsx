import type { ReactNode } from "react";
import { productWith } from "~/core/goods";
import type { Link } from "~/core/schema";
import type { ViewProps } from "../definition";
import { Action, gridClass, innerHead, Price, SectionHead, useEnv, Words } from "../parts";
import type { PriceCardsProps } from "./definition";
import { pointsOf } from "./points";

export function View({ props, arrangement, first }: ViewProps<PriceCardsProps>) {
  const { goods, studio } = useEnv();
  const offers = props.offers
    .map((each, index) => ({
      ...each,
      index,
      goods: each.product === null ? undefined : productWith(goods, each.product),
    }))
    .filter((each) => studio ?? (each.name || each.goods));
  if (offers.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  const one = (each: (typeof offers)[number]): ReactNode => {
    const at = `offers.${each.index}`;
    const link: Link = each.goods ? { to: "product", id: each.goods.id } : each.link;
    const points = pointsOf(each.points);
    return (
      <div className={each.mark ? "ask is-marked" : "ask"}>
        {each.mark ? <Words at={`${at}.mark`} as="p" className="ask-mark" text={each.mark} hint="Set apart" /> : null}
        <Words
          at={`${at}.name`}
          as={Tag}
          className="head ask-head"
          text={each.name || (each.goods?.title ?? "")}
          hint="Name"
        />
        <p className="ask-price">
          {each.goods ? (
            <Price product={each.goods} />
          ) : (
            <Words at={`${at}.price`} className="ask-sum" text={each.price} hint="Price" />
          )}
          {each.per ? <Words at={`${at}.per`} className="ask-per" text={each.per} hint="For what" /> : null}
        </p>
        {each.text ? <Words at={`${at}.text`} as="p" className="ask-text" text={each.text} hint="Text" /> : null}
        {points.length ? (
          <ul className="ask-points">
            {points.map(({ words, isIn }, i) => (
              <li key={i} className={isIn ? undefined : "is-out"}>
                <span>
                  {isIn ? null : <span className="unseen">Not in it: </span>}
                  {words}
                </span>
              </li>
            ))}
          </ul>
        ) : null}
        {each.button ? (
          <Action
            at={`${at}.button`}
            className={each.mark ? "button" : "button button-2"}
            label={each.button}
            link={link}
          />
        ) : null}
      </div>
    );
  };
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {offers.length ? (
        <ul className={arrangement === "rows" ? "asks" : gridClass(offers.length)}>
          {offers.map((each) => (
            <li key={each.index}>{one(each)}</li>
          ))}
        </ul>
      ) : (
        <p className="studio-empty">Add the first price, in Details on the left.</p>
      )}
      {props.note ? <Words at="note" as="p" className="asks-note" text={props.note} hint="Small print" /> : null}
    </div>
  );
}
