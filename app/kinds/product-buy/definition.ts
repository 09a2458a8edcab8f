import { AVAILABILITIES } from "~/core/goods";
import { z } from "zod";
import type { Definition } from "../definition";
import { CART_SIDE, CART_SIDE_CSS } from "../parts/cart-side";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  label: z.string().min(1, "A button needs words.").max(40),
  count: z.boolean(),
  bar: z.boolean(),
  then: z.enum(["say", "side", "cart"]),
  added: z.string().max(80),
  tell: z.string().max(120),
  tellButton: z.string().min(1, "A button needs words.").max(40),
});
export type ProductBuyProps = z.infer<typeof props>;

export const definition: Definition<ProductBuyProps> = {
  kind: "product-buy",
  name: "Buying",
  about: "How many, and into the cart. What is coming or sold out offers to write when it is there.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tells: "The product",
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "label", label: "Button", most: 40 },
    {
      type: "choice",
      key: "then",
      label: "Once it is in the cart",
      options: [
        ["say", "Says so"],
        ["side", "Shows the cart from the side"],
        ["cart", "Goes to the cart"],
      ],
    },
    { type: "yes", key: "count", label: "Asks how many" },
    { type: "yes", key: "bar", label: "Bar at the bottom of phones, once the button is out of sight" },
    { type: "line", key: "added", seldom: true, label: "Said when it is in the cart", most: 80 },
    { type: "line", key: "tell", seldom: true, label: "Asked when it can’t be bought", most: 120 },
    { type: "line", key: "tellButton", seldom: true, label: "Button for that", most: 40 },
  ],
  props,
  migrations: [{ from: 1, name: "what comes then is chosen", up: (props) => ({ ...props, then: "say" }) }],
  asks: ({ then }) => (then === "side" ? ["frame"] : []),
  synonyms: ["add to cart", "cart", "buy", "quantity"],
  defaults: {
    label: "Add to cart",
    count: true,
    bar: true,
    then: "say",
    added: "It is in your cart.",
    tell: "Shall we write to you when it is here?",
    tellButton: "Tell me",
  },
  style: {},
  styles: ["wide"],
  script: "goods",
  later: {
    tags: ["ins", "del", ...CART_SIDE.tags],
    classes: ["is-out", "toast", "cart-toast", ...CART_SIDE.classes],
    data: ["data-state=done", "data-state=failed", ...AVAILABILITIES.map((a) => `data-state=${a}`)],
    toast: true,
  },
  css: `${CART_SIDE_CSS}
.buy{display:flex;flex-wrap:wrap;gap:.75rem;align-items:end}
.buy .button{flex:1 1 12rem}
.buy[hidden],.tell[hidden]{display:none}
.buy-count{display:grid;gap:.3rem;font-size:var(--t-1)}
.buy-count .field{width:5.5rem;-moz-appearance:textfield;font-size:var(--t0)}
.tell{display:grid;gap:.6rem;max-width:30rem}
.tell-row{display:flex;flex-wrap:wrap;gap:.6rem}
.tell .field{flex:1 1 12rem;width:auto}
.buy-bar{display:none}
.cart-toast{position:fixed;z-index:8;inset:auto auto 1.25rem 50%;margin:0;border:0;overflow:visible;translate:-50% 0;max-width:calc(100vw - 2rem);width:max-content}
@media (max-width:799.98px){
.buy-bar.is-out{display:flex;align-items:center;gap:.9rem;position:fixed;z-index:6;inset:auto 0 0;width:auto;margin:0;padding:.6rem var(--gutter) calc(.6rem + env(safe-area-inset-bottom));background:var(--page);color:var(--ink);border:solid var(--line);border-width:1px 0 0;overflow:visible;box-shadow:0 -6px 24px -12px rgb(10 16 20/.35)}
.buy-bar .button{flex:1}
.cart-toast{bottom:5.25rem}
}
`,
};
