import type { ReactNode } from "react";
import { productAddress } from "~/core/addresses";
import { factWords, mostOf, type Product, type Variant } from "~/core/goods";
import { lineTitle, type Gift, type PricedLine } from "~/core/offers";
import type { ViewProps } from "../definition";
import { Amount, Pic, useCart, useEnv, type CartLine } from "../parts";
import type { CartLinesProps } from "./definition";

type ThingProps = { product: Product; variant: Variant | undefined; facts: number; picture: string | undefined };

/** The picture of a thing, and what it is. */
function Thing({ product, variant, facts, picture, children }: ThingProps & { children?: ReactNode }): ReactNode {
  const said = Object.entries(product.attributes)
    .slice(0, facts)
    .map(([name, value]) => factWords(name, value));
  return (
    <>
      {picture === undefined ? null : (
        <Pic picture={variant?.picture ?? product.pictures[0] ?? null} sizes={picture} alt="" />
      )}
      <div className="cart-words">
        <a href={`${productAddress(product)}${variant ? `?variant=${variant.id}` : ""}`}>{product.title}</a>
        {variant ? <p className="cart-choice">{variant.values.join(" · ")}</p> : null}
        {said.map(({ name, value }) => (
          <p key={name} className="cart-choice">
            {name}: {value}
          </p>
        ))}
        {children}
      </div>
    </>
  );
}

type LineProps = {
  line: CartLine;
  priced: PricedLine;
  nameOf: (offer: string) => string;
  remove: string;
  facts: number;
  picture: string | undefined;
};

/** One line. It is made of forms of its own, so that it works without a script. */
function Line({ line, priced, nameOf, remove, ...thing }: LineProps): ReactNode {
  const { money } = useEnv();
  const { product, variant, count, problem } = line;
  const most = mostOf(product, variant);
  const title = lineTitle(line);
  const which = (
    <>
      <input type="hidden" name="product" value={product.id} />
      <input type="hidden" name="variant" value={variant?.id ?? ""} />
    </>
  );
  return (
    <li className="cart-line">
      <Thing product={product} variant={variant} {...thing}>
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
      </Thing>
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
        <button type="submit" name="remove" value="1" aria-label={`${remove} ${title}`}>
          {remove}
        </button>
      </form>
    </li>
  );
}

/** What is given with it: it comes and goes by itself. */
function GiftLine({ gift, name, ...thing }: { gift: Gift; name: string; facts: number; picture: string | undefined }) {
  return (
    <li className="cart-line">
      <Thing product={gift.product} variant={gift.variant} {...thing}>
        <p className="cart-off">{name}</p>
      </Thing>
      <span className="cart-given">{gift.count} ×</span>
      <span className="price">Free</span>
    </li>
  );
}

const SIZES: ReadonlyMap<string, string> = new Map([
  ["rows", "6rem"],
  ["cards", "10rem"],
]);

export function View({ props, arrangement }: ViewProps<CartLinesProps>) {
  const { lines, priced, offers } = useCart();
  if (lines.length === 0) return null;
  const names = new Map(offers.map((offer) => [offer.id, offer.name]));
  const nameOf = (id: string) => names.get(id) ?? "";
  const thing = { facts: props.facts, picture: SIZES.get(arrangement) };
  return (
    <zest-cart>
      <ul className="cart">
        {lines.map((line, i) => (
          <Line
            key={`${line.product.id} ${line.variant?.id ?? ""}`}
            line={line}
            priced={priced.lines[i]!}
            nameOf={nameOf}
            remove={props.remove}
            {...thing}
          />
        ))}
        {priced.gifts.map((gift) => (
          <GiftLine key={gift.offer} gift={gift} name={nameOf(gift.offer)} {...thing} />
        ))}
      </ul>
    </zest-cart>
  );
}
