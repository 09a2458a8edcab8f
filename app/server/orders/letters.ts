import { formatMoney } from "~/core/money";
import type { OrderEvent } from "~/core/orders";
import { addressLines, countryName, PAYMENT_WORDS } from "~/core/selling";
import { renderLetter, type LetterPart, type ShopContent } from "~/render";
import { shopOrigin } from "../config/index.server";
import { send } from "../outbox/index.server";
import type { Shop } from "../shops/index.server";
import type { WholeOrder } from "./read";

type Told = Exclude<OrderEvent["what"], "note" | "mail">;

/** How each letter begins; `text`: what the seller wrote to it. */
const WORDS: Readonly<Record<Told, { readonly subject: string; readonly heading: string; readonly words: string }>> = {
  placed: {
    subject: "Your order",
    heading: "Thank you for your order",
    words: "We have received it.",
  },
  paid: { subject: "Your payment has arrived", heading: "Your payment has arrived", words: "" },
  ready: {
    subject: "Your order is ready",
    heading: "Your order is ready",
    words: "You can collect it now.",
  },
  sent: { subject: "Your order is on its way", heading: "Your order is on its way", words: "We have sent it." },
  collected: { subject: "You have your order", heading: "You have your order", words: "" },
  refunded: { subject: "Money back", heading: "We have given money back", words: "" },
  cancelled: {
    subject: "Your order is cancelled",
    heading: "Your order is cancelled",
    words: "Nothing of it will be sent.",
  },
};

/** What an order came to, as letters show it. */
function sums({ order: { body } }: WholeOrder): LetterPart {
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const { tax } = body;
  return {
    sort: "rows",
    rows: [
      ...body.lines.map((line) => ({ left: `${line.count} × ${line.title}`, right: money(line.full) })),
      ...(body.off > 0 ? [{ left: "Discounts", right: `−${money(body.off)}` }] : []),
      { left: body.way.name, right: body.delivery.total === 0 ? "Free" : money(body.delivery.total) },
      ...(tax && !tax.isIncluded
        ? tax.rows
            .filter((row) => row.tax > 0)
            .map(({ rate, tax: amount }) => ({ left: `${tax.name} ${rate / 100} %`, right: money(amount) }))
        : []),
      { left: "Total", right: money(body.total), isStrong: true },
      ...(tax?.isIncluded
        ? tax.rows
            .filter((row) => row.tax > 0)
            .map(({ rate, tax: amount }) => ({ left: `${tax.name} ${rate / 100} % in it`, right: money(amount) }))
        : []),
    ],
  };
}

/** Tells whoever bought something what has happened with their order. */
export async function orderLetter(
  whole: WholeOrder,
  { shop, content }: { readonly shop: Shop; readonly content: ShopContent },
  what: Told,
  text = "",
): Promise<void> {
  const { order, token } = whole;
  const { body, number, isTest } = order;
  const name = content.draft.look.identity.name;
  const { subject, heading, words } = WORDS[what];
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const last = whole.events.findLast((event) => event.what === what);
  const isDue = body.pay === "transfer" && order.paid < body.total && order.state === "placed";
  const parts: readonly LetterPart[] = [
    { sort: "heading", text: heading },
    { sort: "words", text: what === "refunded" ? `${money(last?.amount ?? 0)} are on their way back to you.` : words },
    ...(text ? [{ sort: "words", text } as const] : []),
    ...(isDue && what === "placed"
      ? [
          {
            sort: "words",
            text: `Please transfer ${money(body.total)} and name order ${number}.\n\n${body.payTo}`,
          } as const,
        ]
      : []),
    {
      sort: "button",
      label: "See your order",
      link: { to: "web", address: `${shopOrigin(shop.host)}/order/${token}` },
    },
    ...(what === "placed" || what === "sent" || what === "ready"
      ? [
          sums(whole),
          {
            sort: "words",
            text: body.to
              ? `${body.way.name} to:\n${addressLines(body.to, countryName).join("\n")}`
              : `To be collected here:\n${body.way.says}`,
          } as const,
          { sort: "words", text: `How it is paid: ${PAYMENT_WORDS[body.pay]}` } as const,
        ]
      : []),
  ];
  const headed = `${isTest ? "Test: " : ""}${subject} (${isTest ? "T" : ""}${number}) at ${name}`;
  const { html, text: plain } = renderLetter(
    { subject: headed, blocks: parts, because: `You get this because you ordered something at ${name}.` },
    content,
    shopOrigin(shop.host),
  );
  await send({ to: body.mail, from: name, subject: headed, html, text: plain });
}
