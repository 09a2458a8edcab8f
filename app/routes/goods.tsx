import { waitingFor } from "~/server/carts/index.server";
import { allGoodsOf, goodsSteps, reviewsOf, settingsOf } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { GoodsArea } from "~/studio/goods";
import type { Route } from "./+types/goods";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const [all, steps, reviews, settings, waiting] = await Promise.all([
    allGoodsOf(shop),
    goodsSteps(shop.id),
    reviewsOf(shop.id),
    settingsOf(shop.id),
    waitingFor(shop.id),
  ]);
  return { ...all, steps, reviews, settings, waiting: Object.fromEntries(waiting) };
}

export default function Goods({ loaderData }: Route.ComponentProps) {
  return <GoodsArea data={loaderData} />;
}
