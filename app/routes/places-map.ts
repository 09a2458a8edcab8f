import { drawMap } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { mapAround } from "~/server/places/index.server";
import type { Route } from "./+types/places-map";

/** Draws a map of where a point is. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  await requireShop(request, params.shop);
  const input = drawMap.input.safeParse(await request.json().catch(() => null));
  if (!input.success)
    return Response.json({ why: "There is no map of this place: it is too near to a pole." }, { status: 422 });
  const { reach, place, ...point } = input.data;
  const drawn = await mapAround(point, reach, place);
  return drawn.ok ? Response.json({ map: drawn.value }) : Response.json({ why: drawn.why }, { status: 503 });
});
