import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  description: z.string().max(40),
  facts: z.string().max(40),
  more: z.array(z.object({ head: z.string().max(40), text: z.string().max(3000) })).max(6),
});
export type ProductDetailsProps = z.infer<typeof props>;

export const definition: Definition<ProductDetailsProps> = {
  kind: "product-details",
  name: "What there is to know",
  about: "Description, specification and more, as tabs, folded, or one below the other.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tag: "div",
  arrangements: [
    { id: "tabs", name: "Tabs" },
    { id: "folded", name: "Folded, to open" },
    { id: "open", name: "One below the other" },
  ],
  fields: [
    {
      type: "line",
      key: "description",
      label: "Head of the description",
      most: 40,
      hint: "Leave empty to leave it out",
    },
    { type: "line", key: "facts", label: "Head of the specification", most: 40, hint: "Leave empty to leave it out" },
    {
      type: "list",
      key: "more",
      label: "The same for all goods",
      one: "part",
      most: 6,
      fields: [
        { type: "line", key: "head", label: "Head", most: 40 },
        { type: "text", key: "text", label: "Text", most: 3000 },
      ],
      fresh: { head: "Care", text: "How to look after it." },
    },
  ],
  props,
  synonyms: ["tabs", "accordion", "description", "specification", "questions", "faq"],
  defaults: {
    description: "Description",
    facts: "Specification",
    more: [],
  },
  style: {},
  styles: ["size"],
  script: "goods",
  later: { element: "zest-tabs", classes: ["is-tabs", "tabs", "tab"] },
  css: `
.parts{display:block}
.part-head{list-style:none;display:flex;justify-content:space-between;gap:1rem;align-items:center;min-height:3.1rem;font-weight:var(--strong);cursor:pointer}
.part-head::-webkit-details-marker{display:none}
.part{border-bottom:var(--rule) solid var(--line)}
.part:first-child{border-top:var(--rule) solid var(--line)}
.part-head::after{content:"";width:.55em;height:.55em;border:solid;border-width:0 2px 2px 0;rotate:45deg;translate:0 -.15em;flex:none;transition:rotate .18s}
.part[open]>.part-head::after{rotate:225deg;translate:0 .15em}
.part-body{padding-bottom:1.25rem}
.part-open+.part-open{margin-top:var(--s4)}
.part-open>.head{--head:var(--t2);margin-bottom:.6rem}
.part-tab+.part-tab{margin-top:var(--s3)}
.part-tab>.head{--head:var(--t1);margin-bottom:.5rem}
.facts{width:100%;border-top:var(--rule) solid var(--line)}
.facts>div{display:grid;grid-template-columns:minmax(7rem,11rem) 1fr;gap:1rem;padding-block:.55rem;border-bottom:var(--rule) solid var(--line)}
.facts dt{color:var(--soft)}
.is-tabs .part-tab{margin:0}
.is-tabs .part-tab>.head{display:none}
.is-tabs .tabs{margin-bottom:1.1rem}
`,
};
