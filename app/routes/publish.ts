import { publishDraft } from "~/core/protocol";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { pendingChanges, publish } from "~/server/publishing/index.server";
import type { Route } from "./+types/publish";

/** What publishing now would change. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  return Response.json(await pendingChanges(shop.id));
});

export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const input = publishDraft.input.safeParse(await request.json().catch(() => undefined));
  if (!input.success) return Response.json({ why: "This can’t be published." }, { status: 400 });
  const done = await publish(shop.id, input.data.seq, input.data.parts);
  if (done.ok) return Response.json({ number: done.number });
  if (done.code === "blocked") return Response.json({ why: done.why }, { status: 422 });
  if (done.code === "nothing") return Response.json({ number: null });
  return Response.json(
    { why: "Something has changed since you looked. Look again before you publish." },
    { status: 409 },
  );
});
