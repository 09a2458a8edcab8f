import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { addDocument, addVideo, filesOf } from "~/server/pictures/index.server";
import { formOf } from "~/server/http/form.server";
import type { Route } from "./+types/film";

/** The films and documents of the shop. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  return Response.json(await filesOf(shop.id));
});

/** Takes a film or a document. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const form = await formOf(request);
  const isDocument = form.has("document");
  const file = form.get(isDocument ? "document" : "film");
  if (!(file instanceof File)) return Response.json({ ok: false, why: "No file arrived." }, { status: 400 });
  const bytes = Buffer.from(await file.arrayBuffer());
  const result = await (isDocument ? addDocument : addVideo)(shop.id, bytes, file.name);
  return Response.json(result, { status: result.ok ? 200 : 422 });
});
