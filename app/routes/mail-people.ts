import { readPeople } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { subscribersOf } from "~/server/mail/index.server";
import type { Route } from "./+types/mail-people";

/** Who is on a list. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = readPeople.input.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ why: "There is no such list." }, { status: 422 });
  return Response.json({ people: await subscribersOf(shop.id, asked.data.list) });
});
