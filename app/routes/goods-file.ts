import { exportTable, writeTableFile } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import type { Route } from "./+types/goods-file";

const TYPES = {
  csv: "text/csv; charset=utf-8",
  xlsx: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
} as const;

/** The goods as a file that can be brought in again. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const format = new URL(request.url).pathname.endsWith(".xlsx") ? "xlsx" : "csv";
  const { head, rows } = await exportTable(shop);
  return new Response(new Uint8Array(await writeTableFile(format, head, rows)), {
    headers: {
      "Content-Type": TYPES[format],
      "Content-Disposition": `attachment; filename="${shop.host}-goods.${format}"`,
    },
  });
}
