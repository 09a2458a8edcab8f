import { data } from "react-router";
import { keep, keepSchema, since } from "~/server/drafts/index.server";
import { requireShop } from "~/server/http/guard.server";
import type { Route } from "./+types/keep";

/** What others have kept since `?since=`. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const from = Number(new URL(request.url).searchParams.get("since"));
  return Response.json(await since(shop.id, Number.isSafeInteger(from) && from >= 0 ? from : 0));
}

export async function action({ request, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, params.shop);
  const input = keepSchema.safeParse(await request.json().catch(() => undefined));
  if (!input.success) throw data("These changes can’t be read.", { status: 400 });
  return Response.json(await keep(shop.id, input.data));
}
