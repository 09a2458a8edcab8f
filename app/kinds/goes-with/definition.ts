import { z } from "zod";
import type { Definition } from "../definition";
import { GOODS_ROW } from "../parts/goods-row";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  most: z.number().int().min(1).max(12),
});
export type GoesWithProps = z.infer<typeof props>;

export const definition: Definition<GoesWithProps> = {
  kind: "goes-with",
  name: "Goods that go with it",
  about:
    "What you chose, what is bought together with it, or what is like it; beside a product, a cart, or what was ordered.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["product", "cart", "thanks", "order"],
  tag: "section",
  arrangements: [
    { id: "cards", name: "Cards" },
    { id: "shelf", name: "Shelf to slide along" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "number", key: "most", label: "How many at most", least: 1, most: 12 },
  ],
  props,
  synonyms: ["related", "upsell", "cross-sell", "accessories", "recommended"],
  defaults: { heading: "Goes well with it", most: 4 },
  ...GOODS_ROW,
  css: `.s-goes-with .head{margin-bottom:var(--s3);text-align:var(--align,start)}`,
};
