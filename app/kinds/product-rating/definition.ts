import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({});
export type ProductRatingProps = z.infer<typeof props>;

export const definition: Definition<ProductRatingProps> = {
  kind: "product-rating",
  name: "Stars",
  about: "The average of its reviews, and the way to them.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [],
  props,
  defaults: {},
  style: {},
  styles: ["align"],
  css: `
.w-product-rating{text-align:var(--align,inherit)}
.w-product-rating a{display:inline-flex;min-height:1.5rem;align-items:center;color:inherit;text-decoration:none}
.w-product-rating a:hover{text-decoration:underline}
`,
};
