import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { addVideo, filmsOf } from "~/server/pictures/index.server";
import { formOf } from "~/server/http/form.server";
import type { Route } from "./+types/film";

/** The films of the shop. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  return Response.json({ films: await filmsOf(shop.id) });
});

/** Takes a film. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const file = (await formOf(request)).get("film");
  if (!(file instanceof File)) return Response.json({ ok: false, why: "No film arrived." }, { status: 400 });
  const result = await addVideo(shop.id, Buffer.from(await file.arrayBuffer()), file.name);
  return Response.json(result, { status: result.ok ? 200 : 422 });
});
