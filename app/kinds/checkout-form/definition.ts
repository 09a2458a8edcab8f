import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";
import { WIDGET_SLOTS } from "../slots";

const words = (most: number) => z.string().min(1, "It needs words.").max(most);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  contact: words(60),
  address: words(60),
  delivery: words(60),
  payment: words(60),
  cards: words(60).default("Your gift card"),
  button: words(40),
  phone: z.enum(["no", "free", "must"]),
  company: z.boolean(),
  note: z.string().max(80),
  gift: z.string().max(80),
  news: z.string().max(160),
  bill: z.string().max(80),
  small: z.string().max(300),
  links: z.array(z.object({ label: z.string().max(60), link: linkSchema })).max(4),
});
export type CheckoutFormProps = z.infer<typeof props>;

export const definition: Definition<CheckoutFormProps> = {
  kind: "checkout-form",
  name: "Checkout",
  about: "Where it goes, how it gets there and how it is paid, with the button that orders it.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["checkout"],
  tag: "div",
  arrangements: [
    { id: "page", name: "All on one page" },
    { id: "cards", name: "All on one page, each part on a card" },
    { id: "steps", name: "In steps, one after the other" },
  ],
  fields: [
    { type: "line", key: "button", label: "Button that orders it", most: 40 },
    {
      type: "choice",
      key: "phone",
      label: "Phone number",
      options: [
        ["no", "Not asked"],
        ["free", "Asked, may be left empty"],
        ["must", "Asked, has to be given"],
      ],
    },
    { type: "yes", key: "company", label: "Ask for a company" },
    { type: "line", key: "note", label: "Note to the order; empty: not asked", most: 80 },
    { type: "line", key: "gift", label: "Message for a gift; empty: not asked", most: 80 },
    { type: "line", key: "bill", label: "Tick for another address of the bill; empty: not asked", most: 80 },
    { type: "line", key: "news", label: "Tick for your letters; empty: not asked", most: 160 },
    { type: "line", key: "small", label: "Small print above the button", most: 300 },
    {
      type: "list",
      key: "links",
      label: "Pages to read before",
      one: "page",
      most: 4,
      fields: [
        { type: "link", key: "link", label: "Page" },
        { type: "line", key: "label", label: "Words", most: 60 },
      ],
      fresh: { label: "", link: NO_LINK },
    },
    { type: "line", key: "contact", seldom: true, label: "Heading of contact", most: 60 },
    { type: "line", key: "address", seldom: true, label: "Heading of the address", most: 60 },
    { type: "line", key: "delivery", seldom: true, label: "Heading of delivery", most: 60 },
    { type: "line", key: "cards", seldom: true, label: "Heading of gift cards that are bought", most: 60 },
    { type: "line", key: "payment", seldom: true, label: "Heading of payment", most: 60 },
  ],
  props,
  synonyms: ["address", "shipping", "payment", "order", "buy"],
  defaults: {
    contact: "Contact",
    address: "Where it goes",
    delivery: "Delivery",
    payment: "Payment",
    cards: "Your gift card",
    button: "Order and pay",
    phone: "free",
    company: false,
    note: "Note to us",
    gift: "",
    news: "",
    bill: "The bill goes to another address",
    small: "",
    links: [],
  },
  style: {},
  styles: ["wide"],
  script: "goods",
  // Another country may bring it: the form is reckoned anew where it stands.
  later: { classes: ["ck-none"], data: ["aria-busy=true"] },
  css: `${ASK_CSS}
.ck{display:grid;gap:var(--s5);grid-template-columns:minmax(0,1fr)}
.ck-part{display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr);min-width:0}
.ck-part h2{font-size:var(--t2);margin:0}
.ck textarea.field{display:block;min-height:5.5rem;resize:vertical}
.ck-pick input{flex:none;width:1.3rem;height:1.3rem;margin:0;accent-color:var(--brand-edge)}
.ck-head{display:flex;flex-wrap:wrap;gap:.1rem 1.25rem;align-items:baseline;justify-content:space-between}
.ck-head .ck-small{overflow-wrap:anywhere}
.ck-book{list-style:none;margin:0;padding:0;display:grid}
.ck-book button{border:0;background:none;padding:.5rem 0;min-height:2.75rem;width:100%;text-align:start;text-decoration:underline;text-underline-offset:.2em;cursor:pointer;overflow-wrap:anywhere}
.ck-designs{display:grid;grid-template-columns:repeat(auto-fill,minmax(8.5rem,1fr));gap:.75rem}
.ck-design{display:grid;gap:.35rem;cursor:pointer;font-size:var(--t-1);text-align:center;position:relative}
.ck-design input{position:absolute;opacity:0}
.ck-design .card-pic{border-radius:min(var(--card),.6rem)}
.ck-design :checked+.card-pic{outline:3px solid var(--ink);outline-offset:3px}
.ck-design :focus-visible+.card-pic{outline:3px solid var(--focus);outline-offset:3px}
.card-pic{display:block;width:100%;height:auto;background:var(--brand)}
.card-light{color:var(--on-brand)}
.card-bright{color:var(--page);opacity:.7}
.ck-cards{list-style:none;margin:0;padding:0}
.ck-cards li{display:flex;flex-wrap:wrap;gap:0 1.25rem;align-items:center;justify-content:space-between}
.ck-cards button{border:0;background:none;padding:0;min-height:2.75rem;text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.ck-card{display:flex;flex-wrap:wrap;gap:.75rem;align-items:flex-end}
.ck-card .fill{flex:1 1 14rem}
.ck-picks{display:grid;border:1px solid var(--field-line);border-radius:min(var(--card),.75rem);overflow:hidden}
.ck-option+.ck-option{border-top:1px solid var(--field-line)}
.ck-option:has(>.ck-pick :checked){background:var(--raised)}
.ck-pick{display:grid;grid-template-columns:auto minmax(0,1fr) auto;gap:.1rem .85rem;align-items:center;padding:.85rem 1rem;cursor:pointer}
.ck-pick small{grid-column:2/-1;color:var(--soft);font-size:var(--t-1);white-space:pre-line}
.ck-pick .amount{font-weight:var(--strong)}
.ck-more{padding:0 1rem 1rem;display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr)}
.ck-option:not(:has(>.ck-pick :checked))>.ck-more{display:none}
.ck-test{padding:.6rem .8rem;border:1px dashed var(--field-line);border-radius:var(--field-corners);font-size:var(--t-1)}
.ck-test code{font-size:1em;white-space:nowrap}
.ck-fold summary{cursor:pointer;min-height:2.75rem;display:flex;align-items:center;gap:.5rem;text-decoration:underline;text-underline-offset:.2em}
.ck-said{padding:.9rem 1.1rem;border:2px solid var(--danger);border-radius:min(var(--card),.75rem)}
.ck-said ul{margin:.4rem 0 0;padding-inline-start:1.2rem}
.ck-said a{color:var(--danger)}
.ck-none{padding:.9rem 1.1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
.ck-bill{display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr)}
.ck-end{display:grid;gap:var(--s2);justify-items:var(--align-box,start)}
.ck-end .button{width:100%}
.ck-total{margin-inline-start:.6em}
.ck-small{color:var(--soft);font-size:var(--t-1)}
.ck-links{display:flex;flex-wrap:wrap;gap:0 1.25rem;font-size:var(--t-1)}
.ck-links a{display:inline-flex;align-items:center;min-height:1.75rem}
.ck-done{display:flex;flex-wrap:wrap;gap:.25rem 1.25rem;justify-content:space-between;align-items:baseline;padding-bottom:var(--s2);border-bottom:var(--rule) solid var(--line)}
.ck-done p{flex:1 1 14rem;overflow-wrap:anywhere;white-space:pre-line}
.ck-done button{border:0;background:none;padding:.4rem 0;min-height:2.5rem;text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.ck-step{color:var(--soft);font-variant-numeric:tabular-nums}
.a-cards .ck{gap:var(--s3)}
.a-cards .ck-part{padding:clamp(1rem,3vw,1.75rem);background:var(--page);border:1px solid var(--line);border-radius:var(--card)}
.ck[aria-busy=true]{opacity:.6;transition:opacity .2s .15s}
@media (min-width:520px){.ck-end .button{width:auto;min-width:16rem}}
`,
};
