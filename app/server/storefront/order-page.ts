import express, { type Request, type Response, type Router } from "express";
import { ACCOUNT } from "~/core/account";
import { hasAccounts, sellingOf } from "~/core/selling";
import type { ShopContent } from "~/render";
import {
  askForNewLink,
  forgetLettersOf,
  orderByToken,
  sendLettersOf,
  settleOrder,
  type PlacedOrder,
} from "../orders/index.server";
import { cardPayments } from "../payments/index.server";
import type { Shop } from "../shops/index.server";
import { contentFor, drawnFor } from "./draft";
import { guarded } from "./guarded";
import { cookieOf, isWalk, originOf, send, shopOf, tellNobody } from "./sending";
import { noteBought } from "./visitors";

// Where an order is seen by whoever made it, and what its payment still waits for is answered.

const NO_STORE = "no-store";
/** Sent from one place in a minute. */
const MOST_PER_MINUTE = 30;

/** Sends the letter that thanks for an order, and the gift cards in it. */
export const tellBuyer = (
  request: Request,
  from: { readonly shop: Shop; readonly content: ShopContent },
  id: string,
): Promise<void> => (isWalk(request) ? forgetLettersOf(id) : sendLettersOf(id, from.shop.id, from));

/** Leads to the page that says thanks. The cart is empty then, as the header is to say. */
export function leadToThanks(response: Response, { token }: Pick<PlacedOrder, "token">): void {
  response.append("Set-Cookie", "items=0; Path=/; SameSite=Lax; Max-Age=0");
  noteBought(response);
  response.redirect(303, `${originOf(response)}/order/${token}?thanks=1`);
}

/** An order by its link, for as long as that is good. */
export function orderPages(): Router {
  const router = express.Router();
  const form = express.urlencoded({ extended: false, limit: "2kb" });
  const guard = guarded("orders", MOST_PER_MINUTE);

  router.get("/order/:token", async (request, response, next) => {
    const shop = shopOf(response);
    const token = String(request.params.token);
    const [content, found] = await Promise.all([contentFor(response), orderByToken(shop.id, token)]);
    if (!content) return next();
    // The address is the key to it.
    tellNobody(response);
    response.setHeader("X-Robots-Tag", "noindex");
    const target = (status: number, page: Parameters<typeof drawnFor>[3]) =>
      drawnFor(request, response, status, page, content).then((drawn) => send(request, response, drawn, NO_STORE));
    const withAccounts = hasAccounts(sellingOf(content.draft.documents));
    if (!found)
      return target(404, {
        page: "message",
        title: "This link leads to no order",
        text: withAccounts
          ? "It may not be whole, or there may be a newer one in a later letter. In an account with the mail address that you ordered with are all of your orders."
          : "It may not be whole, or there may be a newer one in a later letter.",
        ...(hasAccounts(sellingOf(content.draft.documents))
          ? { way: { address: ACCOUNT, label: "Your account" } }
          : {}),
      });
    if (found.is === "old")
      return target(410, {
        page: "message",
        title: "This link is no longer good",
        text: "We can send a new one to the mail address that the order was made with.",
        press: { action: `/order/${token}/link`, label: "Send me a new link" },
      });
    if (found.is === "gone")
      return target(200, {
        page: "message",
        title: "Nothing was ordered",
        text: "The payment did not come about, and nothing was taken. What you chose is still in your cart.",
        way: { address: "/checkout", label: "Back to the checkout" },
      });
    if (found.is === "held" && !found.asks)
      return target(200, {
        page: "message",
        title: "No answer to your payment yet",
        text: "Nothing is ordered until there is one. Your goods are kept for fifteen minutes; after that they go back, and nothing was paid.",
        way: { address: `/order/${token}`, label: "Look again" },
      });
    if (found.is === "held")
      return target(200, {
        page: "message",
        title: "Your bank asks whether it is you",
        text: "This is the stand-in for a bank: no money is taken. Your goods are kept for fifteen minutes.",
        press: { action: `/order/${token}/yes`, label: "Yes, it is me" },
        refuse: { action: `/order/${token}/no`, label: "No, leave it" },
      });
    const seen = { order: found.order, events: found.events, address: `/order/${token}` };
    await target(200, { page: request.query.thanks === "1" ? "thanks" : "order", ...seen });
  });

  const answered = async (request: Request, response: Response, isThem: boolean) => {
    const shop = shopOf(response);
    const token = String(request.params.token);
    const found = await orderByToken(shop.id, token);
    if (found?.is === "held" && found.asks) {
      const result = await cardPayments.answered(found.id, isThem);
      const whole = await contentFor(response);
      const years = whole && sellingOf(whole.draft.documents).cardYears;
      const done = await settleOrder(found.id, result === "paid", cookieOf(request, "cart"), years);
      if (done?.isNew && done.state === "placed" && whole) {
        await tellBuyer(request, { shop, content: whole }, found.id);
        return leadToThanks(response, { token });
      }
    }
    response.redirect(303, `${originOf(response)}/order/${token}`);
  };
  router.post("/order/:token/link", form, guard, async (request, response, next) => {
    const shop = shopOf(response);
    const token = String(request.params.token);
    const [content, found] = await Promise.all([contentFor(response), orderByToken(shop.id, token)]);
    if (!content) return next();
    tellNobody(response);
    if (found?.is !== "old") return response.redirect(303, `${originOf(response)}/order/${token}`);
    await askForNewLink(found.id);
    await sendLettersOf(found.id, shop.id, { shop, content });
    const said = {
      page: "message",
      title: "A new link is on its way",
      text: "It goes to the mail address that the order was made with.",
    } as const;
    send(request, response, await drawnFor(request, response, 200, said, content), NO_STORE);
  });
  router.post("/order/:token/yes", form, guard, (request, response) => answered(request, response, true));
  router.post("/order/:token/no", form, guard, (request, response) => answered(request, response, false));
  return router;
}
