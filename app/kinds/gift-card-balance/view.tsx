import { GIFT_CARD, lastOf } from "~/core/gift-cards";
import { dayWords } from "~/core/goods";
import { formatMoney } from "~/core/money";
import { dayIn } from "~/core/situation";
import type { ViewProps } from "../definition";
import { AskField, useEnv, useGiftCard, Words } from "../parts";
import type { GiftCardBalanceProps } from "./definition";

export function View({ props }: ViewProps<GiftCardBalanceProps>) {
  const { studio, money: ofShop, when, goods, locale } = useEnv();
  const { asked = "", problem, card } = useGiftCard();
  const money = (amount: number) => (card?.currency ? formatMoney(amount, card.currency) : ofShop(amount));
  return (
    <div className="in">
      <div className="gb">
        <Words at="heading" as="h1" className="head" text={props.heading} hint="Heading" />
        {card ? (
          <div className="gb-card" role="status">
            <p>{lastOf(card.code)}</p>
            <p className="gb-left">{money(card.left)}</p>
            <p>
              of {money(card.amount)}
              {card.until === null
                ? ""
                : `, good until ${dayWords(dayIn(card.until, goods.asOf.timeZone), locale, true)}`}
            </p>
            {card.isOff ? <p>It is no longer good.</p> : null}
          </div>
        ) : props.text || studio ? (
          <Words at="text" as="p" text={props.text} hint="Text" />
        ) : null}
        {card?.uses.length ? (
          <ul className="gb-uses">
            {card.uses.map(({ at, amount, order }, i) => (
              <li key={i}>
                <span>
                  {amount < 0 ? "Given back, order" : "Order"} {order}{" "}
                  <time dateTime={new Date(at).toISOString()}>{when(at)}</time>
                </span>
                <span className="amount">
                  {amount < 0 ? "+" : "−"}
                  {money(Math.abs(amount))}
                </span>
              </li>
            ))}
          </ul>
        ) : null}
        <form className="gb-form" method="post" action={GIFT_CARD}>
          <div className="fill-fields">
            <AskField
              of="gb"
              name="code"
              label={card ? "Code of another card" : "Code of the card"}
              value={asked}
              problem={problem}
              isNeeded
              capitals
            />
          </div>
          <button className={card ? "button button-2" : "button"} type="submit">
            <Words at="button" text={props.button} hint="Button words" />
          </button>
        </form>
      </div>
    </div>
  );
}
