import { cartLetterGiven, renderLetter, type ShopContent } from "~/render";
import { cartOf, dueReminders, reminded } from "../carts/index.server";
import { shopOrigin } from "../config/index.server";
import { send } from "../outbox/index.server";
import type { Shop } from "../shops/index.server";

type From = { readonly shop: Shop; readonly content: ShopContent };

/** Reminds everybody of their cart who asked for it: once, and then their address is no longer known. A cart with nothing in it is not spoken of. */
export async function sendReminders(
  contentFor: (shopId: string) => Promise<From | undefined>,
  now = Date.now(),
): Promise<number> {
  let sent = 0;
  for (const { id, shopId, to } of await dueReminders(now)) {
    const from = await contentFor(shopId);
    if (!from) continue;
    // Whoever notes it first sends it.
    if (!(await reminded(id, to))) continue;
    const { shop, content } = from;
    const { lines } = await cartOf(shopId, id, content.goods);
    if (lines.length === 0) continue;
    const origin = shopOrigin(shop.host);
    const given = cartLetterGiven(lines, `${origin}/cart/back/${id}`, { content, origin });
    const { html, text } = renderLetter(given, content, origin);
    await send({ to, from: content.draft.look.identity.name, subject: given.subject, html, text });
    sent++;
  }
  return sent;
}
