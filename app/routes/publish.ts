import { data } from "react-router";
import { z } from "zod";
import { requireShop } from "~/server/http/guard.server";
import { pendingChanges, publish } from "~/server/publishing/index.server";
import type { Route } from "./+types/publish";

const schema = z.object({ seq: z.number().int().min(0) });

/** What publishing now would change. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return Response.json(await pendingChanges(shop.id));
}

export async function action({ request, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, params.shop);
  const input = schema.safeParse(await request.json().catch(() => undefined));
  if (!input.success) throw data("This can’t be published.", { status: 400 });
  return Response.json(await publish(shop.id, input.data.seq));
}
