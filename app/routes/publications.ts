import { listPublications, readPublication } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { publicationOf, publicationsOf } from "~/server/publishing/index.server";
import type { Route } from "./+types/publications";

const refuse = (why: string, status: number) => Response.json({ why }, { status });

/** What was published before, or with `?number=` one publication with the whole shop as it was then. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const one = readPublication.input.safeParse(asked);
  if (one.success) {
    const draft = await publicationOf(shop.id, one.data.number);
    return draft ? Response.json({ draft }) : refuse("There is no publication of this number.", 404);
  }
  if (!listPublications.input.safeParse(asked).success) return refuse("There are no publications of this.", 400);
  return Response.json({ publications: await publicationsOf(shop.id) });
});
