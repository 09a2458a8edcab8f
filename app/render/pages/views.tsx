import type { ReactNode } from "react";
import { ALL_GOODS, closedOf } from "~/core/addresses";
import type { Draft } from "~/core/document";
import { mostOf, priceOf, type Goods } from "~/core/goods";
import { productAddress } from "~/core/addresses";
import { Pic, useEnv, WaysOn } from "~/kinds/parts";
import type { CartLine, Target } from "../target";

function Line({ line: { product, variant, count, problem } }: { line: CartLine }): ReactNode {
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
      <span className="price">{money(priceOf(product, variant) * count)}</span>
      <form className="cart-remove" method="post" action="/cart/change">
        {which}
        <button type="submit" name="remove" value="1" aria-label={`Remove ${title}`}>
          Remove
        </button>
      </form>
    </li>
  );
}

/** What a shopper has put into the cart. Every line is made of forms of its own, so that it works without a script. */
export function CartPage({ lines, said }: { lines: readonly CartLine[]; said?: string | undefined }): ReactNode {
  const { money } = useEnv();
  const total = lines.reduce((sum, { product, variant, count }) => sum + priceOf(product, variant) * count, 0);
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
              {lines.map((line) => (
                <Line key={`${line.product.id} ${line.variant?.id ?? ""}`} line={line} />
              ))}
            </ul>
            <section className="cart-sum" aria-label="Summary">
              <p className="cart-total">
                <span>Total</span> <span className="price">{money(total)}</span>
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

/** A page that says one thing: not found, thank you, something went wrong. */
type Message = Omit<Extract<Target, { page: "message" }>, "page" | "address">;

export function MessagePage({ title, text, code, way, press, goods }: Message & { goods: Goods }): ReactNode {
  const on =
    way ??
    (goods.products.length
      ? { address: ALL_GOODS, label: "See everything" }
      : { address: "/", label: "Back to the start" });
  return (
    <div className="in message-page">
      <h1 className="head">{title}</h1>
      <p className="lead">{text}</p>
      {code ? <p className="message-code">{code}</p> : null}
      {press ? (
        <form method="post" action={press.action}>
          <button className="button" type="submit">
            {press.label}
          </button>
        </form>
      ) : (
        <a className="button" href={on.address}>
          {on.label}
        </a>
      )}
      <WaysOn />
    </div>
  );
}

/** Where friends say the word with which they see a shop that is closed; nothing where there is no such word. */
export function FriendsDoor({ wrong, documents }: { wrong: boolean; documents: Draft["documents"] }): ReactNode {
  if (closedOf(documents).friends === "") return null;
  return (
    <section className="s">
      <form className="in friends" action="/friends" method="post">
        <label htmlFor="friends-word">Do you have the password?</label>
        <span className="friends-row">
          <input className="field" id="friends-word" name="word" type="password" required autoComplete="off" />
          <button className="button button-2" type="submit">
            Come in
          </button>
        </span>
        {wrong ? (
          <p className="message" data-state="care" role="alert">
            That is not the password.
          </p>
        ) : null}
      </form>
    </section>
  );
}
