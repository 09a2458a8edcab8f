import { findPlaces } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { placesNamed } from "~/server/places/index.server";
import type { Route } from "./+types/places";

/** Places of the world whose name begins with `?named=`. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  await requireShop(request, params.shop);
  const asked = findPlaces.input.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  return Response.json({ places: asked.success ? await placesNamed(asked.data.named) : [] });
});
