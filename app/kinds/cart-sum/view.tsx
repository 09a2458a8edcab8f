import { ALL_GOODS } from "~/core/addresses";
import { notSelling } from "~/core/selling";
import type { ViewProps } from "../definition";
import { useCart, useEnv, Words } from "../parts";
import type { CartSumProps } from "./definition";

export function View({ props, arrangement }: ViewProps<CartSumProps>) {
  const { money, selling, studio } = useEnv();
  const why = notSelling(selling);
  const { lines, priced } = useCart();
  if (lines.length === 0) return null;
  return (
    <zest-cart>
      <section className="cart-sum" aria-label="Summary">
        <dl>
          {priced.off > 0 ? (
            <>
              <div>
                <dt>
                  <Words at="goods" text={props.goods} hint="Before discounts" />
                </dt>
                <dd className="price">{money(priced.full)}</dd>
              </div>
              <div className="cart-saved">
                <dt>
                  <Words at="off" text={props.off} hint="All discounts" />
                </dt>
                <dd className="price">−{money(priced.off)}</dd>
              </div>
            </>
          ) : null}
          <div className="cart-total">
            <dt>
              <Words at="total" text={props.total} hint="In the end" />
            </dt>{" "}
            <dd className="price">{money(priced.total)}</dd>
          </div>
        </dl>
        {props.note ? <Words at="note" as="p" className="cart-note" text={props.note} hint="Note" /> : null}
        {studio && why ? (
          <p className="studio-empty">
            {why === "delivery"
              ? "There is no checkout yet: say in Orders where you deliver."
              : "There is no checkout yet: say in Orders how you are paid."}
          </p>
        ) : null}
        {why ? null : (
          <a className="button" href="/checkout">
            <Words at="checkout" text={props.checkout} hint="Button words" />
          </a>
        )}
        {props.button ? (
          <a className="button button-2" href={ALL_GOODS} data-back="">
            <Words at="button" text={props.button} hint="Button words" />
          </a>
        ) : null}
      </section>
      {/* On phones, as long as the sum is further down. It says nothing that is not said there. */}
      {arrangement === "box" ? (
        <div className="cart-bar" aria-hidden="true">
          <span>{props.total}</span> <span className="price">{money(priced.total)}</span>
        </div>
      ) : null}
    </zest-cart>
  );
}
