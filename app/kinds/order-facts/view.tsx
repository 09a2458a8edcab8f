import { formatMoney } from "~/core/money";
import { dueOf, isPaid, paidWith, type OrderEvent } from "~/core/orders";
import { addressLines, countryName } from "~/core/selling";
import type { ViewProps } from "../definition";
import { useEnv, useOrder } from "../parts";
import type { OrderFactsProps } from "./definition";

/** What has happened, as whoever bought it is told. Notes are the seller's own. */
const HAPPENED: Readonly<Partial<Record<OrderEvent["what"], string>>> = {
  placed: "You ordered it.",
  paid: "It is paid.",
  ready: "It is ready to be collected.",
  sent: "It is on its way.",
  collected: "You have it.",
  refunded: "Money was given back:",
  cancelled: "It was cancelled.",
};

export function View({ props }: ViewProps<OrderFactsProps>) {
  const { selling, when } = useEnv();
  const seen = useOrder();
  const { order, events } = seen;
  const { body } = order;
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const isDue = body.pay === "transfer" && !isPaid(order) && order.state === "placed";
  return (
    <>
      <div className="or-grid">
        {body.way.isLetter ? null : (
          <section>
            <h2>{body.to ? "Where it goes" : "Where to collect it"}</h2>
            <p>{body.to ? addressLines(body.to, countryName, selling.from).join("\n") : body.way.says}</p>
          </section>
        )}
        <section>
          <h2>{body.way.isCollected ? "Who collects it" : "How it gets there"}</h2>
          <p>{body.way.isCollected ? body.name : body.way.name}</p>
          {!body.way.isCollected && body.way.says ? <p className="or-note">{body.way.says}</p> : null}
        </section>
        {body.bill ? (
          <section>
            <h2>Where the bill goes</h2>
            <p>{addressLines(body.bill, countryName, selling.from).join("\n")}</p>
          </section>
        ) : null}
        <section>
          <h2>How to reach you</h2>
          <p>{[body.mail, body.phone].filter(Boolean).join("\n")}</p>
        </section>
        <section>
          <h2>How it is paid</h2>
          <p>{paidWith(body)}</p>
        </section>
        {body.note ? (
          <section>
            <h2>Your note</h2>
            <p>{body.note}</p>
          </section>
        ) : null}
        {body.giftMessage ? (
          <section>
            <h2>Message with the gift</h2>
            <p>{body.giftMessage}</p>
          </section>
        ) : null}
        {isDue ? (
          <section className="or-pay">
            <h2>Please transfer {money(dueOf(body))}</h2>
            <p>
              {body.payTo}
              {"\n"}Say with it: order {order.number}
            </p>
          </section>
        ) : null}
      </div>
      {props.history ? (
        <section className="or-past">
          <h2>What has happened so far</h2>
          <ol>
            {events
              .filter(({ what }) => HAPPENED[what] !== undefined)
              .map(({ what, at, text, amount }, i) => (
                <li key={i}>
                  <time dateTime={new Date(at).toISOString()}>{when(at)}</time>
                  <span>
                    {HAPPENED[what]} {what === "refunded" && amount !== null ? money(amount) : ""}
                    {text && what !== "placed" && what !== "paid" ? ` ${text}` : ""}
                  </span>
                </li>
              ))}
          </ol>
        </section>
      ) : null}
    </>
  );
}
