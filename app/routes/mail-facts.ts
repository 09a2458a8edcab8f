import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { mailFacts } from "~/server/mail/index.server";
import type { Route } from "./+types/mail-facts";

/** Counts, lists and letters of a shop, as they are now. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  return Response.json(await mailFacts(shop.id));
});
