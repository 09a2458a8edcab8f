import { useMemo } from "react";
import { checkoutOf, NOTHING_GIVEN } from "~/core/checkout";
import { countryName, countriesByName, notSelling } from "~/core/selling";
import type { ViewProps } from "../definition";
import { useCart, useEnv, usePartId, Words } from "../parts";
import type { CartDeliveryProps } from "./definition";

export function View({ props, arrangement }: ViewProps<CartDeliveryProps>) {
  const { money, selling, studio, bill, currency } = useEnv();
  const { lines, codes, place } = useCart();
  const [country, postcode] = [usePartId("to-country"), usePartId("to-postcode")];
  const asked = useMemo(() => ({ ...NOTHING_GIVEN, ...place }), [place]);
  const checkout = useMemo(
    () => checkoutOf(selling, lines, asked, (more) => bill(lines, codes, more), currency),
    [selling, lines, codes, asked, bill, currency],
  );
  if (lines.length === 0) return null;
  if (notSelling(selling))
    return studio ? <p className="studio-empty">What delivery costs: say in Orders where you deliver.</p> : null;
  const { delivery, costs } = checkout;
  const costOf = (id: string, full: number) => {
    const amount = costs.get(id) ?? full;
    return amount === 0 ? "Free" : money(amount);
  };
  const [first] = delivery.ways;
  const form = (
    <>
      <form method="get" action="/cart">
        <div>
          <label htmlFor={country}>{props.country}</label>
          <select className="field" id={country} name="country" defaultValue={checkout.country} key={checkout.country}>
            {countriesByName(checkout.countries).map(([code, name]) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
        </div>
        <div>
          <label htmlFor={postcode}>{props.postcode}</label>
          <input
            className="field"
            id={postcode}
            name="postcode"
            type="text"
            maxLength={12}
            autoComplete="postal-code"
            autoCapitalize="characters"
            defaultValue={asked.postcode}
            key={asked.postcode}
          />
        </div>
        <button className="button button-2" type="submit">
          <Words at="button" text={props.button} hint="Button words" />
        </button>
      </form>
      <ul>
        {delivery.ways.map(({ id, name, says, costs: full }) => (
          <li key={id}>
            {name} <b>{costOf(id, full)}</b>
            {says ? <small>{says}</small> : null}
          </li>
        ))}
      </ul>
    </>
  );
  const head = (
    <>
      <span>
        <Words at="label" text={props.label} hint="Before the country" /> {countryName(checkout.country)}
        {asked.postcode ? ` ${asked.postcode}` : ""}
      </span>{" "}
      {first ? <b>{costOf(first.id, first.costs)}</b> : <span className="cart-no-way">Not from here</span>}
    </>
  );
  return (
    <zest-cart>
      {arrangement === "open" ? (
        <section className="cart-to">
          <p>{head}</p>
          {form}
        </section>
      ) : (
        <details className="cart-to" open={place !== undefined}>
          <summary>{head}</summary>
          {form}
        </details>
      )}
    </zest-cart>
  );
}
