import { exportGoods } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import type { Route } from "./+types/goods-file";

/** The goods as a file that can be brought in again. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return new Response(await exportGoods(shop), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="${shop.host}-goods.csv"`,
    },
  });
}
