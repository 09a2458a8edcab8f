import { z } from "zod";
import type { Definition } from "../definition";
import { SUMS_CSS, SUMS_LATER } from "../parts/sums";
import { WIDGET_SLOTS } from "../slots";

const words = (most: number) => z.string().min(1, "It needs words.").max(most);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: words(60),
  goods: words(40),
  off: words(40),
  delivery: words(40),
  total: words(40),
  back: z.string().max(40),
});
export type CheckoutSumProps = z.infer<typeof props>;

export const definition: Definition<CheckoutSumProps> = {
  kind: "checkout-sum",
  name: "Summary of the order",
  about: "What is being bought and what it comes to. On phones it is folded, with the total in sight.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["checkout"],
  tag: "div",
  arrangements: [
    { id: "box", name: "In a box that stays in sight" },
    { id: "plain", name: "Plain" },
    { id: "bare", name: "Without pictures" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 60 },
    { type: "line", key: "back", label: "Way back to the cart", most: 40 },
    { type: "line", key: "goods", seldom: true, label: "Before discounts", most: 40 },
    { type: "line", key: "off", seldom: true, label: "All discounts", most: 40 },
    { type: "line", key: "delivery", seldom: true, label: "Delivery", most: 40 },
    { type: "line", key: "total", seldom: true, label: "In the end", most: 40 },
  ],
  props,
  synonyms: ["total", "subtotal", "order summary", "basket"],
  defaults: {
    heading: "Your order",
    goods: "Goods",
    off: "You save",
    delivery: "Delivery",
    total: "Total",
    back: "Change the cart",
  },
  style: {},
  styles: ["wide"],
  script: "goods",
  later: { classes: [...SUMS_LATER], tags: ["b"] },
  css: `${SUMS_CSS}
.ck-sum>summary{display:flex;flex-wrap:wrap;justify-content:space-between;gap:0 1rem;align-items:center;min-height:3rem;cursor:pointer;font-weight:var(--strong)}
.ck-sum>summary h2{font-size:var(--t1);margin:0}
.ck-sum>summary h2::after{content:"";display:inline-block;width:.5em;height:.5em;margin-inline-start:.6em;border:solid;border-width:0 2px 2px 0;transform:translateY(-25%) rotate(45deg)}
.ck-sum[open]>summary h2::after{transform:translateY(10%) rotate(225deg)}
.ck-back{display:inline-flex;align-items:center;min-height:2.75rem;font-size:var(--t-1)}
.a-box .ck-sum{padding:.4rem var(--s3);background:var(--raised);border-radius:var(--card)}
@media (min-width:800px){
.w-checkout-sum.a-box{position:sticky;top:1.5rem}
.a-box .ck-sum{padding:var(--s3)}
.ck-sum::details-content{content-visibility:visible;block-size:auto}
.ck-sum>summary{pointer-events:none;list-style:none;min-height:0}
.ck-sum>summary>.amount,.ck-sum>summary h2::after{display:none}
}
`,
};
