import { dropPlanned, planPublishing } from "~/core/protocol";
import { momentIn } from "~/core/situation";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { dropPlan, planPublication, plansOf } from "~/server/publishing/index.server";
import type { Route } from "./+types/plans";

const refuse = (path: string, why: string) => Response.json({ problems: [{ path, why }] }, { status: 422 });

/** What is to be published at a set time. */
export const loader = orSayTrouble(async ({ request, params }: Route.LoaderArgs) => {
  const { shop } = await requireShop(request, params.shop);
  return Response.json({ plans: await plansOf(shop.id) });
});

export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const body: unknown = await request.json().catch(() => undefined);
  const drop = dropPlanned.input.safeParse(body);
  if (drop.success) {
    await dropPlan(shop.id, drop.data.id);
    return Response.json({ plans: await plansOf(shop.id) });
  }
  const plan = planPublishing.input.safeParse(body);
  if (!plan.success) return Response.json({ why: "This can’t be planned." }, { status: 400 });
  const { seq, parts, at, back } = plan.data;
  const moment = momentIn(at, shop.timeZone);
  if (moment === undefined) return refuse("at", "Choose a day and a time.");
  const end = back === undefined ? null : momentIn(back, shop.timeZone);
  if (end === undefined) return refuse("back", "Choose a day and a time.");
  const done = await planPublication(shop.id, seq, parts, moment, end);
  if (done.ok) return Response.json({ plans: await plansOf(shop.id) });
  if (done.code === "refused") return refuse(done.field, done.why);
  if (done.code === "nothing") return refuse("", "There is nothing to publish.");
  return Response.json(
    { why: "Something has changed since you looked. Look again before you plan it." },
    { status: 409 },
  );
});
