import { z } from "zod";
import type { Definition } from "../definition";

const MOST = 6;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  collection: z.string().max(40).nullable(),
  products: z.array(z.string().max(40)).max(MOST),
  most: z.number().int().min(2).max(MOST),
  attributes: z.array(z.string().max(80)).max(40).nullable(),
  differs: z.boolean(),
  button: z.string().max(30),
});
export type CompareGoodsProps = z.infer<typeof props>;

export const definition: Definition<CompareGoodsProps> = {
  kind: "compare-goods",
  name: "Goods compared",
  about:
    "Two to six products beside each other, with what they have and how they differ. Prices and facts stay true by themselves.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  tag: "section",
  ofGoods: true,
  arrangements: [
    { id: "lines", name: "With lines" },
    { id: "striped", name: "Every second row tinted" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    { type: "products", key: "products", label: "Picked by hand", most: MOST, none: "None: those of the collection." },
    { type: "collection", key: "collection", label: "Which goods", none: "All goods" },
    { type: "number", key: "most", label: "How many at most", least: 2, most: MOST },
    { type: "attributes", key: "attributes", label: "Which facts", none: "All that they have" },
    { type: "yes", key: "differs", label: "Only what differs" },
    { type: "line", key: "button", label: "Button", most: 30, hint: "Leave empty for none" },
  ],
  props,
  synonyms: ["comparison", "versus", "which one", "difference", "table", "specification", "choose", "buying guide"],
  defaults: {
    heading: "Which one is for you?",
    text: "",
    collection: null,
    products: [],
    most: 3,
    attributes: null,
    differs: false,
    button: "See it",
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start", shape: "1/1" },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape", "fit"],
  css: `
.contest{position:relative;overflow-x:auto;scrollbar-width:thin}
.contest table{border-collapse:separate;border-spacing:0;width:100%;table-layout:fixed;min-width:calc(7rem + var(--of)*9.5rem)}
.contest th,.contest td{padding:.8rem 1rem;text-align:start;vertical-align:top;border-bottom:max(1px,var(--rule)) solid var(--line)}
.contest tr>:first-child{position:sticky;left:0;z-index:2;background:var(--page);width:7rem;padding-inline-start:0;font-weight:var(--strong);overflow-wrap:anywhere}
.contest thead>tr>*{border-bottom:max(2px,var(--rule)) solid var(--ink);vertical-align:bottom;font-weight:inherit}
.contest tfoot>tr>*{border-bottom:0;padding-top:1.2rem}
.contest .pic{aspect-ratio:var(--shape);border-radius:var(--card);margin-bottom:.8rem}
.contest .pic img{object-fit:var(--goods-fit)}
.contest-title{font-weight:var(--strong);line-height:1.3}
.contest-title a{text-decoration:none}
.contest-title a:hover{text-decoration:underline}
.contest-none{color:var(--soft)}
.contest .button{width:100%}
.s-compare-goods.a-striped .contest tbody>tr:nth-child(odd)>*{background:var(--raised);border-bottom-color:#0000}
.s-compare-goods.a-striped .contest tr>:first-child{padding-inline-start:1rem}
.contest-2{--of:2}
.contest-3{--of:3}
.contest-4{--of:4}
.contest-5{--of:5}
.contest-6{--of:6}
@media (min-width:700px){.contest tr>:first-child{width:11rem}}
`,
};
