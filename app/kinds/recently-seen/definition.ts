import { z } from "zod";
import type { Definition } from "../definition";
import { GOODS_ROW } from "../parts/goods-row";

const props = z.object({ heading: z.string().max(120), most: z.number().int().min(1).max(12) });
export type RecentlySeenProps = z.infer<typeof props>;

export const definition: Definition<RecentlySeenProps> = {
  kind: "recently-seen",
  name: "Recently seen",
  about: "What this shopper looked at before; it never leaves the shopper’s own browser.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["product", "collection", "search"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "number", key: "most", label: "How many at most", least: 1, most: 12 },
  ],
  props,
  synonyms: ["recently viewed", "history", "looked at"],
  defaults: { heading: "You looked at", most: 4 },
  ...GOODS_ROW,
  script: "goods",
  css: `
.s-recently-seen .head{margin-bottom:var(--s3);text-align:var(--align,start)}
zest-recent{display:block}
.s-recently-seen:has(>zest-recent[hidden]){display:none}
`,
};
