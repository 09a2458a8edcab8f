import { oneMore } from "~/core/checkout";
import type { ViewProps } from "../definition";
import { Pic, Price, useCheckout, useEnv, usePartnerId, Words } from "../parts";
import type { CheckoutMoreProps } from "./definition";

export function View({ props }: ViewProps<CheckoutMoreProps>) {
  const { goods, studio, shown } = useEnv();
  const { lines, added } = useCheckout();
  // The button sends what was typed in the form along, though it stands outside of it.
  const form = usePartnerId("ck", "checkout-form", "checkout-more");
  // A miniature of Add stands on no page, and has no form beside it.
  const offered = form === undefined && shown ? [] : oneMore(goods, lines, props.products, props.most);
  return (
    <zest-checkout>
      {offered.length || added ? (
        <section className="cm">
          <Words at="heading" as="h2" text={props.heading} hint="Heading" />
          {added ? (
            <p className="cm-said" role="status" tabIndex={-1}>
              <span>{added}: </span>
              <Words at="added" text={props.added} hint="Said once it is in the order" />
            </p>
          ) : null}
          <ul className="cm-list">
            {offered.map(({ product, variant }) => (
              <li key={product.id}>
                <Pic picture={variant?.picture ?? product.pictures[0] ?? null} sizes="4rem" alt="" />
                <div>
                  <p className="cm-title">{product.title}</p>
                  {variant ? <p className="cm-choice">{variant.values.join(" · ")}</p> : null}
                  <Price product={product} variant={variant} />
                </div>
                <button
                  className="button button-2"
                  type="submit"
                  form={form}
                  name="do"
                  value={`more:${product.id}:${variant?.id ?? ""}`}
                  aria-label={`${props.button}: ${product.title}`}
                >
                  <Words at="button" text={props.button} hint="Button words" />
                </button>
              </li>
            ))}
          </ul>
        </section>
      ) : studio ? (
        <p className="studio-empty">Nothing goes with this order. Choose something in Details, on the left.</p>
      ) : null}
    </zest-checkout>
  );
}
