import { readMessages } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { messagesOf } from "~/server/mail/index.server";
import type { Route } from "./+types/mail-messages-of";

/** Messages of one sort. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = readMessages.input.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return Response.json({ why: "These messages can’t be asked for." }, { status: 422 });
  return Response.json(await messagesOf(shop.id, asked.data));
});
