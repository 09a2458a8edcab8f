import { lineTitle } from "~/core/offers";
import type { ViewProps } from "../definition";
import { useCart, Words } from "../parts";
import type { CartHeadProps } from "./definition";

export function View({ props }: ViewProps<CartHeadProps>) {
  const { done, gone } = useCart();
  const said = gone ? `“${lineTitle(gone)}” ${props.gone}` : done && done !== "remind" && props[done];
  return (
    <div className="in">
      <Words at="heading" as="h1" className="head" text={props.heading} hint="Heading" />
      <zest-cart>
        <p className={said ? "message" : "message unseen"} data-state="done" role="status">
          {said}
        </p>
        {gone ? (
          <form className="cart-back" method="post" action="/cart/add">
            <input type="hidden" name="product" value={gone.product.id} />
            <input type="hidden" name="variant" value={gone.variant?.id ?? ""} />
            <input type="hidden" name="count" value={gone.count} />
            <button className="button button-2" type="submit">
              <Words at="back" text={props.back} hint="Button words" />
            </button>
          </form>
        ) : null}
      </zest-cart>
    </div>
  );
}
