import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({});
export type ProductStateProps = z.infer<typeof props>;

export const definition: Definition<ProductStateProps> = {
  kind: "product-state",
  name: "Whether it can be had",
  about: "In stock, few left, coming soon with its day … from Goods.",
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
  styles: ["size"],
  css: `
.state{display:flex;gap:.5em;align-items:baseline;font-weight:var(--strong)}
.state::before{content:"";width:.6em;height:.6em;border-radius:50%;background:var(--success);flex:none}
.state[data-state=sold-out]::before,.state[data-state=discontinued]::before{background:none;border:1.5px solid var(--soft)}
.state[data-state=low]::before{background:var(--warning)}
.state[data-state=coming-soon]::before,.state[data-state=pre-order]::before,.state[data-state=made-to-order]::before,.state[data-state=collect-only]::before{background:var(--link)}
`,
};
