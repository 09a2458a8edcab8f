import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ product: z.string().max(40).nullable() });
export type ProductProps = z.infer<typeof props>;

export const definition: Definition<ProductProps> = {
  kind: "product",
  name: "Product",
  about: "One product of yours, as its card.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["small"],
  tag: "div",
  arrangements: [
    { id: "card", name: "Card" },
    { id: "line", name: "Line with a small picture", style: { all: { shape: "1/1" } } },
  ],
  fields: [{ type: "product", key: "product", label: "Product" }],
  props,
  synonyms: ["goods", "item", "featured product", "card"],
  defaults: { product: null },
  style: { all: { shape: "4/5" } },
  styles: ["shape"],
  css: `
.w-product.a-line .card{flex-direction:row;gap:var(--s3);align-items:center}
.w-product.a-line .card-picture{flex:0 0 5.5rem}
.w-product.a-line .card-words{flex:1;padding:0}
.w-group>.w-product{flex:1 1 11rem}
`,
};
