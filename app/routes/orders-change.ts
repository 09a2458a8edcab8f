import { changeOrders } from "~/core/protocol";
import { sellingOf } from "~/core/selling";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { changeOrder, removeTestOrders, sendLettersOf } from "~/server/orders/index.server";
import { letterContent } from "~/server/storefront/index.server";
import type { Route } from "./+types/orders-change";

/** Changes an order, and tells whoever bought it where the seller wants that. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = changeOrders.input.safeParse(await request.json().catch(() => undefined));
  if (!asked.success) {
    const problems = asked.error.issues.map(({ path, message }) => ({ path: path.join("."), why: message }));
    return Response.json({ problems }, { status: 422 });
  }
  const { data } = asked;
  if (data.do === "remove-tests") return Response.json({ ok: true, count: await removeTestOrders(shop.id) });
  const from = await letterContent(shop.id);
  const years = from && sellingOf(from.content.draft.documents).cardYears;
  const changed = await changeOrder(shop.id, data, years);
  if (!changed.ok)
    return Response.json(
      { why: changed.why, problems: [{ path: changed.field, why: changed.why }] },
      { status: changed.status },
    );
  if (from) await sendLettersOf(data.id, shop.id, from);
  return Response.json({ ok: true });
});
