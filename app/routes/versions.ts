import { data } from "react-router";
import { z } from "zod";
import { requireShop } from "~/server/http/guard.server";
import {
  keepPageVersion,
  keepVersionSchema,
  removePageVersion,
  versionOf,
  versionsOf,
} from "~/server/versions/index.server";
import type { Route } from "./+types/versions";

const removeSchema = z.object({ remove: z.string().min(1).max(40) });

/** The versions of `?page=`, or with `?id=` one of them with what is in it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const asked = new URL(request.url).searchParams;
  const id = asked.get("id");
  if (id) return Response.json(await versionOf(shop.id, id));
  return Response.json({ versions: await versionsOf(shop.id, asked.get("page") ?? "home") });
}

export async function action({ request, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, params.shop);
  const sent: unknown = await request.json().catch(() => undefined);
  const removal = removeSchema.safeParse(sent);
  if (removal.success) return Response.json({ ok: await removePageVersion(shop.id, removal.data.remove) });
  const input = keepVersionSchema.safeParse(sent);
  if (!input.success) throw data(input.error.issues[0]?.message ?? "This version can’t be kept.", { status: 400 });
  return Response.json(await keepPageVersion(shop.id, input.data));
}
