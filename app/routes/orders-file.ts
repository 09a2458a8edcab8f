import { requireShop } from "~/server/http/guard.server";
import { ordersFile } from "~/server/orders/index.server";
import type { Route } from "./+types/orders-file";

/** All orders as a CSV file, a line for each thing that was bought. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return new Response(await ordersFile(shop.id), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Cache-Control": "private, no-store",
      "Content-Disposition": `attachment; filename="${shop.host}-orders.csv"`,
    },
  });
}
