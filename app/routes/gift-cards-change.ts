import { changeGiftCards } from "~/core/protocol";
import { sellingOf } from "~/core/selling";
import { endOfCards, makeGiftCard, setCardOff } from "~/server/gift-cards/index.server";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { sendGiftCard } from "~/server/orders/index.server";
import { letterContent } from "~/server/storefront/index.server";
import type { Route } from "./+types/gift-cards-change";

/** Makes a gift card by hand and sends it where that is wanted, or ends one. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = changeGiftCards.input.safeParse(await request.json().catch(() => undefined));
  if (!asked.success) {
    const problems = asked.error.issues.map(({ path, message }) => ({ path: path.join("."), why: message }));
    return Response.json({ problems }, { status: 422 });
  }
  const { data } = asked;
  if (data.do === "off") {
    const isThere = await setCardOff(shop.id, data.id, data.isOff);
    return isThere ? Response.json({ ok: true }) : Response.json({ why: "There is no such card." }, { status: 404 });
  }
  const from = await letterContent(shop.id);
  if (data.to && !from)
    return Response.json(
      {
        problems: [
          {
            path: "to",
            why: "A letter can go out once your shop is published. Leave it empty, and give the code on yourself.",
          },
        ],
      },
      { status: 422 },
    );
  const years = from && sellingOf(from.content.draft.documents).cardYears;
  const { amount, to, from: who, message, design } = data;
  const card = await makeGiftCard(shop.id, {
    amount,
    to,
    from: who,
    message,
    design,
    currency: shop.currency,
    until: endOfCards(years),
  });
  if (card.to && from) await sendGiftCard(card, from);
  return Response.json({ ok: true, code: card.code });
});
