import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  goods: z.string().min(1, "It needs words.").max(40),
  off: z.string().min(1, "It needs words.").max(40),
  total: z.string().min(1, "It needs words.").max(40),
  note: z.string().max(160),
  button: z.string().max(40),
  checkout: z.string().min(1, "A button needs words.").max(40),
});
export type CartSumProps = z.infer<typeof props>;

export const definition: Definition<CartSumProps> = {
  kind: "cart-sum",
  name: "Sum of the cart",
  about: "What it costs, what is saved, and the way on.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["cart"],
  tag: "div",
  arrangements: [
    { id: "box", name: "In a box that stays in sight" },
    { id: "plain", name: "Plain" },
  ],
  fields: [
    { type: "line", key: "note", label: "Below it: taxes, delivery …", most: 160 },
    { type: "line", key: "checkout", label: "Button to the checkout", most: 40 },
    { type: "line", key: "button", label: "Button back to the goods", most: 40 },
    { type: "line", key: "goods", seldom: true, label: "Before discounts", most: 40 },
    { type: "line", key: "off", seldom: true, label: "All discounts", most: 40 },
    { type: "line", key: "total", seldom: true, label: "In the end", most: 40 },
  ],
  props,
  synonyms: ["total", "subtotal", "summary", "amount"],
  defaults: {
    goods: "Goods",
    off: "You save",
    total: "Total",
    note: "",
    button: "Continue shopping",
    checkout: "Checkout",
  },
  style: {},
  styles: ["wide"],
  script: "goods",
  later: { classes: ["cart-saved", "is-out"] },
  css: `
.cart-sum{display:grid;grid-template-columns:minmax(0,1fr);gap:var(--s2)}
.cart-sum dl{display:grid;gap:.4rem}
.cart-sum dl>div{display:flex;flex-wrap:wrap;justify-content:space-between;gap:0 1rem;align-items:baseline}
.cart-sum .cart-total{font-weight:var(--strong);font-size:var(--t1)}
.cart-total .price{font-size:inherit;line-height:inherit;font-weight:inherit}
.cart-saved{color:var(--accent-ink)}
.cart-note{color:var(--soft);font-size:var(--t-1)}
.a-box .cart-sum{padding:var(--s3);background:var(--raised);border-radius:var(--card)}
.cart-bar{display:none}
@media (min-width:800px){.w-cart-sum.a-box{position:sticky;top:1.5rem}}
@media (max-width:799.98px){zest-cart.is-out>.cart-bar{display:flex;justify-content:space-between;gap:1rem;align-items:baseline;position:fixed;z-index:6;inset:auto 0 0;padding:.8rem var(--gutter) calc(.8rem + env(safe-area-inset-bottom));background:var(--page);border-top:1px solid var(--line);box-shadow:0 -6px 24px -12px rgb(10 16 20/.35);font-weight:var(--strong)}}
`,
};
