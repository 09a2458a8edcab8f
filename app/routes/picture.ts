import { describePicture } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { describePicture as describe } from "~/server/pictures/index.server";
import type { Route } from "./+types/picture";

/** Changes what is said about a picture. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const input = describePicture.input.safeParse(await request.json().catch(() => null));
  if (!input.success) return Response.json({ why: input.error.issues[0]!.message }, { status: 422 });
  if (await describe(shop.id, input.data)) return Response.json({ ok: true });
  return Response.json({ why: "This picture is no longer there." }, { status: 404 });
});
