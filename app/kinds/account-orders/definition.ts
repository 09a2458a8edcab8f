import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().min(1, "It needs a heading.").max(120),
  again: z.string().min(1, "It needs words.").max(40),
  none: z.string().min(1, "It needs words.").max(200),
});
export type AccountOrdersProps = z.infer<typeof props>;

export const definition: Definition<AccountOrdersProps> = {
  kind: "account-orders",
  name: "Orders of an account",
  about: "What somebody has bought, the latest first, each with a button to order it again.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["account"],
  tag: "div",
  arrangements: [
    { id: "rows", name: "Rows" },
    { id: "cards", name: "Cards" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "line", key: "again", label: "Button to order it again", most: 40 },
    { type: "text", key: "none", label: "Said while there are none", most: 200 },
  ],
  props,
  synonyms: ["history", "orders", "bought", "reorder"],
  defaults: { heading: "Your orders", again: "Order again", none: "You have not ordered anything yet." },
  style: {},
  styles: ["wide"],
  css: `
.ao h2{font-size:var(--t2);margin:0 0 var(--s2)}
.ao-list{list-style:none;margin:0;padding:0;display:grid;grid-template-columns:minmax(0,1fr)}
.ao-one{display:grid;gap:.5rem 1rem;grid-template-columns:minmax(0,1fr) auto;align-items:start;padding-block:var(--s2);border-top:var(--rule) solid var(--line)}
.ao-facts{display:flex;flex-wrap:wrap;gap:.1rem .9rem;align-items:baseline}
.ao-facts time{color:var(--soft);font-size:var(--t-1)}
.ao-what{color:var(--soft);font-size:var(--t-1);overflow-wrap:anywhere}
.ao-pics{display:flex;gap:.4rem;margin-top:.4rem}
.ao-pics img{width:3.25rem;height:3.25rem;object-fit:cover;border-radius:min(var(--card),.4rem);background:var(--raised)}
.ao-one .amount{text-align:end;font-weight:var(--strong)}
.ao-do{grid-column:1/-1;display:flex;flex-wrap:wrap;gap:.25rem 1.25rem;align-items:center}
.ao-do a{display:inline-flex;align-items:center;min-height:2.75rem}
.ao-do button{border:0;background:none;padding:0;min-height:2.75rem;text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.ao-none{padding:.9rem 1.1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
.ao-none a{display:inline-flex;align-items:center;min-height:2.75rem}
.a-cards .ao-list{gap:var(--s3)}
.a-cards .ao-one{padding:clamp(1rem,3vw,1.5rem);border:1px solid var(--line);border-radius:var(--card);background:var(--page)}
`,
};
