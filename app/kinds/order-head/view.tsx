import { standingWords } from "~/core/orders";
import type { ViewProps } from "../definition";
import { useEnv, useOrder, Words } from "../parts";
import type { OrderHeadProps } from "./definition";

export function View({ props }: ViewProps<OrderHeadProps>) {
  const { studio } = useEnv();
  const seen = useOrder();
  return (
    <div className="in">
      <Words at="heading" as="h1" className="head" text={props.heading} hint="Heading" />
      <p className="or-facts">
        <b>
          Order {seen.order.isTest ? "T" : ""}
          {seen.order.number}
        </b>
        {standingWords(seen.order).map((words) => (
          <span className="or-chip" key={words}>
            {words}
          </span>
        ))}
        {seen.order.isTest ? <span className="or-test">Made to try the shop: nothing is sent.</span> : null}
      </p>
      {props.text || studio ? <Words at="text" as="p" text={props.text} hint="Text" /> : null}
    </div>
  );
}
