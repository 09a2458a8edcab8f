import { lastOf } from "~/core/gift-cards";
import { laterWords } from "~/core/checkout";
import type { ViewProps } from "../definition";
import { Sums, SumLines, useCheckout, useEnv, Words, type SumLine } from "../parts";
import type { CheckoutSumProps } from "./definition";

export function View({ props, arrangement }: ViewProps<CheckoutSumProps>) {
  const { money } = useEnv();
  const { lines, priced, offers, way, tax, byCards, due } = useCheckout();
  if (lines.length === 0) return null;
  const names = new Map(offers.map((offer) => [offer.id, offer.name]));
  const offs = (list: readonly { readonly offer: string; readonly amount: number }[]) =>
    list.map(({ offer, amount }) => ({ name: names.get(offer) ?? "", amount }));
  const bought: readonly SumLine[] = [
    ...lines.map((line, i) => ({
      key: `${line.product.id} ${line.variant?.id ?? ""}`,
      title: line.product.title,
      choice: line.variant?.values.join(" · ") ?? "",
      picture: line.variant?.picture ?? line.product.pictures[0] ?? null,
      count: line.count,
      full: priced.lines[i]!.full,
      total: priced.lines[i]!.total,
      offs: offs(priced.lines[i]!.offs),
      later: laterWords(line),
    })),
    ...priced.gifts.map((gift) => ({
      key: `gift ${gift.offer}`,
      title: gift.product.title,
      choice: gift.variant?.values.join(" · ") ?? "",
      picture: gift.variant?.picture ?? gift.product.pictures[0] ?? null,
      count: gift.count,
      full: 0,
      total: 0,
      offs: offs([{ offer: gift.offer, amount: 0 }]),
      later: "",
    })),
  ];
  return (
    <zest-checkout>
      <details className="ck-sum">
        <summary>
          <Words at="heading" as="h2" text={props.heading} hint="Heading" />
          <span className="amount">{money(due)}</span>
        </summary>
        <SumLines lines={bought} withPictures={arrangement !== "bare"} />
        <Sums
          sum={{
            ...priced,
            delivery: priced.delivery && way ? { name: way.name, ...priced.delivery } : undefined,
            tax: priced.tax && tax ? { name: tax.name, ...priced.tax } : undefined,
            byCards: byCards.map(({ code, amount }) => ({ last: lastOf(code), amount })),
          }}
          words={{
            goods: <Words at="goods" text={props.goods} hint="Before discounts" />,
            off: <Words at="off" text={props.off} hint="All discounts" />,
            total: <Words at="total" text={props.total} hint="In the end" />,
          }}
          delivery={<Words at="delivery" text={props.delivery} hint="Delivery" />}
        />
        {props.back ? (
          <a className="ck-back" href="/cart">
            <Words at="back" text={props.back} hint="Way back" />
          </a>
        ) : null}
      </details>
    </zest-checkout>
  );
}
