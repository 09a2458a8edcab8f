import type { ReactNode } from "react";
import { mostOf, priceOf, type Goods } from "~/core/goods";
import { Pic, productAddress, useEnv } from "~/kinds/parts";
import type { CartLine } from "../target";

/** What a shopper has put into the cart. Every line is a form of its own, so that it works without a script. */
export function CartPage({ lines, said }: { lines: readonly CartLine[]; said?: string | undefined }): ReactNode {
  const { money } = useEnv();
  const total = lines.reduce((sum, { product, variant, count }) => sum + priceOf(product, variant) * count, 0);
  return (
    <div className="in plain">
      <div className="plain-head">
        <h1 className="head">Your cart</h1>
        {said ? (
          <p className="message" data-state="done" role="status">
            {said}
          </p>
        ) : null}
        {lines.length ? null : <p className="lead">There is nothing in it yet.</p>}
      </div>
      {lines.length ? (
        <>
          <ul className="cart">
            {lines.map(({ product, variant, count, problem }) => {
              const most = mostOf(product, variant);
              return (
                <li key={`${product.id} ${variant?.id ?? ""}`} className="cart-line">
                  <Pic picture={variant?.picture ?? product.pictures[0] ?? null} sizes="7rem" alt="" />
                  <div className="cart-words">
                    <a href={`${productAddress(product)}${variant ? `?variant=${variant.id}` : ""}`}>{product.title}</a>
                    {variant ? <p className="cart-choice">{variant.values.join(" · ")}</p> : null}
                    {problem ? (
                      <p className="message" data-state="care">
                        {problem}
                      </p>
                    ) : null}
                    <form className="cart-count" method="post" action="/cart/change">
                      <input type="hidden" name="product" value={product.id} />
                      <input type="hidden" name="variant" value={variant?.id ?? ""} />
                      <label>
                        <span className="unseen">How many of {product.title}</span>
                        <input
                          className="field"
                          type="number"
                          name="count"
                          min={0}
                          max={most === Infinity ? 99 : most}
                          defaultValue={count}
                          inputMode="numeric"
                        />
                      </label>
                      <button className="button button-3" type="submit">
                        Change
                      </button>
                      <button className="button button-3" type="submit" name="remove" value="1">
                        Take out
                      </button>
                    </form>
                  </div>
                  <span className="price">{money(priceOf(product, variant) * count)}</span>
                </li>
              );
            })}
          </ul>
          <p className="cart-total">
            <span>Together</span> <span className="price">{money(total)}</span>
          </p>
        </>
      ) : null}
      <a className="button button-2" href="/collections/all">
        Look on
      </a>
    </div>
  );
}

/** A page that says one thing: not found, thank you, something went wrong. */
export function MessagePage({ title, text, goods }: { title: string; text: string; goods: Goods }): ReactNode {
  return (
    <div className="in message-page">
      <h1 className="head">{title}</h1>
      <p className="lead">{text}</p>
      <a className="button" href={goods.products.length ? "/collections/all" : "/"}>
        {goods.products.length ? "See everything we make" : "Back to the start"}
      </a>
    </div>
  );
}
