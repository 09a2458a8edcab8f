import { askSchema, leaveSchema, sendSchema, type Answer } from "~/core/keeping";
import { newsInput } from "~/core/protocol";
import { ask, keep, since } from "~/server/drafts/index.server";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { leave, meet } from "~/server/presence/index.server";
import type { Route } from "./+types/keep";

const unreadable = () => Response.json({ why: "These changes can’t be read." }, { status: 400 });

/** What was kept since `?since=`, and who else has the shop open; `?tab=` says who asks. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { owner, shop } = await requireShop(request, params.shop);
  const asked = newsInput.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return unreadable();
  const { tab, place } = asked.data;
  const others = await meet(shop.id, owner.name, { tab, place });
  const versions = { goods: shop.goodsVersion, pictures: shop.picturesVersion, publication: shop.publicationId };
  return Response.json({ ...(await since(shop.id, asked.data.since, tab)), others, versions });
});

const statusOf = (answer: Answer) => (answer.ok ? 200 : answer.code === "behind" ? 409 : 422);

/** Keeps changes; or says which are kept already; or hears that a tab is closed. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { owner, shop } = await requireShop(request, params.shop);
  const sent: unknown = await request.json().catch(() => undefined);
  const changes = sendSchema.safeParse(sent);
  if (changes.success) {
    const { base, tab, transactions } = changes.data;
    const answer = await keep(shop.id, base, transactions, { owner: owner.id, tab });
    return Response.json(answer, { status: statusOf(answer) });
  }
  const question = askSchema.safeParse(sent);
  if (question.success) return Response.json(await ask(shop.id, question.data));
  const farewell = leaveSchema.safeParse(sent);
  if (!farewell.success) return unreadable();
  await leave(shop.id, farewell.data.leave);
  return Response.json({ ok: true });
});
