import { z } from "zod";
import { reworkSchema } from "~/core/schema";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { addPicture, picturesOf } from "~/server/pictures/index.server";
import { formOf } from "~/server/http/form.server";
import type { Route } from "./+types/upload";

/** What comes with a picture that was made of another one in the studio. */
const madeSchema = z.strictObject({ of: z.string().min(1).max(40), rework: reworkSchema });

function madeFrom(text: FormDataEntryValue | null): unknown {
  try {
    return typeof text === "string" ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}

export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const form = await formOf(request);
  const file = form.get("picture");
  if (!(file instanceof File)) return Response.json({ ok: false, why: "No picture arrived." }, { status: 400 });
  const bytes = Buffer.from(await file.arrayBuffer());
  if (!form.has("made")) {
    const result = await addPicture(shop.id, bytes, file.name);
    return Response.json(result, { status: result.ok ? 200 : 422 });
  }
  const made = madeSchema.safeParse(madeFrom(form.get("made")));
  if (!made.success)
    return Response.json({ ok: false, why: "What was done to this picture can’t be saved." }, { status: 422 });
  const { of, rework } = made.data;
  const original = (await picturesOf(shop.id)).find(({ id }) => id === of);
  if (!original)
    return Response.json({ ok: false, why: "The picture that this was made of is no longer there." }, { status: 422 });
  const result = await addPicture(shop.id, bytes, original.name, { alt: original.alt, made: { picture: of, rework } });
  return Response.json(result, { status: result.ok ? 200 : 422 });
});
