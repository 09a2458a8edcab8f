import { removePictures } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { removePictures as remove, restorePictures } from "~/server/pictures/index.server";
import type { Route } from "./+types/picture-remove";

/** Takes pictures out of the library, or brings them back. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const input = removePictures.input.safeParse(await request.json().catch(() => null));
  if (!input.success) return Response.json({ why: input.error.issues[0]!.message }, { status: 422 });
  const { ids, restore } = input.data;
  const count = await (restore ? restorePictures : remove)(shop.id, ids);
  return count
    ? Response.json({ ok: true })
    : Response.json({ why: "These pictures are no longer there." }, { status: 404 });
});
