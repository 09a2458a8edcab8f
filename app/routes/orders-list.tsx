import { ordersAsked } from "~/core/orders";
import { requireShop } from "~/server/http/guard.server";
import { ordersOf } from "~/server/orders/index.server";
import { OrdersPage } from "~/studio/orders";
import type { Route } from "./+types/orders-list";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const asked = ordersAsked.parse(Object.fromEntries(new URL(request.url).searchParams));
  return { asked, ...(await ordersOf(shop.id, asked)) };
}

export default function OrdersList({ loaderData }: Route.ComponentProps) {
  return <OrdersPage {...loaderData} />;
}
