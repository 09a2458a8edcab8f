import { readRework } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { reworkOf } from "~/server/pictures/index.server";
import type { Route } from "./+types/picture-rework";

/** What was done to `?id=` in the studio. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = readRework.input.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  const rework = asked.success ? await reworkOf(shop.id, asked.data.id) : undefined;
  if (rework === undefined) return Response.json({ why: "This picture is no longer there." }, { status: 404 });
  return Response.json({ rework });
});
