import { z } from "zod";
import { importGoods, MOST_CHARACTERS, planImport } from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import type { ImportAnswer } from "~/studio/goods";
import type { Route } from "./+types/import";

const schema = z.object({ intent: z.enum(["plan", "import"]), text: z.string().max(MOST_CHARACTERS) });

export async function action({ request, params }: Route.ActionArgs): Promise<ImportAnswer> {
  const { shop } = await requireShop(request, params.shop);
  const input = schema.safeParse(Object.fromEntries(await request.formData()));
  if (!input.success)
    return { step: "refused", why: "This file is too large or can’t be read. Split it into several files." };
  if (input.data.intent === "plan") return { step: "planned", plan: await planImport(shop, input.data.text) };
  return { step: "done", ...(await importGoods(shop, input.data.text)) };
}

export { ImportGoods as default } from "~/studio/goods";
