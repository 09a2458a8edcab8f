import { requireShop } from "~/server/http/guard.server";
import { countsOf } from "~/server/orders/index.server";
import { OrdersArea } from "~/studio/orders";
import type { Route } from "./+types/orders";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return countsOf(shop.id);
}

export default function Orders({ loaderData }: Route.ComponentProps) {
  return <OrdersArea counts={loaderData} />;
}
