import { changeOrders } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { changeOrder, orderLetter, orderOf, removeTestOrders } from "~/server/orders/index.server";
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
  const changed = await changeOrder(shop.id, data);
  if (!changed.ok)
    return Response.json(
      { why: changed.why, problems: [{ path: changed.field, why: changed.why }] },
      { status: changed.status },
    );
  if (changed.tell && changed.tell !== "note" && changed.tell !== "mail") {
    const [whole, from] = await Promise.all([orderOf(shop.id, data.id), letterContent(shop.id)]);
    if (whole && from) await orderLetter(whole, from, changed.tell, changed.text);
  }
  return Response.json({ ok: true });
});
