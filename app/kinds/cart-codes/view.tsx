import type { ReactNode } from "react";
import { LONGEST_CODE, type Offer, type Priced, type Why } from "~/core/offers";
import type { ViewProps } from "../definition";
import { useCart, useEnv, usePartId, Words } from "../parts";
import type { CartCodesProps } from "./definition";

/** At most so many offers that are within reach are named. */
const MOST_GOALS = 2;

/** Offers that come by themselves once there is more in the cart, the nearest first. */
function goalsIn(
  priced: Priced,
  offers: readonly Offer[],
): readonly (readonly [Offer, Extract<Why, { toGo: number }>])[] {
  return offers
    .flatMap((offer) => {
      const why = offer.code === "" ? priced.refused.get(offer.id) : undefined;
      return why && "toGo" in why ? [[offer, why] as const] : [];
    })
    .toSorted(([, a], [, b]) => (a.why === b.why ? a.toGo - b.toGo : a.why === "worth" ? -1 : 1))
    .slice(0, MOST_GOALS);
}

/** Why an offer that a shopper has a code for takes nothing off, as a sentence for them. */
function whyNot(why: Why, money: (amount: number) => string): string {
  switch (why.why) {
    case "worth":
      return `${money(why.toGo)} to go until it counts.`;
    case "count":
      return `${why.toGo} more ${why.toGo === 1 ? "piece" : "pieces"} until it counts.`;
    case "goods":
      return "It is not for what is in your cart.";
    case "others":
      return "What you have already saves more, and they don’t go together.";
    case "spent":
      return "It has been used as often as it can be.";
    case "nothing":
      return "There is nothing that it could make cheaper.";
    default:
      return "It does not count just now.";
  }
}

/** The button that takes a code out again. */
function TakeOut({ offer }: { offer: Offer | undefined }): ReactNode {
  if (!offer || offer.code === "") return null;
  return (
    <form className="cart-take" method="post" action="/cart/code">
      <input type="hidden" name="code" value={offer.code} />
      <button
        className="cart-drop"
        type="submit"
        name="remove"
        value="1"
        aria-label={`Take out the code ${offer.code}`}
      >
        Take out
      </button>
    </form>
  );
}

/** What is taken off and why, the codes that were given, and a place for one more. */
export function View({ props, arrangement }: ViewProps<CartCodesProps>) {
  const { money } = useEnv();
  const { lines, codes, priced, offers } = useCart();
  const field = usePartId("code");
  const byId = new Map(offers.map((offer) => [offer.id, offer]));
  const idle = offers.filter(({ id, code }) => code !== "" && codes.includes(code) && priced.refused.has(id));
  const asksForCode = offers.some((offer) => offer.code !== "" && !offer.isOff);
  // What is given lies among the lines.
  const taken = priced.applied.filter(({ offer }) => byId.get(offer)?.gives.sort !== "gift" || byId.get(offer)?.code);
  const goals = props.goals ? goalsIn(priced, offers) : [];
  if (lines.length === 0) return null;
  if (taken.length === 0 && idle.length === 0 && goals.length === 0 && !asksForCode) return null;
  const label = <Words at="label" text={props.label} hint="What it asks for" />;
  const form = (
    <form className="cart-code" method="post" action="/cart/code">
      <label className={arrangement === "folded" ? "unseen" : undefined} htmlFor={field}>
        {arrangement === "folded" ? props.label : label}
      </label>
      <div className="cart-code-row">
        <input
          className="field"
          type="text"
          id={field}
          name="code"
          maxLength={2 * LONGEST_CODE}
          autoCapitalize="characters"
          autoComplete="off"
          spellCheck={false}
          required
        />
        <button className="button button-2" type="submit">
          <Words at="button" text={props.button} hint="Button words" />
        </button>
      </div>
      <p className="message unseen" data-state="failed" role="alert" />
    </form>
  );
  return (
    <zest-cart>
      <section className="cart-offers" aria-label="Offers">
        {taken.length || idle.length ? (
          <ul className="cart-offs">
            {taken.map(({ offer: id, amount }) => {
              const offer = byId.get(id);
              const isFree = offer?.gives.sort === "delivery" && priced.delivery === undefined;
              return (
                <li key={id}>
                  <span>
                    {offer?.name}
                    {offer?.code ? <span className="cart-choice"> {offer.code}</span> : null}
                  </span>
                  {amount > 0 ? (
                    <span className="price">−{money(amount)}</span>
                  ) : isFree ? (
                    <span>at checkout</span>
                  ) : null}
                  <TakeOut offer={offer} />
                </li>
              );
            })}
            {idle.map((offer) => (
              <li key={offer.id}>
                <span>
                  {offer.name}
                  <span className="cart-choice"> {offer.code}</span>
                  <span className="cart-why">{whyNot(priced.refused.get(offer.id)!, money)}</span>
                </span>
                <TakeOut offer={offer} />
              </li>
            ))}
          </ul>
        ) : null}
        {goals.map(([{ id, name }, { why, toGo }]) => (
          <p className="cart-goal" key={id}>
            <b>{why === "worth" ? money(toGo) : `${toGo} more ${toGo === 1 ? "piece" : "pieces"}`}</b>
            {why === "worth" ? " to go: " : ": "}
            {name}
          </p>
        ))}
        {!asksForCode ? null : arrangement === "folded" ? (
          <details className="cart-more">
            <summary>{label}</summary>
            {form}
          </details>
        ) : (
          form
        )}
      </section>
    </zest-cart>
  );
}
