import { endLinks, makeLink } from "~/core/protocol";
import { requireShop, shopAddress } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { countDraftLinks, endDraftLinks, makeDraftLink } from "~/server/publishing/index.server";
import type { Route } from "./+types/draft-link";

/** How many links to the draft are good. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  return Response.json({ links: await countDraftLinks(shop.id) });
});

export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const body: unknown = await request.json().catch(() => undefined);
  if (endLinks.input.safeParse(body).success) {
    await endDraftLinks(shop.id);
    return Response.json({ links: 0 });
  }
  const make = makeLink.input.safeParse(body);
  if (!make.success) return Response.json({ why: "This can’t be done." }, { status: 400 });
  const { secret, endsAt } = await makeDraftLink(shop.id);
  const to = make.data.to === "/" ? "" : `?to=${encodeURIComponent(make.data.to)}`;
  return Response.json({
    address: `${shopAddress(shop)}/draft/${secret}${to}`,
    until: new Date(endsAt).toISOString(),
    links: await countDraftLinks(shop.id),
  });
});
