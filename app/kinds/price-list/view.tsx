import { productAddress } from "~/core/addresses";
import { productWith } from "~/core/goods";
import type { ViewProps } from "../definition";
import { inGroups } from "../grouped";
import { innerHead, Price, SectionHead, useEnv, Words } from "../parts";
import type { PriceListProps } from "./definition";

export function View({ props, first }: ViewProps<PriceListProps>) {
  const { goods, studio } = useEnv();
  const entries = props.entries
    .map((each, index) => ({
      ...each,
      index,
      goods: each.product === null ? undefined : productWith(goods, each.product),
    }))
    .filter((each) => studio ?? (each.name || each.goods));
  if (entries.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {entries.length ? (
        <div className="tariff">
          {inGroups(entries).map(({ name, items }) => (
            <div key={items[0].index} className="tariff-group">
              {name ? (
                <Words
                  at={`entries.${items[0].index}.group`}
                  as={Tag}
                  className="head tariff-head"
                  text={name}
                  hint="Name of the group"
                />
              ) : null}
              <ul className="tariff-lines">
                {items.map((each) => {
                  const at = `entries.${each.index}`;
                  const words = (
                    <Words at={`${at}.name`} text={each.name || (each.goods?.title ?? "")} hint="What it is" />
                  );
                  return (
                    <li key={each.index} className="tariff-line">
                      <span className="tariff-name">
                        {each.goods ? <a href={productAddress(each.goods)}>{words}</a> : words}
                      </span>
                      <span className="tariff-price">
                        {each.goods ? (
                          <Price product={each.goods} />
                        ) : (
                          <Words at={`${at}.price`} text={each.price} hint="Price" />
                        )}
                      </span>
                      <Words at={`${at}.text`} className="tariff-text" text={each.text} hint="More about it" />
                    </li>
                  );
                })}
              </ul>
            </div>
          ))}
        </div>
      ) : (
        <p className="studio-empty">Add the first line, in Details on the left.</p>
      )}
      {props.note ? <Words at="note" as="p" className="tariff-note" text={props.note} hint="Small print" /> : null}
    </div>
  );
}
