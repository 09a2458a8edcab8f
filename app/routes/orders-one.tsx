import { requireShop, shopAddress } from "~/server/http/guard.server";
import { orderOf } from "~/server/orders/index.server";
import { OneOrder, NoOrder } from "~/studio/orders";
import type { Route } from "./+types/orders-one";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const found = await orderOf(shop.id, params.order);
  if (!found) return null;
  const { token, ...rest } = found;
  return { ...rest, address: `${shopAddress(shop)}/order/${token}` };
}

export default function OrdersOne({ loaderData }: Route.ComponentProps) {
  return loaderData ? <OneOrder key={loaderData.order.id} {...loaderData} /> : <NoOrder />;
}
