import { redirect } from "react-router";
import { requireOwner } from "~/server/http/guard.server";
import { shopsOf } from "~/server/shops/index.server";
import type { Route } from "./+types/start";

/** Straight to the work: the first shop, or the making of one. */
export async function loader({ request }: Route.LoaderArgs) {
  const owner = await requireOwner(request);
  const [first] = await shopsOf(owner.id);
  throw redirect(first ? `/s/${first.id}/pages` : "/shops/new");
}
