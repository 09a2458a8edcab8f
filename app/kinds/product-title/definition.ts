import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({});
export type ProductTitleProps = z.infer<typeof props>;

export const definition: Definition<ProductTitleProps> = {
  kind: "product-title",
  name: "Product’s title",
  about: "What it is called, from Goods.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  traits: ["names-page"],
  tells: "The product",
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [],
  props,
  defaults: {},
  style: { all: { headSize: 4 } },
  styles: ["headSize", "align"],
  css: `
.w-product-title{text-align:var(--align,inherit)}`,
};
