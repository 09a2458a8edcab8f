import { moneyAndTime } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { changeMoney } from "~/server/shops/index.server";
import type { Route } from "./+types/money";

/** The currency of a shop, how it writes prices, and its time zone. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = moneyAndTime.input.safeParse(await request.json().catch(() => undefined));
  if (!asked.success) {
    const problems = asked.error.issues.map(({ path, message }) => ({ path: path.join("."), why: message }));
    return Response.json({ problems }, { status: 422 });
  }
  const changed = await changeMoney(shop, asked.data);
  if (!changed.ok) return Response.json({ problems: [{ path: changed.field, why: changed.why }] }, { status: 422 });
  return Response.json({ ok: true });
});
