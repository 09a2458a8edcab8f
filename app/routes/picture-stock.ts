import { takeStock } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { takeFromStock } from "~/server/pictures/index.server";
import type { Route } from "./+types/picture-stock";

/** Takes scenes of the stock room into the shop's pictures. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const input = takeStock.input.safeParse(await request.json().catch(() => null));
  if (!input.success) return Response.json({ why: input.error.issues[0]!.message }, { status: 422 });
  const ids = await takeFromStock(shop.id, input.data.names);
  return ids
    ? Response.json({ ids })
    : Response.json({ why: "The stock room has changed. Open it anew and choose again." }, { status: 422 });
});
