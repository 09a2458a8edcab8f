import { requireShop } from "~/server/http/guard.server";
import { loadDraft } from "~/server/drafts/index.server";
import { orderOf } from "~/server/orders/index.server";
import { PrintedOrder } from "~/studio/orders";
import type { Route } from "./+types/orders-print";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const found = await orderOf(shop.id, params.order);
  if (!found) throw new Response("There is no such order.", { status: 404 });
  const { identity } = (await loadDraft(shop.id)).draft.look;
  return {
    order: found.order,
    shop: { name: identity.name, address: identity.address ?? "", mail: identity.mail ?? "" },
    timeZone: shop.timeZone,
    isSlip: new URL(request.url).searchParams.get("what") === "slip",
  };
}

export default function OrdersPrint({ loaderData }: Route.ComponentProps) {
  return <PrintedOrder {...loaderData} />;
}
