import { removeFile } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { removeFile as remove } from "~/server/pictures/index.server";
import type { Route } from "./+types/film-remove";

/** Takes a film or a document out of the list, or brings it back. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const input = removeFile.input.safeParse(await request.json().catch(() => null));
  if (!input.success) return Response.json({ why: input.error.issues[0]!.message }, { status: 422 });
  const { file, restore } = input.data;
  return (await remove(shop.id, file, restore))
    ? Response.json({ ok: true })
    : Response.json({ why: "This file is no longer there." }, { status: 404 });
});
