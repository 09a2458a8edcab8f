import { requireShop } from "~/server/http/guard.server";
import { shoppersOf } from "~/server/shoppers/index.server";
import { AccountsPage } from "~/studio/orders";
import type { Route } from "./+types/orders-accounts";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return { count: await shoppersOf(shop.id) };
}

export default function OrdersAccounts({ loaderData }: Route.ComponentProps) {
  return <AccountsPage {...loaderData} />;
}
