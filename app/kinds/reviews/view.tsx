import { entryOf } from "~/core/document";
import { ratingOf, dayWords, type Review } from "~/core/goods";
import type { ViewProps } from "../definition";
import { Rating, Stars, useEnv, usePartId, useProduct, Words } from "../parts";
import type { ReviewsProps } from "./definition";

const STARS = [1, 2, 3, 4, 5] as const;
const STAR_WORDS = ["", "1 star, poor", "2 stars, so-so", "3 stars, good", "4 stars, very good", "5 stars, wonderful"];

function One({ review }: { review: Review }) {
  const { identity, locale } = useEnv();
  return (
    <li className="review">
      <Stars stars={review.stars} />
      {review.title ? <h3 className="review-head">{review.title}</h3> : null}
      <p className="review-text">{review.text}</p>
      <p className="review-by">
        {review.name}, <time dateTime={review.at.slice(0, 10)}>{dayWords(review.at.slice(0, 10), locale, true)}</time>
      </p>
      {review.answer ? (
        <div className="review-answer">
          <p className="review-by">{identity.name} answers</p>
          <p className="review-text">{review.answer}</p>
        </div>
      ) : null}
    </li>
  );
}

export function View({ props }: ViewProps<ReviewsProps>) {
  const { goods } = useEnv();
  const id = usePartId("reviews");
  const found = useProduct();
  if (!found) return null;
  const { product } = found;
  const { rating } = product;
  const reviews = entryOf(goods.reviews, product.id) ?? [];
  // A page is drawn from the latest reviews alone; the stars are those of all.
  const each = rating?.each ?? ratingOf(reviews)?.each;
  const [open, folded] = [reviews.slice(0, props.most), reviews.slice(props.most)];
  return (
    <div className="in" id={id}>
      <div className="reviews-sum">
        <Words at="heading" as="h2" className="head" text={props.heading} hint="Heading" />
        {each && rating ? (
          <>
            <p className="reviews-average">{rating.average.toFixed(1)}</p>
            <Rating value={rating.average} count={rating.count} />
            <ul className="bars-list">
              {STARS.toReversed().map((star) => (
                <li key={star}>
                  {star}
                  <progress value={each[star - 1]} max={rating.count} aria-label={`${star} stars`} />
                  {each[star - 1]}
                </li>
              ))}
            </ul>
          </>
        ) : (
          <Words at="empty" as="p" className="lead" text={props.empty} hint="While there is none" />
        )}
      </div>
      <div>
        {open.length ? (
          <ul>
            {open.map((review) => (
              <One key={review.id} review={review} />
            ))}
          </ul>
        ) : null}
        {folded.length ? (
          <details className="reviews-more">
            <summary className="more">{folded.length === 1 ? "One more" : `${folded.length} more`}</summary>
            <ul>
              {folded.map((review) => (
                <One key={review.id} review={review} />
              ))}
            </ul>
          </details>
        ) : null}
        <details className="review-write">
          <summary className="button button-2">
            <Words at="button" text={props.button} hint="Button words" />
          </summary>
          <form className="review-form" method="post" action="/reviews">
            <input type="hidden" name="product" value={product.id} />
            <fieldset className="stars-in">
              <legend>Stars</legend>
              {STARS.map((star) => (
                <label key={star}>
                  <input type="radio" name="stars" value={star} required aria-label={STAR_WORDS[star]} />
                  <i />
                </label>
              ))}
            </fieldset>
            <label>
              In a few words
              <input className="field" type="text" name="title" maxLength={120} />
            </label>
            <label>
              Your review
              <textarea className="field" name="text" required minLength={3} maxLength={4000} rows={5} />
            </label>
            <label>
              Your name, as it is shown
              <input className="field" type="text" name="name" required maxLength={60} autoComplete="given-name" />
            </label>
            <p className="review-by">It is read here before others can see it.</p>
            <button className="button" type="submit">
              Send it
            </button>
            <p className="message" aria-live="polite" />
          </form>
        </details>
      </div>
    </div>
  );
}
