import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  products: z.array(z.string().max(40)).max(12),
  most: z.number().int().min(1).max(4),
  button: z.string().min(1, "A button needs words.").max(40),
  added: z.string().min(1, "It needs words.").max(80),
});
export type CheckoutMoreProps = z.infer<typeof props>;

export const definition: Definition<CheckoutMoreProps> = {
  kind: "checkout-more",
  name: "One more thing",
  about: "What goes well with the order, put in by one press before it is paid. Nothing that was typed is lost.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["checkout"],
  tag: "div",
  arrangements: [
    { id: "rows", name: "Rows" },
    { id: "cards", name: "In a box" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "products", key: "products", label: "What is offered", most: 12, none: "None: what goes with the order." },
    { type: "number", key: "most", label: "How many at most", least: 1, most: 4 },
    { type: "line", key: "button", seldom: true, label: "Button", most: 40 },
    { type: "line", key: "added", seldom: true, label: "Said once it is in the order", most: 80 },
  ],
  props,
  ofGoods: true,
  synonyms: ["upsell", "add-on", "extra", "order bump", "before paying", "accessories"],
  defaults: {
    heading: "Something to go with it?",
    products: [],
    most: 2,
    button: "Add",
    added: "It is in your order.",
  },
  style: {},
  styles: ["wide"],
  script: "goods",
  // What was put in is said by an answer of the server.
  later: { classes: ["cm-said"] },
  css: `
.cm{display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr)}
.cm h2{font-size:var(--t1);margin:0}
.cm-list{list-style:none;margin:0;padding:0;display:grid;gap:var(--s2)}
.cm-list li{display:grid;grid-template-columns:4rem minmax(0,1fr) auto;gap:.2rem 1rem;align-items:center}
.cm-list .pic{width:4rem;aspect-ratio:1;border-radius:min(var(--card),.5rem)}
.cm-title{overflow-wrap:anywhere}
.cm-choice{color:var(--soft);font-size:var(--t-1)}
.a-cards .cm{padding:var(--s3);background:var(--raised);border-radius:min(var(--card),.75rem)}
.cm-said{font-weight:var(--strong)}
`,
};
