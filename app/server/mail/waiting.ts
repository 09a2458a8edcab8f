import { QueryTypes } from "sequelize";
import { canBuy, productWith, variantById } from "~/core/goods";
import { renderLetter, tellLetterGiven, type ShopContent } from "~/render";
import { shopOrigin } from "../config/index.server";
import { AlertRow, atomically, database } from "../database/index.server";
import { send } from "../outbox/index.server";
import type { Shop } from "../shops/index.server";

/** So many of one shop are told at once; the others a moment later. */
const AT_ONCE = 100;

type From = { readonly shop: Shop; readonly content: ShopContent };

/** Tells everybody who asked for it that something can be had now: once, and then nobody knows any more that they asked. */
export async function answerWaiting(contentFor: (shopId: string) => Promise<From | undefined>): Promise<number> {
  const shops = await database().query<{ shopId: string }>("SELECT DISTINCT shopId FROM alerts", {
    type: QueryTypes.SELECT,
  });
  let told = 0;
  for (const { shopId } of shops) {
    const from = await contentFor(shopId);
    if (!from) continue;
    const rows = await AlertRow.findAll({ where: { shopId }, order: [["createdAt", "ASC"]], raw: true });
    const due = rows.filter(({ productId, variantId }) => {
      const product = productWith(from.content.goods, productId);
      return product !== undefined && canBuy(product, variantById(product, variantId || null));
    });
    for (const row of due.slice(0, AT_ONCE)) if (await tell(row, from)) told++;
  }
  return told;
}

/** Sends one letter, or none where another process was faster. */
const tell = ({ shopId, productId, variantId, address }: AlertRow, { shop, content }: From): Promise<boolean> =>
  atomically(async (transaction) => {
    const where = { shopId, productId, variantId, address };
    if (!(await AlertRow.findOne({ where, transaction, lock: true }))) return false;
    const product = productWith(content.goods, productId)!;
    const origin = shopOrigin(shop.host);
    const given = tellLetterGiven(product, { content, origin });
    const { html, text } = renderLetter(given, content, origin);
    await send({ to: address, from: content.draft.look.identity.name, subject: given.subject, html, text });
    await AlertRow.destroy({ where, transaction });
    return true;
  });
