import { requireShop } from "~/server/http/guard.server";
import { usesOf } from "~/server/offer-uses/index.server";
import { OffersArea } from "~/studio/offers";
import type { Route } from "./+types/offers";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return { uses: await usesOf(shop.id) };
}

export default function Offers() {
  return <OffersArea />;
}
