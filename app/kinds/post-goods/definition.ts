import { z } from "zod";
import type { Definition } from "../definition";
import { GOODS_ROW } from "../parts/goods-row";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  most: z.number().int().min(1).max(12),
});
export type PostGoodsProps = z.infer<typeof props>;

export const definition: Definition<PostGoodsProps> = {
  kind: "post-goods",
  name: "Goods of the post",
  about: "The goods that a post shows or leads to, as cards; nothing where there are none.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  only: ["post"],
  tag: "section",
  ...GOODS_ROW,
  arrangements: [{ id: "cards", name: "Cards" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "number", key: "most", label: "How many at most", least: 1, most: 12 },
  ],
  props,
  synonyms: ["products", "related", "shop the post", "mentioned"],
  defaults: { heading: "In this post", most: 4 },
  css: `.s-post-goods .head{margin-bottom:var(--s3);text-align:var(--align,start)}`,
};
