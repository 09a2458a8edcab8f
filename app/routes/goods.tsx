import { useMemo } from "react";
import { waitingFor } from "~/server/carts/index.server";
import { goodsSteps, reviewsOf, settingsOf } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { GoodsArea } from "~/studio/goods";
import { useStudio } from "~/studio/keeping";
import type { Route } from "./+types/goods";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const [steps, reviews, settings, waiting] = await Promise.all([
    goodsSteps(shop.id),
    reviewsOf(shop.id),
    settingsOf(shop.id),
    waitingFor(shop.id),
  ]);
  return { steps, reviews, settings, waiting: Object.fromEntries(waiting) };
}

export default function Goods({ loaderData }: Route.ComponentProps) {
  const { products, collections } = useStudio((s) => s.stored);
  const data = useMemo(() => ({ ...loaderData, products, collections }), [loaderData, products, collections]);
  return <GoodsArea data={data} />;
}
