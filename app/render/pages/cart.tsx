import type { ReactNode } from "react";
import { ALL_GOODS, productAddress } from "~/core/addresses";
import { mostOf } from "~/core/goods";
import { LONGEST_CODE, offersOf, type Gift, type Offer, type Priced, type PricedLine, type Why } from "~/core/offers";
import type { Draft } from "~/core/document";
import { Amount, Pic, useEnv, WaysOn } from "~/kinds/parts";
import type { CartLine } from "../cart-target";

type LineProps = { line: CartLine; priced: PricedLine; nameOf: (offer: string) => string };

function Line({ line: { product, variant, count, problem }, priced, nameOf }: LineProps): ReactNode {
  const { money } = useEnv();
  const most = mostOf(product, variant);
  const title = variant ? `${product.title}, ${variant.values.join(", ")}` : product.title;
  const which = (
    <>
      <input type="hidden" name="product" value={product.id} />
      <input type="hidden" name="variant" value={variant?.id ?? ""} />
    </>
  );
  return (
    <li className="cart-line">
      <Pic picture={variant?.picture ?? product.pictures[0] ?? null} sizes="6rem" alt="" />
      <div className="cart-words">
        <a href={`${productAddress(product)}${variant ? `?variant=${variant.id}` : ""}`}>{product.title}</a>
        {variant ? <p className="cart-choice">{variant.values.join(" · ")}</p> : null}
        {priced.offs.map(({ offer, amount }) => (
          <p className="cart-off" key={offer}>
            {nameOf(offer)} <b>−{money(amount)}</b>
          </p>
        ))}
        {problem ? (
          <p className="message" data-state="care">
            {problem}
          </p>
        ) : null}
      </div>
      {/* Enter in a field presses the first button of its form: here one that changes nothing but what was typed. */}
      <form className="cart-count" method="post" action="/cart/change">
        {which}
        <button className="unseen" type="submit" tabIndex={-1} aria-hidden="true">
          Change
        </button>
        <button className="cart-step" type="submit" name="step" value="-1" aria-label={`One less of ${title}`}>
          −
        </button>
        <input
          type="number"
          name="count"
          aria-label={`How many of ${title}`}
          min={0}
          max={most === Infinity ? 99 : most}
          defaultValue={count}
          key={count}
          inputMode="numeric"
        />
        <button
          className="cart-step"
          type="submit"
          name="step"
          value="1"
          aria-label={`One more of ${title}`}
          disabled={count >= most}
        >
          +
        </button>
      </form>
      <Amount now={priced.total} before={priced.full} />
      <form className="cart-remove" method="post" action="/cart/change">
        {which}
        <button type="submit" name="remove" value="1" aria-label={`Remove ${title}`}>
          Remove
        </button>
      </form>
    </li>
  );
}

/** What is given with it: it comes and goes by itself. */
function GiftLine({ gift: { product, variant, count }, name }: { gift: Gift; name: string }): ReactNode {
  return (
    <li className="cart-line">
      <Pic picture={variant?.picture ?? product.pictures[0] ?? null} sizes="6rem" alt="" />
      <div className="cart-words">
        <a href={productAddress(product)}>{product.title}</a>
        {variant ? <p className="cart-choice">{variant.values.join(" · ")}</p> : null}
        <p className="cart-off">{name}</p>
      </div>
      <span className="cart-given">{count} ×</span>
      <span className="price">Free</span>
    </li>
  );
}

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
    case "nothing":
      return "There is nothing that it could make cheaper.";
    default:
      return "It does not count just now.";
  }
}

type OffersProps = { priced: Priced; offers: readonly Offer[]; codes: readonly string[] };

/** What is taken off and why, the codes that were given, and a place for one more. */
function Offers({ priced, offers, codes }: OffersProps): ReactNode {
  const { money } = useEnv();
  const byId = new Map(offers.map((offer) => [offer.id, offer]));
  const given = offers.filter((offer) => offer.code !== "" && codes.includes(offer.code));
  const idle = given.filter((offer) => priced.refused.has(offer.id));
  const asksForCode = offers.some((offer) => offer.code !== "" && !offer.isOff);
  // What is given lies among the lines.
  const taken = priced.applied.filter(({ offer }) => byId.get(offer)?.gives.sort !== "gift" || byId.get(offer)?.code);
  const goals = goalsIn(priced, offers);
  if (taken.length === 0 && idle.length === 0 && goals.length === 0 && !asksForCode) return null;
  const takeOut = (offer: Offer | undefined) =>
    offer && offer.code !== "" ? (
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
    ) : null;
  return (
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
                {takeOut(offer)}
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
              {takeOut(offer)}
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
      {asksForCode ? (
        <form className="cart-code" method="post" action="/cart/code">
          <label htmlFor="cart-code">A code</label>
          <div className="cart-code-row">
            <input
              className="field"
              type="text"
              id="cart-code"
              name="code"
              maxLength={2 * LONGEST_CODE}
              autoCapitalize="characters"
              autoComplete="off"
              spellCheck={false}
              required
            />
            <button className="button button-2" type="submit">
              Apply
            </button>
          </div>
          <p className="message unseen" data-state="failed" role="alert" />
        </form>
      ) : null}
    </section>
  );
}

type CartProps = {
  lines: readonly CartLine[];
  codes: readonly string[];
  said?: string | undefined;
  documents: Draft["documents"];
};

/** What a shopper has put into the cart. Every line is made of forms of its own, so that it works without a script. */
export function CartPage({ lines, codes, said, documents }: CartProps): ReactNode {
  const { money, bill } = useEnv();
  const priced = bill(lines, codes);
  const offers = offersOf(documents);
  const names = new Map(offers.map((offer) => [offer.id, offer.name]));
  const nameOf = (id: string) => names.get(id) ?? "";
  const goOn = (
    <a className="button button-2" href={ALL_GOODS}>
      Continue shopping
    </a>
  );
  return (
    <div className="in plain">
      <zest-cart>
        <div className="plain-head">
          <h1 className="head">Your cart</h1>
          <p className={said ? "message" : "message unseen"} data-state="done" role="status">
            {said}
          </p>
        </div>
        {lines.length ? (
          <div className="cart-both">
            <ul className="cart">
              {lines.map((line, i) => (
                <Line
                  key={`${line.product.id} ${line.variant?.id ?? ""}`}
                  line={line}
                  priced={priced.lines[i]!}
                  nameOf={nameOf}
                />
              ))}
              {priced.gifts.map((gift) => (
                <GiftLine key={gift.offer} gift={gift} name={nameOf(gift.offer)} />
              ))}
            </ul>
            <Offers priced={priced} offers={offers} codes={codes} />
            <section className="cart-sum" aria-label="Summary">
              <p className="cart-total">
                <span>Total</span> <span className="price">{money(priced.total)}</span>
              </p>
              {goOn}
            </section>
          </div>
        ) : (
          <div className="cart-none">
            <p className="lead">There is nothing in it yet.</p>
            {goOn}
            <WaysOn />
          </div>
        )}
      </zest-cart>
    </div>
  );
}
