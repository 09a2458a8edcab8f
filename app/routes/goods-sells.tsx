import { whatSells } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { WhatSells } from "~/studio/goods";
import type { Route } from "./+types/goods-sells";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return whatSells(shop);
}

export default function Sells({ loaderData }: Route.ComponentProps) {
  return <WhatSells data={loaderData} />;
}
