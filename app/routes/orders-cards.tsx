import { giftCardsAsked } from "~/core/gift-cards";
import { giftCardsOf } from "~/server/gift-cards/index.server";
import { requireShop } from "~/server/http/guard.server";
import { GiftCardsPage } from "~/studio/orders";
import type { Route } from "./+types/orders-cards";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const asked = giftCardsAsked.parse(Object.fromEntries(new URL(request.url).searchParams));
  return { asked, ...(await giftCardsOf(shop.id, asked)) };
}

export default function OrdersCards({ loaderData }: Route.ComponentProps) {
  return <GiftCardsPage {...loaderData} />;
}
