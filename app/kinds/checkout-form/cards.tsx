import type { ReactNode } from "react";
import { cardForOf } from "~/core/checkout";
import { takesCards } from "~/core/selling";
import { CARD_DESIGN_NAMES, CARD_DESIGNS, lastOf } from "~/core/gift-cards";
import { CardPicture, useCheckout, useEnv, useFieldId, Words } from "../parts";
import { Ask } from "./ask";
import type { CheckoutFormProps } from "./definition";

/** Whom the gift cards are for that are bought, and what they look like. */
export function CardFor({ props }: { props: CheckoutFormProps }): ReactNode {
  const { lines, values, problems } = useCheckout();
  const message = useFieldId("ck", "cardMessage");
  if (!lines.some(({ product }) => product.isGiftCard)) return null;
  const chosen = cardForOf(values).design;
  return (
    <section className="ck-part">
      <Words at="cards" as="h2" text={props.cards} hint="Heading" />
      <div className="ck-designs" role="radiogroup" aria-label="Picture of the card">
        {CARD_DESIGNS.map((design) => (
          <label key={design} className="ck-design">
            <input type="radio" name="cardDesign" value={design} defaultChecked={design === chosen} />
            <CardPicture design={design} />
            <span>{CARD_DESIGN_NAMES[design]}</span>
          </label>
        ))}
      </div>
      <div className="fill-fields">
        <Ask
          name="cardTo"
          label="Their mail address"
          type="email"
          keys="email"
          width="half"
          hint="Empty: it comes to you."
        />
        <Ask name="cardFrom" label="From" width="half" />
        <div className="fill">
          <label htmlFor={message}>
            A few words<span className="fill-free"> (optional)</span>
          </label>
          <textarea
            className="field"
            id={message}
            name="cardMessage"
            rows={3}
            defaultValue={values.cardMessage}
            aria-describedby={`${message}-wrong`}
          />
          <p className="fill-wrong" id={`${message}-wrong`}>
            {problems.get("cardMessage")}
          </p>
        </div>
      </div>
    </section>
  );
}

/** Gift cards that pay, and the field for one more. */
export function Cards(): ReactNode {
  const { byCards, values, problems } = useCheckout();
  const { money, goods, selling } = useEnv();
  const isOpen = byCards.length > 0 || problems.has("newCard");
  if (!isOpen && values.cards.length === 0 && !takesCards(selling, goods)) return null;
  return (
    <details className="ck-fold" open={isOpen}>
      <summary>Pay with a gift card</summary>
      {byCards.length ? (
        <ul className="ck-cards">
          {byCards.map(({ code, amount }) => (
            <li key={code}>
              <span>
                Gift card {lastOf(code)} pays {money(amount)}
              </span>
              <button
                type="submit"
                name="do"
                value={`uncard:${code}`}
                aria-label={`Don’t use gift card ${lastOf(code)}`}
              >
                Don’t use it
              </button>
            </li>
          ))}
        </ul>
      ) : null}
      <div className="ck-card">
        <Ask name="newCard" label="Code of the card" capitals />
        <button className="button button-2" type="submit" name="do" value="card">
          Use it
        </button>
      </div>
    </details>
  );
}
