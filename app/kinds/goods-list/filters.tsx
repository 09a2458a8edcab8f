import type { GoodsQuery, ListedFacet, Listing } from "~/core/goods";
import { useEnv, usePartId } from "../parts";
import type { GoodsListProps } from "./definition";

export const countWords = (n: number): string => (n === 1 ? "1 product" : `${n} products`);

/** More values than this are folded away. */
const OPEN_VALUES = 8;

function Values({ facet, values }: { facet: ListedFacet; values: ListedFacet["values"] }) {
  return values.map(({ value, count, isWanted }) => {
    const colour = facet.colours.get(value);
    return (
      <label key={value} {...(count ? {} : { "data-none": "" })}>
        <input type="checkbox" name={facet.key} value={value} defaultChecked={isWanted} key={String(isWanted)} />
        {colour ? (
          <svg viewBox="0 0 2 2" aria-hidden="true">
            <rect width="2" height="2" fill={colour} />
          </svg>
        ) : null}
        {value} <small>{count}</small>
      </label>
    );
  });
}

function Facet({ facet }: { facet: ListedFacet }) {
  const shown = facet.values.filter((v, i) => i < OPEN_VALUES || v.isWanted);
  const folded = facet.values.filter((v) => !shown.includes(v));
  const isShort = facet.values.every((v) => v.value.length < 4) && facet.values.length > 3;
  return (
    <fieldset className="facet">
      <legend>
        {facet.label}
        {facet.unit ? <span className="facet-unit"> {facet.unit}</span> : null}
      </legend>
      <div className={isShort ? "facet-few" : undefined}>
        <Values facet={facet} values={shown} />
      </div>
      {folded.length ? (
        <details>
          <summary>{folded.length} more</summary>
          <Values facet={facet} values={folded} />
        </details>
      ) : null}
    </fieldset>
  );
}

type FiltersProps = {
  props: GoodsListProps;
  listing: Listing;
  query: GoodsQuery;
  action: string;
  /** The address of the list without anything asked of it. */
  whole: string;
  sought: string | null;
};

/** Everything by which a list can be narrowed, as a form that works by itself. */
export function Filters({ props, listing, query, action, whole, sought }: FiltersProps) {
  const { digits, money } = useEnv();
  const [box, list, form] = [usePartId("filters"), usePartId("list"), usePartId("filter")];
  const plain = (minor: number | null, round: (n: number) => number) =>
    minor === null ? "" : String(digits ? round(minor / 10 ** digits) : minor);
  const exact = (minor: number | null) => (minor === null ? "" : String(minor / 10 ** digits));
  const count =
    Object.values(query.wanted).flat().length +
    Number(query.from !== null || query.to !== null) +
    Number(query.now) +
    Number(query.reduced);
  const { prices } = listing;
  return (
    <div className="filters">
      <a className="filters-open button button-2" href={`#${box}`}>
        Filter{count ? ` (${count})` : ""}
      </a>
      <div className="filters-box" id={box}>
        <a className="filters-shade filters-shut" href={`#${list}`} aria-hidden="true" tabIndex={-1} />
        <form className="filters-form" id={form} method="get" action={action}>
          <p className="filters-head">
            Filter
            <a className="filters-close filters-shut" href={`#${list}`} aria-label="Close">
              <span aria-hidden="true">×</span>
            </a>
          </p>
          {sought === null ? null : <input type="hidden" name="q" value={sought} />}
          {listing.facets.map((facet) => (
            <Facet key={facet.key} facet={facet} />
          ))}
          {props.price && prices && (prices.most > prices.least || query.from !== null || query.to !== null) ? (
            <fieldset className="facet">
              <legend>Price</legend>
              <div className="span-in">
                <input
                  className="field"
                  type="number"
                  min="0"
                  step="any"
                  name="from"
                  aria-label="Price from"
                  placeholder={plain(prices.least, Math.floor)}
                  defaultValue={exact(query.from)}
                  key={`from ${query.from}`}
                />
                <span aria-hidden="true">–</span>
                <input
                  className="field"
                  type="number"
                  min="0"
                  step="any"
                  name="to"
                  aria-label={`Price to, at most ${money(prices.most)}`}
                  placeholder={plain(prices.most, Math.ceil)}
                  defaultValue={exact(query.to)}
                  key={`to ${query.to}`}
                />
              </div>
            </fieldset>
          ) : null}
          {(props.now && (listing.now < listing.total || query.now)) ||
          (props.reduced && (listing.reduced > 0 || query.reduced)) ? (
            <div className="facet facet-now">
              {props.now && (listing.now < listing.total || query.now) ? (
                <label>
                  <input type="checkbox" name="now" value="1" defaultChecked={query.now} key={String(query.now)} />
                  Can be bought now <small>{listing.now}</small>
                </label>
              ) : null}
              {props.reduced && (listing.reduced > 0 || query.reduced) ? (
                <label>
                  <input
                    type="checkbox"
                    name="reduced"
                    value="1"
                    defaultChecked={query.reduced}
                    key={String(query.reduced)}
                  />
                  Reduced <small>{listing.reduced}</small>
                </label>
              ) : null}
            </div>
          ) : null}
          <div className="filters-do">
            <button className="button" type="submit">
              Show {countWords(listing.total)}
            </button>
            {count ? (
              <a className="button button-3" href={whole}>
                Clear all
              </a>
            ) : null}
          </div>
        </form>
      </div>
    </div>
  );
}
