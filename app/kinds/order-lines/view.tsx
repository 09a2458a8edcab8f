import type { ViewProps } from "../definition";
import { SumLines, Sums, useEnv, useOrder, Words } from "../parts";
import type { OrderLinesProps } from "./definition";

export function View({ props, arrangement }: ViewProps<OrderLinesProps>) {
  const { studio } = useEnv();
  const seen = useOrder();
  const { body } = seen.order;
  return (
    <section className="or-lines">
      {props.heading || studio ? <Words at="heading" as="h2" text={props.heading} hint="Heading" /> : null}
      <SumLines
        withPictures={arrangement !== "bare"}
        lines={body.lines.map((line, i) => ({
          key: String(i),
          title: line.title,
          choice: "",
          picture: line.picture,
          count: line.count,
          full: line.full,
          total: line.total,
          offs: line.offs,
          later: line.later,
        }))}
      />
      <Sums
        sum={{
          ...body,
          delivery: { name: body.way.name, ...body.delivery },
          tax: body.tax ?? undefined,
        }}
        words={{
          goods: <Words at="goods" text={props.goods} hint="Before discounts" />,
          off: <Words at="off" text={props.off} hint="All discounts" />,
          total: <Words at="total" text={props.total} hint="In the end" />,
        }}
        delivery={<Words at="delivery" text={props.delivery} hint="Delivery" />}
      />
    </section>
  );
}
