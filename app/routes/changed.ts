import { askForShop } from "~/core/protocol";
import { goodsSince } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { picturesOf } from "~/server/pictures/index.server";
import { publishedDraft } from "~/server/publishing/index.server";
import type { Route } from "./+types/changed";

/** What of a shop is other than what a studio knows already: goods, pictures, what is published. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const input = askForShop.input.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!input.success) return Response.json({ why: "That can’t be answered." }, { status: 400 });
  const had = input.data;
  const { goodsVersion, picturesVersion, publicationId } = shop;
  const [goods, pictures, published] = await Promise.all([
    goodsVersion === had.goods ? undefined : goodsSince(shop, had.goods),
    picturesVersion === had.pictures ? undefined : picturesOf(shop.id),
    publicationId === null || publicationId === had.publication ? undefined : publishedDraft(publicationId),
  ]);
  const versions = { goods: goodsVersion, pictures: picturesVersion, publication: publicationId };
  return Response.json({ versions, goods, pictures, published });
}
