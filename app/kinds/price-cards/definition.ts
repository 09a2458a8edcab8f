import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 6;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  offers: z
    .array(
      z.object({
        name: z.string().max(60),
        product: z.string().max(40).nullable(),
        price: z.string().max(30),
        per: z.string().max(60),
        text: z.string().max(200),
        points: z.string().max(800),
        mark: z.string().max(30),
        button: z.string().max(30),
        link: linkSchema,
      }),
    )
    .max(MOST),
  note: z.string().max(300),
});
export type PriceCardsProps = z.infer<typeof props>;

const offer = (name: string, price: string, per: string, points: string, mark = "") => ({
  name,
  product: null,
  price,
  per,
  text: "",
  points,
  mark,
  button: "",
  link: NO_LINK,
});

export const definition: Definition<PriceCardsProps> = {
  kind: "price-cards",
  name: "Prices side by side",
  about: "Two to six things to choose from, with what is in each: sizes of a box, courses, ways to have it made.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "cards", name: "Cards" },
    { id: "joined", name: "Cards side by side without a gap" },
    { id: "rows", name: "One below the other" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "offers",
      label: "What there is to choose from",
      one: "price",
      most: MOST,
      fields: [
        { type: "line", key: "name", label: "Name", most: 60 },
        { type: "product", key: "product", label: "Price and link of the product" },
        {
          type: "line",
          key: "price",
          label: "Price, without a product",
          most: 30,
          hint: "As it is to be read: from 45 €",
        },
        { type: "line", key: "per", label: "For what", most: 60, hint: "Such as: a month, a person, two hours" },
        { type: "line", key: "text", label: "In a sentence", most: 200 },
        {
          type: "text",
          key: "points",
          label: "What is in it",
          most: 800,
          hint: "One on each line. What begins with – is not in it.",
        },
        { type: "line", key: "mark", label: "Set apart with the words", most: 30, hint: "Such as: What most take" },
        { type: "line", key: "button", label: "Button", most: 30 },
        { type: "link", key: "link", label: "Leads to, without a product" },
      ],
      fresh: offer("", "", "", ""),
    },
    { type: "line", key: "note", label: "Small print", most: 300 },
  ],
  props,
  synonyms: ["price table", "pricing", "plans", "packages", "subscription", "tiers", "courses", "compare", "box"],
  defaults: { heading: "What would you like?", text: "", offers: [], note: "" },
  sample: {
    offers: [
      offer("Small", "18", "a month", "One thing each month\nA letter with it"),
      offer(
        "Middle",
        "32",
        "a month",
        "Two things each month\nA letter with it\nFirst choice of new ones",
        "What most take",
      ),
      offer("Large", "54", "a month", "Four things each month\nA letter with it\nFirst choice of new ones"),
    ],
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, columns: 3, spaceTop: 6, spaceBottom: 6, align: "start" },
    phone: { columns: 1 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-price-cards .grid{gap:var(--s3)}
.ask{position:relative;display:flex;flex-direction:column;gap:.85rem;height:100%;border:max(1px,var(--card-edge)) solid var(--line);border-radius:var(--card);padding:var(--s3);background:var(--raised);min-width:0}
.ask.is-marked{border-color:var(--ink);border-width:2px;background:var(--page)}
.ask-mark{align-self:flex-start;padding:.2rem .65rem;border-radius:var(--badge-corners);background:var(--new);color:var(--on-new);font-size:var(--t-1);font-weight:var(--strong)}
.ask-head{--head:var(--t2)}
.ask-price{display:flex;flex-wrap:wrap;align-items:baseline;gap:0 .45rem}
.ask-price>.price,.ask-sum{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t3);line-height:1.1;border:0;padding:0;white-space:normal}
.ask-per{color:var(--soft)}
.ask-text{color:var(--soft);text-wrap:pretty}
.ask-points{display:grid;gap:.45rem;margin-bottom:auto}
.ask-points li{display:grid;grid-template-columns:1.35em minmax(0,1fr);gap:.35rem}
.ask-points li::before{content:"";width:.95em;height:.55em;margin-top:.3em;border:solid var(--success);border-width:0 0 .14em .14em;rotate:-45deg;scale:.85}
.ask-points .is-out{color:var(--soft)}
.ask-points .is-out::before{border-color:currentColor;border-width:0 0 .14em;rotate:none;width:.8em;margin-top:.15em}
.ask .button{align-self:stretch}
.asks-note{font-size:var(--t-1);color:var(--soft);text-align:var(--align,start)}
@media (min-width:700px){
.a-joined .grid{gap:0}
.a-joined .ask{border-radius:0}
.a-joined li:not(:first-child)>.ask:not(.is-marked){border-inline-start:0}
.s-price-cards.a-rows .ask{display:grid;grid-template-columns:minmax(10rem,1fr) minmax(0,1.5fr) auto;grid-auto-flow:dense;gap:.5rem var(--s4);align-items:center}
.s-price-cards.a-rows .ask>*{grid-column:1;margin:0}
.s-price-cards.a-rows .ask-points{grid-column:2;grid-row:1/span 5}
.s-price-cards.a-rows .ask .button{grid-column:3;grid-row:1/span 5;align-self:center}
.s-price-cards.a-rows .ask-mark{justify-self:start}
}
.a-rows .asks{display:grid;gap:var(--s2)}
`,
};
