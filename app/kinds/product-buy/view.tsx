import { useEffect, useRef, useState } from "react";
import { canBuy, mostOf, stateOf, stateWords, type Product } from "~/core/goods";
import type { ViewProps } from "../definition";
import { Price, useEnv, usePartId, useProduct, Words, type KindEnv } from "../parts";
import type { ProductBuyProps } from "./definition";

/** What the shop's script needs to know of each variant, as the page would say it. */
function dataOf(product: Product, { money, goods, locale, costs }: KindEnv): string {
  const said = { day: goods.asOf.day, locale, words: goods.words };
  return JSON.stringify(
    product.variants.map((v) => {
      const { now, before } = costs.of(product, v);
      const most = mostOf(product, v);
      return {
        id: v.id,
        values: v.values,
        price: money(now),
        was: before !== null && before > now ? money(before) : "",
        state: stateOf(product, v),
        words: stateWords(product, v, said),
        can: canBuy(product, v),
        most: most === Infinity ? 0 : most,
        picture: v.picture ?? "",
      };
    }),
    // A text of the seller's can't end the element that it stands in.
  ).replace(/</g, "\\u003c");
}

/** In panes, where no script of the shop runs: whether the button is out of sight. */
function useOutOfSight(isStudio: boolean) {
  const ref = useRef<HTMLFormElement>(null);
  const [isOut, setOut] = useState(false);
  useEffect(() => {
    const form = ref.current;
    const Observer = form?.ownerDocument.defaultView;
    if (!isStudio || !form || !Observer) return;
    const observer = new Observer.IntersectionObserver(([entry]) => setOut(!entry!.isIntersecting));
    observer.observe(form);
    return () => observer.disconnect();
  }, [isStudio]);
  return { ref, isOut };
}

export function View({ props }: ViewProps<ProductBuyProps>) {
  const env = useEnv();
  const [buy, tell] = [usePartId("buy"), usePartId("tell")];
  const { studio } = env;
  const { ref, isOut } = useOutOfSight(studio !== undefined);
  const found = useProduct();
  if (!found) return null;
  const { product, variant } = found;
  const can = canBuy(product, variant);
  const most = mostOf(product, variant);
  const over = stateOf(product, variant) === "discontinued";
  // What is no longer made will not be there again, and nothing is asked.
  const asks = !can && !over;
  const anyOpen = canBuy(product);
  const anyClosed = product.variants.some((v) => !canBuy(product, v)) || !can;
  return (
    <zest-buy data-added={props.added} data-then={props.then} data-toast={env.toast}>
      <form id={buy} ref={ref} className="buy" method="post" action="/cart/add" hidden={!can}>
        <input type="hidden" name="product" value={product.id} />
        {props.count ? (
          <label className="buy-count">
            How many
            <input
              className="field"
              type="number"
              name="count"
              min={1}
              max={most === Infinity ? 99 : Math.max(1, most)}
              defaultValue={1}
              inputMode="numeric"
            />
          </label>
        ) : null}
        <button className="button" type="submit">
          <Words at="label" text={props.label} hint="Button words" />
        </button>
        {product.variants.length && !studio ? (
          <noscript>
            <button className="button button-2" type="submit" formMethod="get" formAction={`/products/${product.slug}`}>
              Show this one
            </button>
          </noscript>
        ) : null}
      </form>
      {anyClosed && !over ? (
        <form className="tell" method="post" action="/tell-me" hidden={!asks}>
          <input type="hidden" name="product" value={product.id} />
          <input type="hidden" name="variant" value={variant?.id ?? ""} />
          <label htmlFor={tell}>
            <Words at="tell" text={props.tell} hint="What is asked" />
          </label>
          <div className="tell-row">
            <input
              className="field"
              id={tell}
              type="email"
              name="address"
              required
              maxLength={254}
              autoComplete="email"
              placeholder="your@mail.example"
            />
            <button className="button button-2" type="submit">
              <Words at="tellButton" text={props.tellButton} hint="Button words" />
            </button>
          </div>
          <p className="message" aria-live="polite" />
        </form>
      ) : null}
      {props.bar && anyOpen ? (
        <div className={studio && isOut && can ? "buy-bar is-out" : "buy-bar"}>
          <span data-live="price">
            <Price product={product} variant={variant} />
          </span>
          <button className="button" type="submit" form={buy}>
            {props.label}
          </button>
        </div>
      ) : null}
      {product.variants.length && !studio ? (
        <script
          type="application/json"
          className="variants"
          dangerouslySetInnerHTML={{ __html: dataOf(product, env) }}
        />
      ) : null}
    </zest-buy>
  );
}
