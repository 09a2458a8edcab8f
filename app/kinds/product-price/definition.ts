import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ note: z.string().max(80) });
export type ProductPriceProps = z.infer<typeof props>;

export const definition: Definition<ProductPriceProps> = {
  kind: "product-price",
  name: "Product’s price",
  about: "Its price, with what it was before, and what a variant costs.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [{ type: "line", key: "note", label: "Beside it", most: 80, hint: "Like “VAT included”" }],
  props,
  defaults: { note: "" },
  style: {},
  styles: ["size", "align"],
  css: `
.w-product-price{display:flex;flex-wrap:wrap;align-items:baseline;gap:.2rem .8rem;justify-content:var(--align-box,flex-start)}
.w-product-price .price{font-size:1.35em}
.price-note{color:var(--soft);font-size:var(--t-1)}
`,
};
