import { goodsChange, type GoodsRequest } from "~/core/goods";
import {
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
  replaceGoodsWords,
  replacePictures,
  shareGoods,
  stepGoods,
  type Refused,
} from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import type { Shop } from "~/server/shops/index.server";
import type { Route } from "./+types/goods-change";

const refuse = ({ problems }: Pick<Refused, "problems">, status = 422) => Response.json({ problems }, { status });
const GONE = { problems: [{ path: "", why: "This product is no longer there." }] };

/** Every change of goods by hand. Answers with what was made of it, or with what is wrong and where. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const parsed = goodsChange.safeParse(await request.json().catch(() => null));
  if (parsed.success) return change(shop, parsed.data);
  const issue = parsed.error.issues[0]!;
  const path = issue.path.slice(issue.path[0] === "change" ? 1 : 0).join(".");
  return refuse({ problems: [{ path, why: issue.message }] });
});

async function change(shop: Shop, input: GoodsRequest): Promise<Response> {
  switch (input.intent) {
    case "keep-product": {
      const kept = await keepProduct(shop, input.id, input.version, input.product);
      if (kept.ok) return Response.json(kept);
      if (!("code" in kept)) return refuse(kept);
      return kept.code === "gone" ? refuse(GONE, 404) : refuse(kept, 409);
    }
    case "bulk": {
      const kept = await changeProducts(shop, input.change);
      return kept.ok ? Response.json(kept) : refuse(kept);
    }
    case "duplicate": {
      const copy = await duplicateProduct(shop, input.id);
      return copy ? Response.json({ id: copy }) : refuse(GONE, 404);
    }
    case "remove":
      await removeProducts(shop, input.ids);
      return Response.json({});
    case "replace-pictures":
      return Response.json({ count: await replacePictures(shop, new Map(input.pairs)) });
    case "replace-words": {
      const kept = await replaceGoodsWords(shop, input.sought, input.by, new Set(input.only));
      return kept.ok ? Response.json({ count: kept.count }) : refuse(kept);
    }
    case "keep-collection": {
      const kept = await keepCollection(shop, input.id, input.collection, input.members);
      return kept.ok ? Response.json(kept) : refuse(kept);
    }
    case "share":
      return (await shareGoods(shop, input.of, input.id, input.search))
        ? Response.json({})
        : refuse({ problems: [{ path: "", why: `This ${input.of} is no longer there.` }] }, 404);
    case "remove-collection":
      await removeCollection(shop, input.id);
      return Response.json({});
    case "order-collections":
      await orderCollections(shop, input.ids);
      return Response.json({});
    case "settings": {
      const kept = await keepGoodsSettings(shop, input.settings);
      return kept.ok ? Response.json({}) : refuse(kept);
    }
    case "reviews":
      await changeReviews(shop, input.change);
      return Response.json({});
    case "remove-review":
      await removeReview(shop, input.id);
      return Response.json({});
    case "undo":
    case "redo":
      return Response.json({ label: (await stepGoods(shop, input.intent)) ?? null });
  }
}
