import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  label: z.string().min(1, "It needs words.").max(60),
  button: z.string().min(1, "A button needs words.").max(30),
  goals: z.boolean(),
});
export type CartCodesProps = z.infer<typeof props>;

export const definition: Definition<CartCodesProps> = {
  kind: "cart-codes",
  name: "Discounts and codes",
  about: "What is taken off and why, what is within reach, and a field for a code, where the shop has any.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["cart"],
  tag: "div",
  arrangements: [
    { id: "open", name: "Field in sight" },
    { id: "folded", name: "Field behind a word" },
  ],
  fields: [
    { type: "line", key: "label", label: "Asks for a code", most: 60 },
    { type: "line", key: "button", label: "Button", most: 30 },
    { type: "yes", key: "goals", label: "Says what is within reach" },
  ],
  props,
  synonyms: ["coupon", "voucher", "promo", "offers", "discount"],
  defaults: { label: "A code", button: "Apply", goals: true },
  style: {},
  styles: ["wide"],
  script: "goods",
  later: {
    tags: ["b"],
    classes: ["cart-offs", "cart-choice", "cart-take", "cart-drop", "cart-why", "cart-goal"],
    data: ["data-state=done", "data-state=failed"],
  },
  css: `
.cart-offers{display:grid;gap:var(--s3);align-content:start}
.cart-offs{display:grid;gap:.5rem}
.cart-offs li{display:flex;flex-wrap:wrap;gap:0 1rem;justify-content:space-between;align-items:baseline}
.cart-offs .cart-choice{color:var(--soft);font-size:var(--t-1)}
.cart-take{flex-basis:100%}
.cart-goal{padding:.6rem .8rem;background:var(--raised);border-radius:calc(var(--card)/2)}
.cart-why{display:block;color:var(--soft);font-size:var(--t-1)}
.cart-drop{border:0;background:none;padding:0;min-height:1.75rem;color:var(--soft);font-size:var(--t-1);text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.cart-drop:hover{color:var(--ink)}
.cart-code{display:grid;gap:.35rem}
.cart-code-row{display:flex;gap:.5rem}
.cart-code-row input{flex:1;min-width:0;text-transform:uppercase}
.cart-code-row .button{flex:none}
.cart-more>summary{cursor:pointer;min-height:1.75rem;text-decoration:underline;text-underline-offset:.2em}
.cart-more[open]>summary{margin-bottom:.5rem}
`,
};
