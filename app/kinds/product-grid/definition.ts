import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  text: z.string().max(300),
  collection: z.string().max(40).nullable(),
  products: z.array(z.string().max(40)).max(24),
  most: z.number().int().min(1).max(24),
  more: z.string().max(40),
});
export type ProductGridProps = z.infer<typeof props>;

export const definition: Definition<ProductGridProps> = {
  kind: "product-grid",
  name: "Goods",
  about: "Products of a collection, with prices and badges that stay true by themselves.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  tag: "section",
  ofGoods: true,
  arrangements: [
    { id: "cards", name: "Cards" },
    { id: "shelf", name: "Shelf to slide along" },
    { id: "rows", name: "Rows with facts", style: { all: { columns: 2, shape: "1/1" }, phone: { columns: 1 } } },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 300 },
    { type: "collection", key: "collection", label: "Which goods", none: "All goods" },
    { type: "products", key: "products", label: "Picked by hand", most: 24, none: "None: those of the collection." },
    { type: "number", key: "most", label: "How many at most", least: 1, most: 24 },
    { type: "line", key: "more", label: "Link to all of them", most: 40, hint: "Leave empty for none" },
  ],
  props,
  synonyms: ["products", "featured", "bestsellers", "new arrivals", "shop", "cards", "list of goods"],
  defaults: { heading: "New in the shop", text: "", collection: null, products: [], most: 8, more: "See all" },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 4,
      columns: 4,
      shape: "4/5",
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
    },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape", "fit"],
  css: `
.goods-top{display:flex;flex-wrap:wrap;align-items:end;justify-content:space-between;gap:var(--s2) var(--s4);margin-bottom:var(--s4)}
.goods-top>div{display:flex;flex-direction:column;gap:var(--s2);flex:1 1 20rem;text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.a-shelf .shelf{display:grid;grid-auto-flow:column;grid-auto-columns:calc((100% - var(--columns)*var(--s3))/(var(--columns) + .35));gap:var(--s3);overflow-x:auto;scroll-snap-type:x proximity;padding-bottom:var(--s2);scrollbar-width:thin}
.a-shelf .shelf>*{scroll-snap-align:start}
.s-product-grid.a-rows .grid{gap:0 var(--s4)}
.s-product-grid.a-rows .card{flex-direction:row;gap:var(--s3);align-items:center;padding-block:var(--s2);border-top:var(--rule) solid var(--line)}
.s-product-grid.a-rows .card-picture{flex:0 0 5.5rem}
.s-product-grid.a-rows .card-words{flex:1;padding:0}
.s-product-grid.a-rows .badge{position:static;display:inline-block;margin-top:.3rem;border-radius:0;background:none;color:var(--soft);padding:0}
.goods-none{padding:var(--s4);border:1px dashed var(--field-line);border-radius:var(--card);color:var(--soft)}
`,
};
