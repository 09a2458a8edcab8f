import { writeTableFile } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { messagesTable, subscribersOf } from "~/server/mail/index.server";
import type { Route } from "./+types/mail-file";

const HEAD = ["Address", "List", "State", "Signed up", "Since", "Left"] as const;
const day = (at: number | null) => (at === null ? "" : new Date(at).toISOString());

/** Messages, or those of a list, as a CSV file. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const { pathname, searchParams } = new URL(request.url);
  const isPeople = pathname.endsWith("/people.csv");
  const list = (searchParams.get("list") ?? "").slice(0, 60);
  const { head, rows } = isPeople
    ? {
        head: HEAD,
        rows: (await subscribersOf(shop.id, list)).map(({ address, state, at, onAt, offAt }) => [
          address,
          list,
          state,
          day(at),
          day(onAt),
          day(offAt),
        ]),
      }
    : await messagesTable(shop.id, (searchParams.get("form") ?? "").slice(0, 160));
  return new Response(new Uint8Array(await writeTableFile("csv", head, rows)), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Cache-Control": "private, no-store",
      "Content-Disposition": `attachment; filename="${shop.host}-${isPeople ? "list" : "messages"}.csv"`,
    },
  });
}
