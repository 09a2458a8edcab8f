import { data } from "react-router";
import { z } from "zod";
import { keep, keepSchema, since } from "~/server/drafts/index.server";
import { requireShop } from "~/server/http/guard.server";
import { leave, meet, presenceSchema } from "~/server/presence/index.server";
import type { Route } from "./+types/keep";

const farewellSchema = z.object({ leave: presenceSchema.shape.tab });

/** What others have kept since `?since=`, and who else has the shop open; `?tab=` says who asks. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { owner, shop } = await requireShop(request, params.shop);
  const asked = new URL(request.url).searchParams;
  const from = Number(asked.get("since"));
  const here = presenceSchema.safeParse({ tab: asked.get("tab"), place: asked.get("place") });
  const others = here.success ? await meet(shop.id, owner.name, here.data) : [];
  return Response.json({ ...(await since(shop.id, Number.isSafeInteger(from) && from >= 0 ? from : 0)), others });
}

export async function action({ request, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, params.shop);
  const sent: unknown = await request.json().catch(() => undefined);
  const farewell = farewellSchema.safeParse(sent);
  if (farewell.success) {
    await leave(shop.id, farewell.data.leave);
    return Response.json({ ok: true });
  }
  const input = keepSchema.safeParse(sent);
  if (!input.success) throw data("These changes can’t be read.", { status: 400 });
  return Response.json(await keep(shop.id, input.data));
}
