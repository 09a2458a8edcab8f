import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  history: z.boolean(),
});
export type OrderFactsProps = z.infer<typeof props>;

export const definition: Definition<OrderFactsProps> = {
  kind: "order-facts",
  name: "Where it goes and how it is paid",
  about: "The address, the way of delivery, how it is paid, and what has happened so far.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["thanks", "order"],
  tag: "div",
  arrangements: [
    { id: "columns", name: "Side by side" },
    { id: "rows", name: "One below the other" },
  ],
  fields: [{ type: "yes", key: "history", label: "Say what has happened so far" }],
  props,
  synonyms: ["address", "shipping", "payment", "tracking", "history"],
  defaults: { history: true },
  style: {},
  styles: ["wide"],
  css: `
.or-grid{display:grid;gap:var(--s3) var(--s4);grid-template-columns:minmax(0,1fr)}
.or-grid h2,.or-past h2{font-size:var(--t1);margin:0 0 .35rem}
.or-grid p{white-space:pre-line;overflow-wrap:anywhere}
.or-note{color:var(--soft)}
.or-pay{padding:var(--s2) var(--s3);border:2px solid var(--accent-ink);border-radius:min(var(--card),.75rem)}
.or-past{margin-top:var(--s4)}
.or-past ol{list-style:none;margin:0;padding:0;display:grid}
.or-past li{display:grid;grid-template-columns:minmax(7rem,auto) minmax(0,1fr);gap:.1rem 1rem;padding-block:.6rem;border-top:var(--rule) solid var(--line)}
.or-past time{color:var(--soft);font-size:var(--t-1);font-variant-numeric:tabular-nums}
@media (min-width:560px){.a-columns .or-grid{grid-template-columns:repeat(2,minmax(0,1fr))}}
`,
};
