import { requireShop } from "~/server/http/guard.server";
import { describePicture, pictureChangeSchema } from "~/server/pictures/index.server";
import type { Route } from "./+types/pictures";

export async function action({ request, params }: Route.ActionArgs): Promise<{ ok: boolean; why?: string }> {
  const { shop } = await requireShop(request, params.shop);
  const input = pictureChangeSchema.safeParse(Object.fromEntries(await request.formData()));
  if (!input.success) return { ok: false, why: input.error.issues[0]!.message };
  return (await describePicture(shop.id, input.data))
    ? { ok: true }
    : { ok: false, why: "This picture is no longer there." };
}

export { Library as default } from "~/studio/pictures";
