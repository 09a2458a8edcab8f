import { tagPictures } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { tagPictures as tag } from "~/server/pictures/index.server";
import type { Route } from "./+types/picture-tags";

/** Gives pictures tags, and takes others from them. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const input = tagPictures.input.safeParse(await request.json().catch(() => null));
  if (!input.success) return Response.json({ why: input.error.issues[0]!.message }, { status: 422 });
  const { ids, add, take } = input.data;
  const why = await tag(shop.id, ids, add, take);
  return why === undefined ? Response.json({ ok: true }) : Response.json({ why }, { status: 422 });
});
