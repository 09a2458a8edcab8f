import type { Transaction } from "sequelize";
import {
  cardLetterGiven,
  orderLetterGiven,
  renderLetter,
  type CardTold,
  type ShopContent,
  type ToldOfOrder,
} from "~/render";
import { shopOrigin } from "../config/index.server";
import { cardsOfOrder } from "../gift-cards/index.server";
import { send } from "../outbox/index.server";
import type { Shop } from "../shops/index.server";
import type { WholeOrder } from "./read";

export type Told = ToldOfOrder;
type From = { readonly shop: Shop; readonly content: ShopContent };

/** Tells whoever bought something what has happened with their order. `text`: what the seller wrote to it. */
export async function orderLetter(whole: WholeOrder, { shop, content }: From, what: Told, text = ""): Promise<void> {
  const origin = shopOrigin(shop.host);
  const { order, events, token } = whole;
  const given = orderLetterGiven({ order, events, address: `${origin}/order/${token}` }, what, text, {
    content,
    origin,
  });
  const { html, text: plain } = renderLetter(given, content, origin);
  const from = content.draft.look.identity.name;
  await send({ to: order.body.mail, from, subject: given.subject, html, text: plain });
}

/** Sends a gift card to whom it is for; `to`: where that is not said. */
export async function sendGiftCard(card: CardTold, { shop, content }: From, to = ""): Promise<void> {
  const origin = shopOrigin(shop.host);
  const given = cardLetterGiven(card, { content, origin });
  const { html, text } = renderLetter(given, content, origin);
  const from = content.draft.look.identity.name;
  await send({ to: card.to || to, from, subject: given.subject, html, text });
}

/** Sends the gift cards that were bought with an order, each in a letter of its own. */
export async function cardLetters({ order }: WholeOrder, from: From, transaction?: Transaction): Promise<void> {
  for (const card of await cardsOfOrder(order.id, transaction)) await sendGiftCard(card, from, order.body.mail);
}
