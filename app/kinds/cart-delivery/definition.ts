import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const words = (most: number) => z.string().min(1, "It needs words.").max(most);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  label: words(40),
  country: words(40),
  postcode: words(40),
  button: words(40),
});
export type CartDeliveryProps = z.infer<typeof props>;

export const definition: Definition<CartDeliveryProps> = {
  kind: "cart-delivery",
  name: "What delivery costs",
  about: "Tells before the checkout what it costs to get the cart somewhere, by country and postcode.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["cart"],
  tag: "div",
  arrangements: [
    { id: "folded", name: "In a line that opens" },
    { id: "open", name: "Open" },
  ],
  fields: [
    { type: "line", key: "label", label: "Before the country", most: 40 },
    { type: "line", key: "button", label: "Button words", most: 40 },
    { type: "line", key: "country", seldom: true, label: "Asks for the country", most: 40 },
    { type: "line", key: "postcode", seldom: true, label: "Asks for the postcode", most: 40 },
  ],
  props,
  synonyms: ["shipping", "estimate", "postage", "calculator"],
  defaults: { label: "Delivery to", country: "Country", postcode: "Postcode", button: "Show" },
  style: {},
  styles: ["wide"],
  script: "goods",
  later: { classes: ["cart-no-way"] },
  css: `
.cart-to{display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr)}
.cart-to summary{display:flex;flex-wrap:wrap;justify-content:space-between;gap:0 1rem;align-items:center;min-height:2.75rem;cursor:pointer}
.cart-to summary span{text-decoration:underline;text-underline-offset:.2em}
.cart-to form{display:grid;grid-template-columns:minmax(0,1fr) minmax(0,8rem) auto;gap:.5rem;align-items:end}
.cart-to label{display:block;margin-bottom:.3rem;font-size:var(--t-1)}
.cart-to ul{list-style:none;margin:var(--s2) 0 0;padding:0;display:grid;gap:.4rem}
.cart-to li{display:flex;flex-wrap:wrap;justify-content:space-between;gap:0 1rem}
.cart-to small{flex-basis:100%;color:var(--soft);font-size:var(--t-1)}
.cart-to b{font-weight:var(--strong);white-space:nowrap}
.cart-no-way{color:var(--soft)}
@media (max-width:420px){.cart-to form{grid-template-columns:minmax(0,1fr) auto}.cart-to form>:first-child{grid-column:1/-1}}
`,
};
