import { z } from "zod";
import type { Definition } from "../definition";
import { tableRows } from "../table-rows";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(600),
  rows: tableRows,
  both: z.boolean(),
  picture: z.string().max(40).nullable(),
  note: z.string().max(300),
});
export type SizeChartProps = z.infer<typeof props>;

export const definition: Definition<SizeChartProps> = {
  kind: "size-chart",
  name: "Size chart",
  about: "Measures by size. Shoppers switch between centimetres and inches; the numbers are converted for you.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "plain", name: "Chart alone" },
    { id: "beside", name: "With a drawing beside it" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "How to measure", most: 600 },
    { type: "table", key: "rows", label: "Chart" },
    { type: "yes", key: "both", label: "Shoppers can switch the units" },
    { type: "picture", key: "picture", label: "Drawing of where to measure", bare: true },
    { type: "line", key: "note", label: "Small print", most: 300 },
  ],
  props,
  synonyms: [
    "size guide",
    "measurements",
    "fit",
    "dimensions",
    "inches",
    "centimetres",
    "cm",
    "clothes",
    "rings",
    "shoes",
  ],
  defaults: {
    heading: "Sizes",
    text: "",
    rows: [
      ["Size", "Chest (cm)", "Waist (cm)"],
      ["S", "", ""],
      ["M", "", ""],
      ["L", "", ""],
    ],
    both: true,
    picture: null,
    note: "",
  },
  sample: {
    rows: [
      ["Size", "Chest (cm)", "Waist (cm)", "Length (cm)"],
      ["S", "86–90", "70–74", "64"],
      ["M", "91–96", "75–80", "66"],
      ["L", "97–102", "81–86", "68"],
    ],
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.sizes{display:grid;grid-template-columns:minmax(0,1fr);gap:var(--s3);min-width:0;align-content:start}
.sizes-note{font-size:var(--t-1);color:var(--soft)}
.unit-switch{display:flex;justify-self:start;border:max(1px,var(--rule)) solid var(--field-line);border-radius:var(--control);padding:.2rem;margin:0;min-width:0}
.unit-switch label{position:relative;min-width:3.75rem;min-height:2.4rem;display:grid;place-items:center;padding:0 .9rem;border-radius:calc(var(--control) - .2rem);cursor:pointer;font-weight:var(--strong)}
.unit-switch input{position:absolute;inset:0;opacity:0;margin:0;cursor:pointer;width:100%;height:100%}
.unit-switch label:has(:checked){background:var(--ink);color:var(--page)}
.unit-switch label:has(:focus-visible){outline:2px solid var(--focus);outline-offset:3px}
.sizes:not(:has(.unit-other:checked)) .in-other,.sizes:has(.unit-other:checked) .in-written{display:none}
.sizes-picture{max-width:22rem}
.sizes-picture img{object-fit:contain}
@media (min-width:800px){.s-size-chart.a-beside .sizes-all:has(.pic){display:grid;grid-template-columns:minmax(0,1fr) minmax(12rem,22rem);gap:var(--s3) var(--s5);align-items:start}}
.sizes-all{display:grid;grid-template-columns:minmax(0,1fr);gap:var(--s3)}
`,
};
