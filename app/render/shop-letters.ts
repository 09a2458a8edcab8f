import { writtenCard, GIFT_CARD, type CardFor } from "~/core/gift-cards";
import { formatMoney } from "~/core/money";
import { dueOf, paidWith, type Order, type OrderEvent } from "~/core/orders";
import { lineTitle } from "~/core/offers";
import { addressLines, countryName } from "~/core/selling";
import { dayIn } from "~/core/situation";
import { written, type LetterFacts, type ShopLetter } from "~/core/shop-letters";
import { dayWords, type Product } from "~/core/goods";
import type { CartLine } from "~/kinds/parts";
import { cardPictureAddress } from "./card-picture";
import type { LetterGiven, LetterPart } from "./letter";
import type { ShopContent } from "./shop";

// What letters are made of that a shop writes by itself. The studio shows them from the same functions by which they go out.

type From = {
  readonly content: ShopContent;
  /** The shop’s own address, without a slash at its end. */
  readonly origin: string;
};

const words = (text: string): LetterPart => ({ sort: "words", text });
const button = (label: string, address: string): LetterPart => ({
  sort: "button",
  label,
  link: { to: "web", address },
});

/** A letter with the words that the seller gave it, and what belongs to it below them. */
function letter(
  which: ShopLetter,
  facts: LetterFacts,
  { content }: From,
  parts: readonly LetterPart[],
  because: string,
): LetterGiven {
  const { look, documents } = content.draft;
  const shop = look.identity.name;
  const { subject, heading, words: text } = written(documents, which, { ...facts, shop });
  return {
    subject,
    blocks: [
      ...(heading ? [{ sort: "heading", text: heading } as const] : []),
      ...(text ? [words(text)] : []),
      ...parts,
    ],
    because: `${because} ${shop}.`,
  };
}

/** What an order came to, as letters show it. */
function sums({ body }: Pick<Order, "body">): LetterPart {
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const { tax } = body;
  const taxed = (tax?.rows ?? []).filter((row) => row.tax > 0);
  return {
    sort: "rows",
    rows: [
      ...body.lines.map((line) => ({ left: `${line.count} × ${line.title}`, right: money(line.full) })),
      ...(body.off > 0 ? [{ left: "Discounts", right: `−${money(body.off)}` }] : []),
      { left: body.way.name, right: body.delivery.total === 0 ? "Free" : money(body.delivery.total) },
      ...(tax && !tax.isIncluded
        ? taxed.map(({ rate, tax: amount }) => ({ left: `${tax.name} ${rate / 100} %`, right: money(amount) }))
        : []),
      { left: "Total", right: money(body.total), isStrong: true },
      ...(tax?.isIncluded
        ? taxed.map(({ rate, tax: amount }) => ({ left: `${tax.name} ${rate / 100} % in it`, right: money(amount) }))
        : []),
      ...body.byCards.map(({ last, amount }) => ({ left: `Gift card ${last}`, right: `−${money(amount)}` })),
      ...(body.byCards.length ? [{ left: "Left to pay", right: money(dueOf(body)), isStrong: true }] : []),
    ],
  };
}

/** What happened to an order; or that somebody wants another link to it. */
export type ToldOfOrder = Exclude<OrderEvent["what"], "note" | "mail"> | "link";
const WITH_SUMS: ReadonlySet<ToldOfOrder> = new Set(["placed", "sent", "ready"]);

export type OrderTold = {
  readonly order: Order;
  readonly events: readonly OrderEvent[];
  /** Where whoever bought it sees it. */
  readonly address: string;
};

/** What whoever bought something is told of their order. `text`: what the seller wrote to it. */
export function orderLetterGiven(
  { order, events, address }: OrderTold,
  what: ToldOfOrder,
  text: string,
  from: From,
): LetterGiven {
  const { body, number, isTest } = order;
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const written = `${isTest ? "T" : ""}${number}`;
  const last = events.findLast((event) => event.what === what);
  const due = dueOf(body);
  const isDue = body.pay === "transfer" && order.paid < body.total && order.state === "placed";
  const facts: LetterFacts = {
    name: body.name,
    order: written,
    total: money(body.total),
    way: body.way.name,
    amount: money(last?.amount ?? 0),
  };
  const parts: readonly LetterPart[] = [
    ...(text ? [words(text)] : []),
    ...(isDue && what === "placed"
      ? [words(`Please transfer ${money(due)} and name order ${written}.\n\n${body.payTo}`)]
      : []),
    button("See your order", address),
    ...(WITH_SUMS.has(what)
      ? [
          sums(order),
          ...(body.to
            ? [words(`${body.way.name} to:\n${addressLines(body.to, countryName).join("\n")}`)]
            : body.way.isCollected
              ? [words(`To be collected here:\n${body.way.says}`)]
              : []),
          ...(body.bill ? [words(`The bill goes to:\n${addressLines(body.bill, countryName).join("\n")}`)] : []),
          words(`How it is paid: ${paidWith(body)}`),
        ]
      : []),
  ];
  const given = letter(what, facts, from, parts, "You get this because you ordered something at");
  return isTest ? { ...given, subject: `Test: ${given.subject}` } : given;
}

export type CardTold = CardFor & {
  readonly code: string;
  readonly amount: number;
  readonly currency: string;
  readonly until: number | null;
};

/** A gift card, to whom it is for. */
export function cardLetterGiven(card: CardTold, from: From): LetterGiven {
  const { content, origin } = from;
  const amount = formatMoney(card.amount, card.currency, content.moneyFormat);
  const timeZone = content.goods.asOf.timeZone;
  const parts: readonly LetterPart[] = [
    ...(card.message
      ? [words(`“${card.message}”${card.from ? `\n${card.from}` : ""}`)]
      : card.from
        ? [words(`From ${card.from}`)]
        : []),
    {
      sort: "image",
      address: origin + cardPictureAddress(card.design),
      alt: `Gift card: ${amount}`,
      width: 536,
      height: 335,
    },
    {
      sort: "rows",
      rows: [
        { left: "Worth", right: amount, isStrong: true },
        ...(card.until === null
          ? []
          : [{ left: "Good until", right: dayWords(dayIn(card.until, timeZone), content.locale, true) }]),
      ],
    },
    { sort: "code", text: writtenCard(card.code) },
    button("Go to the shop", `${origin}/`),
    button("See what is left on it", origin + GIFT_CARD),
  ];
  return letter(
    "card",
    { from: card.from, amount },
    from,
    parts,
    card.to ? "You get this because somebody gave you a card of" : "You get this because you bought a gift card at",
  );
}

/** A cart, brought to mind to whoever asked for it. */
export function cartLetterGiven(lines: readonly CartLine[], address: string, from: From): LetterGiven {
  const parts: readonly LetterPart[] = [
    { sort: "rows", rows: lines.map((line) => ({ left: lineTitle(line), right: `${line.count} ×` })) },
    { sort: "goods", products: [...new Set(lines.map(({ product }) => product.id))].slice(0, 6) },
    button("Back to your cart", address),
  ];
  return letter("cart", {}, from, parts, "You get this one letter because you asked for it at");
}

/** That something can be had. */
export const tellLetterGiven = (product: Product, from: From): LetterGiven =>
  letter(
    "tell",
    { product: product.title },
    from,
    [
      { sort: "goods", products: [product.id] },
      { sort: "button", label: "See it", link: { to: "product", id: product.id } },
    ],
    "You get this one letter, and your address is no longer kept for it, because you asked for it at",
  );

/** A link by which somebody chooses a password. */
export const passwordLetterGiven = (which: "open" | "forgotten", name: string, link: string, from: From): LetterGiven =>
  letter(
    which,
    { name },
    from,
    [
      button("Choose a password", link),
      words("If it was not you, there is nothing to do: nobody gets in with this letter but whoever reads it."),
    ],
    "You get this because this address was given at",
  );
