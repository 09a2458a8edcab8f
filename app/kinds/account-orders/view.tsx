import { ALL_GOODS } from "~/core/addresses";
import { formatMoney } from "~/core/money";
import type { ViewProps } from "../definition";
import { Pic, useAccount, useEnv, Words } from "../parts";
import type { AccountOrdersProps } from "./definition";

/** So many things of one order are shown as pictures. */
const MOST_PICTURES = 5;

export function View({ props }: ViewProps<AccountOrdersProps>) {
  const { when, money } = useEnv();
  const { orders, older } = useAccount();
  return (
    <section className="ao">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      {orders.length === 0 ? (
        <div className="ao-none">
          <Words at="none" as="p" text={props.none} hint="What is said" />
          <a href={ALL_GOODS}>See what there is</a>
        </div>
      ) : (
        <ul className="ao-list">
          {orders.map((order) => {
            const name = `${order.isTest ? "T" : ""}${order.number}`;
            const pictures = order.lines.filter(({ picture }) => picture !== null).slice(0, MOST_PICTURES);
            return (
              <li className="ao-one" key={name}>
                <div>
                  <p className="ao-facts">
                    <b>Order {name}</b>
                    <time dateTime={new Date(order.at).toISOString()}>{when(order.at)}</time>
                    <span>{order.standing.join(", ")}</span>
                  </p>
                  <p className="ao-what">
                    {order.lines.map(({ title, count }) => (count > 1 ? `${count} × ${title}` : title)).join(" · ")}
                  </p>
                  {pictures.length ? (
                    <div className="ao-pics">
                      {pictures.map(({ picture }, i) => (
                        <Pic key={i} picture={picture} sizes="3.25rem" alt="" />
                      ))}
                    </div>
                  ) : null}
                </div>
                <span className="amount">
                  {order.currency ? formatMoney(order.total, order.currency, order.moneyFormat) : money(order.total)}
                </span>
                <form className="ao-do" method="post" action="/account/again">
                  <a href={order.address} aria-label={`See order ${name}`}>
                    See it
                  </a>
                  <input type="hidden" name="order" value={name} />
                  <button type="submit" aria-label={`${props.again}: order ${name}`}>
                    <Words at="again" text={props.again} hint="Button words" />
                  </button>
                </form>
              </li>
            );
          })}
        </ul>
      )}
      {older ? (
        <p className="ao-do">
          <a href={older}>Earlier orders</a>
        </p>
      ) : null}
    </section>
  );
}
