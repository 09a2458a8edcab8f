import { keepVersion, listVersions, readVersion, removeVersion } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { publicationOf } from "~/server/publishing/index.server";
import { keepPageVersion, removePageVersion, versionOf, versionsOf } from "~/server/versions/index.server";
import type { Route } from "./+types/versions";

const refuse = (why: string, status = 422) => Response.json({ why }, { status });

/** The versions of `?page=`, or with `?id=` one of them with what is in it. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const one = readVersion.input.safeParse(asked);
  if (one.success) {
    const read = await versionOf(shop.id, one.data.id);
    if (!read.ok) return refuse(read.why);
    const { document, publication } = read;
    const published = publication === null ? undefined : await publicationOf(shop.id, publication);
    return Response.json({ document, published });
  }
  const list = listVersions.input.safeParse(asked);
  if (!list.success) return refuse("There are no versions of this.", 400);
  return Response.json({ versions: await versionsOf(shop.id, list.data.page) });
});

export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const sent: unknown = await request.json().catch(() => undefined);
  const removal = removeVersion.input.safeParse(sent);
  if (removal.success) return Response.json({ removed: await removePageVersion(shop.id, removal.data.remove) });
  const input = keepVersion.input.safeParse(sent);
  if (!input.success) return refuse(input.error.issues[0]?.message ?? "This version can’t be saved.", 400);
  const kept = await keepPageVersion(shop.id, input.data);
  return kept.ok ? Response.json({ version: kept.version }) : refuse(kept.why);
});
