import { z } from "zod";
import {
  bulkSchema,
  changeProducts,
  changeReviews,
  duplicateProduct,
  keepCollection,
  keepGoodsSettings,
  keepProduct,
  orderCollections,
  removeCollection,
  removeProducts,
  removeReview,
  reviewChange,
  stepGoods,
} from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import type { Route } from "./+types/goods-change";

const id = z.string().min(1).max(40);
const schema = z.discriminatedUnion("intent", [
  z.strictObject({
    intent: z.literal("keep-product"),
    id: id.nullable(),
    version: z.number().int().min(0).nullable(),
    product: z.unknown(),
  }),
  z.strictObject({ intent: z.literal("bulk"), change: bulkSchema }),
  z.strictObject({ intent: z.literal("duplicate"), id }),
  z.strictObject({ intent: z.literal("remove"), ids: z.array(id).min(1).max(20_000) }),
  z.strictObject({
    intent: z.literal("keep-collection"),
    id: id.nullable(),
    collection: z.unknown(),
    members: z.array(id).max(50_000).nullable(),
  }),
  z.strictObject({ intent: z.literal("remove-collection"), id }),
  z.strictObject({ intent: z.literal("order-collections"), ids: z.array(id).max(2_000) }),
  z.strictObject({ intent: z.literal("settings"), settings: z.unknown() }),
  z.strictObject({ intent: z.literal("reviews"), change: reviewChange }),
  z.strictObject({ intent: z.literal("remove-review"), id }),
  z.strictObject({ intent: z.literal("undo") }),
  z.strictObject({ intent: z.literal("redo") }),
]);

/** Every change of goods by hand. Answers with what was made of it, or with what is wrong and where. */
export async function action({ request, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, params.shop);
  const parsed = schema.safeParse(await request.json().catch(() => null));
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    const path = issue.path.slice(issue.path[0] === "change" ? 1 : 0).join(".");
    return Response.json({ ok: false, problems: [{ path, why: issue.message }] }, { status: 422 });
  }
  const input = parsed.data;
  switch (input.intent) {
    case "keep-product":
      return Response.json(await keepProduct(shop, input.id, input.version, input.product));
    case "bulk":
      return Response.json(await changeProducts(shop, input.change));
    case "duplicate": {
      const copy = await duplicateProduct(shop, input.id);
      return Response.json(
        copy
          ? { ok: true, id: copy }
          : { ok: false, problems: [{ path: "", why: "This product is no longer there." }] },
      );
    }
    case "remove":
      await removeProducts(shop, input.ids);
      return Response.json({ ok: true });
    case "keep-collection":
      return Response.json(await keepCollection(shop, input.id, input.collection, input.members));
    case "remove-collection":
      await removeCollection(shop, input.id);
      return Response.json({ ok: true });
    case "order-collections":
      await orderCollections(shop, input.ids);
      return Response.json({ ok: true });
    case "settings":
      return Response.json(await keepGoodsSettings(shop, input.settings));
    case "reviews":
      await changeReviews(shop, input.change);
      return Response.json({ ok: true });
    case "remove-review":
      await removeReview(shop, input.id);
      return Response.json({ ok: true });
    case "undo":
    case "redo": {
      const label = await stepGoods(shop, input.intent);
      return Response.json({ ok: true, label: label ?? null });
    }
  }
}
