import { z } from "zod";
import type { Definition } from "../definition";

const MOST = 80;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  entries: z
    .array(
      z.object({
        group: z.string().max(80),
        name: z.string().max(120),
        text: z.string().max(300),
        product: z.string().max(40).nullable(),
        price: z.string().max(30),
      }),
    )
    .max(MOST),
  note: z.string().max(300),
});
export type PriceListProps = z.infer<typeof props>;

const entry = (group: string, name: string, text: string, price: string) => ({
  group,
  name,
  text,
  product: null,
  price,
});

export const definition: Definition<PriceListProps> = {
  kind: "price-list",
  name: "Price list",
  about: "What you do and what it costs, line by line: repairs, lessons, dishes and drinks.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "dots", name: "With dots to the price" },
    { id: "two", name: "In two columns", style: { all: { width: "full" } } },
    { id: "card", name: "A card, in the middle", style: { all: { align: "center", width: "narrow" } } },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "entries",
      label: "Lines",
      one: "line",
      most: MOST,
      fields: [
        { type: "line", key: "name", label: "What it is", most: 120 },
        { type: "line", key: "text", label: "More about it", most: 300 },
        { type: "product", key: "product", label: "Price and link of the product" },
        {
          type: "line",
          key: "price",
          label: "Price, without a product",
          most: 30,
          hint: "As it is to be read: from 12 €",
        },
        { type: "line", key: "group", label: "Begins a group called", most: 80, hint: "Such as: Repairs" },
      ],
      fresh: entry("", "", "", ""),
    },
    { type: "line", key: "note", label: "Small print", most: 300, hint: "Such as: All prices with tax" },
  ],
  props,
  synonyms: ["menu", "menu card", "services", "rates", "treatments", "dishes", "drinks", "repairs", "fees"],
  defaults: { heading: "Prices", text: "", entries: [], note: "" },
  sample: {
    entries: [
      entry("Mending", "A small tear", "While you wait", "8"),
      entry("", "A new seam", "Two days", "15"),
      entry("Lessons", "An hour for one", "Everything you need is here", "35"),
      entry("", "An afternoon for four", "", "110"),
    ],
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.tariff{display:grid;gap:var(--s4);min-width:0}
.tariff-head{--head:var(--t1);margin-bottom:.9rem}
.tariff-lines{display:grid;gap:1rem}
.tariff-line{display:grid;grid-template-columns:minmax(0,1fr) auto;gap:.1rem 1rem;align-items:baseline}
.tariff-name{display:flex;align-items:baseline;gap:.6rem;font-weight:var(--strong);min-width:0}
.tariff-name>*{min-width:0}
.tariff-name::after{content:"";flex:1;min-width:1.5rem;border-bottom:2px dotted var(--field-line)}
.tariff-price{font-variant-numeric:tabular-nums;text-align:end}
.tariff-price .price{border:0;padding:0;justify-content:flex-end;font-size:inherit}
.tariff-text{grid-column:1;color:var(--soft);font-size:var(--t-1);max-width:34em;text-wrap:pretty}
.tariff-note{font-size:var(--t-1);color:var(--soft);text-align:var(--align,start)}
.s-price-list.a-dots .tariff{max-width:46em}
.a-card .tariff{border:max(1px,var(--card-edge)) solid var(--ink);outline:max(1px,var(--card-edge)) solid var(--line);outline-offset:-.6rem;border-radius:var(--card);padding:clamp(1.75rem,5vw,3.25rem)}
.a-card .tariff-head{text-align:center;margin-inline:auto;--head:var(--t2)}
@media (min-width:800px){.a-two .tariff{columns:2;column-gap:var(--s6);display:block}.a-two .tariff-group{break-inside:avoid;margin-bottom:var(--s4)}}
`,
};
