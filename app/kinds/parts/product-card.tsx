import type { ReactNode } from "react";
import { badgeOf, factWords, stateOf, type Product } from "~/core/goods";
import { productAddress } from "~/core/addresses";
import { useEnv } from "./env";
import { Pic } from "./pic";
import { Price } from "./shown";

type CardProps = {
  product: Product;
  sizes: string;
  eager?: boolean;
  level?: 2 | 3;
  /** Its picture is a thumbnail: words have no room on it. */
  small?: boolean;
  /** How many, where the place says it and not the brand. */
  facts?: number;
};

const STARS = [1, 2, 3, 4, 5] as const;

/** An average of stars, `value` of 5, with how many gave one. */
export function Rating({ value, count }: { value: number; count: number }): ReactNode {
  const kind = (star: number) => (value >= star - 0.25 ? "" : value >= star - 0.75 ? "is-half" : "is-off");
  return (
    <p className="rating">
      {STARS.map((star) => (
        <i key={star} className={kind(star) || undefined} />
      ))}
      <span>
        <span className="unseen">{value.toFixed(1)} of 5 from </span>
        {count === 1 ? "1 review" : `${count} reviews`}
      </span>
    </p>
  );
}

/** The stars that somebody gave, of five. */
export const Stars = ({ stars }: { stars: number }): ReactNode => (
  <p className="rating" role="img" aria-label={`${stars} of 5 stars`}>
    {STARS.map((star) => (
      <i key={star} className={star > stars ? "is-off" : undefined} />
    ))}
  </p>
);

/** Whether a fact is a number alone, which says nothing without its name. */
const isNumber = (value: string) => /^[\d.,–]+$/.test(value);

/** A product in a grid, a shelf or a list: one link, whole card. */
export function ProductCard({ product, sizes, eager = false, level = 3, facts, small = false }: CardProps): ReactNode {
  const { card, goods, locale, picture, costs } = useEnv();
  // One that was removed from the library leaves its place to the next.
  const [first = null, second] = product.pictures.filter((id) => picture(id));
  const badge = card.badge
    ? badgeOf(product, { day: goods.asOf.day, locale, words: goods.words }, costs.of(product))
    : undefined;
  const state = stateOf(product);
  const Head = level === 2 ? "h2" : "h3";
  const words = small && card.words === "over" ? "below" : card.words;
  const said = Object.entries(words === "over" ? {} : product.attributes)
    .slice(0, facts ?? card.facts)
    .map(([name, value]) => factWords(name, value));
  const rating = card.rating && words !== "over" ? product.rating : undefined;
  const isOver = state === "sold-out" || state === "discontinued";
  return (
    <article className={`card${words === "below" ? "" : ` card-${words}`}${isOver ? " is-over" : ""}`}>
      <div className="card-picture">
        <Pic picture={first} sizes={sizes} eager={eager} alt="" />
        {card.second && second ? <Pic picture={second} sizes={sizes} className="pic-second" alt="" /> : null}
        {badge ? <span className={`badge badge-${badge.look}`}>{badge.words}</span> : null}
      </div>
      <div className="card-words">
        <Head className="card-title">
          <a href={productAddress(product)}>{product.title}</a>
        </Head>
        {said.length ? (
          <dl className="card-facts">
            {said.map(({ name, value }) => (
              <div key={name} className={isNumber(value) ? "is-named" : undefined}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
        ) : null}
        {rating || card.price ? (
          <div className="card-end">
            {rating ? <Rating value={rating.average} count={rating.count} /> : null}
            {card.price ? <Price product={product} before={card.compareAt} /> : null}
          </div>
        ) : null}
      </div>
    </article>
  );
}
