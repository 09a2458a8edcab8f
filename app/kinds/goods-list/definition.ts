import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  filters: z.array(z.string().max(80)).max(40).nullable(),
  price: z.boolean(),
  now: z.boolean(),
  reduced: z.boolean(),
  sort: z.boolean(),
  count: z.boolean(),
  perPage: z.number().int().min(4).max(60),
  paging: z.enum(["numbers", "more"]),
  empty: z.string().max(160),
});
export type GoodsListProps = z.infer<typeof props>;

export const definition: Definition<GoodsListProps> = {
  kind: "goods-list",
  name: "Goods with filters",
  about: "All goods of the collection or the search: filters, order, pages.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  only: ["collection", "search"],
  tag: "section",
  ofGoods: true,
  arrangements: [
    { id: "side", name: "Filters at the side" },
    { id: "above", name: "Filters above" },
  ],
  fields: [
    { type: "attributes", key: "filters", label: "Attributes that filter", none: "All of them" },
    { type: "yes", key: "price", label: "Filter by price" },
    { type: "yes", key: "now", label: "Filter “can be bought now”" },
    { type: "yes", key: "reduced", label: "Filter “reduced”" },
    { type: "yes", key: "sort", label: "Choice of order" },
    { type: "yes", key: "count", label: "Says how many there are" },
    { type: "number", key: "perPage", seldom: true, label: "Goods on a page", least: 4, most: 60 },
    {
      type: "choice",
      key: "paging",
      seldom: true,
      label: "Further goods",
      options: [
        ["numbers", "Numbered pages"],
        ["more", "“Show more”"],
      ],
    },
    { type: "line", key: "empty", seldom: true, label: "Said when nothing fits", most: 160 },
  ],
  props,
  defaults: {
    filters: null,
    price: true,
    now: true,
    reduced: true,
    sort: true,
    count: true,
    perPage: 24,
    paging: "numbers",
    empty: "Nothing fits all of that. Take something back, or see everything.",
  },
  style: {
    all: { set: "page", width: "content", columns: 3, shape: "4/5", spaceTop: 2, spaceBottom: 6 },
    tablet: { columns: 2 },
    phone: { columns: 2 },
  },
  styles: ["columns", "shape", "fit", "width", "spaceTop", "spaceBottom", "hidden", "set"],
  script: "goods",
  later: { classes: ["is-busy", "is-open"] },
  css: `
.list{display:grid;gap:var(--s3) var(--s5)}
.list-bar{display:flex;flex-wrap:wrap;gap:.6rem 1.2rem;align-items:center;justify-content:space-between;margin-bottom:var(--s2)}
.list-count{color:var(--soft)}
.list-sort{display:flex;align-items:center;gap:.6rem}
.list-sort label{display:flex;align-items:center;gap:.6rem;min-width:0}
.list-sort .field{width:auto;min-width:0}
.chips{display:flex;flex-wrap:wrap;gap:.5rem;margin-bottom:var(--s2)}
.chip{display:inline-flex;align-items:center;gap:.5rem;min-height:2.25rem;padding:.25rem .8rem;border:1px solid var(--ink);border-radius:min(var(--control),99px);text-decoration:none;font-size:var(--t-1)}
.chip:hover{background:var(--ink);color:var(--on-ink)}
.chip-all{border-color:transparent;text-decoration:underline}
.filters{font-size:var(--t0)}
.filters-shade,.filters-head{display:none}
.facet{border:0;border-top:var(--rule) solid var(--line);margin:0;padding:.9rem 0}
.facet legend,.facet-name{float:left;width:100%;font-weight:var(--strong);padding:0;margin-bottom:.5rem}
.facet legend+*{clear:both}
.facet-unit{color:var(--soft);font-weight:var(--text-weight)}
.facet label{display:flex;align-items:center;gap:.6rem;min-height:2.1rem;cursor:pointer}
.facet label[data-none]{color:var(--soft)}
.facet input[type=checkbox]{width:1.15rem;height:1.15rem;margin:0;accent-color:var(--brand-edge);flex:none}
.facet small{margin-inline-start:auto;color:var(--soft);font-variant-numeric:tabular-nums}
.facet svg{width:1.1rem;height:1.1rem;border-radius:min(var(--control),50%);border:1px solid var(--line);flex:none}
.facet-few{display:grid;grid-template-columns:1fr 1fr;column-gap:1.6rem}
.facet details summary{cursor:pointer;color:var(--link-ink);min-height:2rem;padding-top:.3rem}
.span-in{display:flex;gap:.6rem;align-items:center}
.span-in .field{min-width:0;-moz-appearance:textfield}
.facet-now{display:grid}
.filters-do{display:flex;gap:.6rem;flex-wrap:wrap;padding-top:.6rem}
.list-none{display:flex;flex-direction:column;gap:var(--s2);align-items:flex-start;padding-block:var(--s4)}
.pages{display:flex;flex-wrap:wrap;gap:.4rem;justify-content:center;margin-top:var(--s5)}
.pages a,.pages span{display:grid;place-items:center;min-width:2.75rem;min-height:2.75rem;padding-inline:.5rem;border-radius:var(--field-corners);text-decoration:none}
.pages a:hover{text-decoration:underline}
.pages [aria-current]{background:var(--ink);color:var(--on-ink)}
.list.is-busy .grid{opacity:.5;transition:opacity .2s .15s}
.list-more{display:grid;justify-items:center;gap:.6rem;margin-top:var(--s5)}
.a-above .filters-box:not(:target,.is-open){display:none}
@media (min-width:900px){
.a-side .list{grid-template-columns:15.5rem minmax(0,1fr)}
.a-side .list-main{grid-column:2}
.a-side .filters-open{display:none}
.a-side .facet:first-child{border-top:0;padding-top:0}
.a-above .filters-form{display:grid;grid-template-columns:repeat(auto-fill,minmax(13rem,1fr));gap:0 var(--s4);padding:var(--s3);margin-top:.6rem;border:1px solid var(--line);border-radius:var(--card)}
.a-above .facet{border-top:0}
.a-above .filters-do{grid-column:1/-1}
.a-above .list{grid-template-columns:auto minmax(0,1fr);align-items:center}
.a-above .list-main{display:contents}
.a-above .list-main>*{grid-column:1/-1}
.a-above .list-main>.list-bar{grid-column:2;margin:0}
.a-above .filters:has(:target,.is-open),.a-above .list:not(:has(.filters))>.list-main>.list-bar{grid-column:1/-1}
}
@media (max-width:899.98px){
.list{grid-template-columns:auto minmax(0,1fr);align-items:center;gap:var(--s2) 0}
.list-main>.list-bar{padding-inline-start:var(--s2)}
.list-main{display:contents}
.list-main>*{grid-column:1/-1}
.list-main>.list-bar{grid-column:2;margin:0;flex-wrap:nowrap;justify-content:flex-end}
.filters,.list-main>.list-bar{position:sticky;top:0;z-index:5;padding-block:.4rem;background:var(--page)}
.filters{z-index:6}
.list:not(:has(.filters))>.list-main>.list-bar{grid-column:1/-1}
.list-bar .list-count{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.list-sort{min-width:0}
.list-sort label>span{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.filters-open{white-space:nowrap}
.filters-box:not(:target,.is-open){display:none}
.filters-box:is(:target,.is-open){position:fixed;z-index:7;inset:0;display:flex;flex-direction:column;justify-content:flex-end}
.filters-box:is(:target,.is-open) .filters-shade{display:block;flex:1;min-height:12dvh;background:rgb(10 16 20/.5)}
.filters-head{display:flex;align-items:center;justify-content:space-between;position:sticky;top:-.6rem;z-index:1;margin-inline:calc(-1*var(--gutter));padding:.4rem .6rem .4rem var(--gutter);background:var(--page);border-bottom:1px solid var(--line);font-weight:var(--strong);font-size:var(--t1)}
.filters-close{display:grid;place-items:center;width:2.75rem;height:2.75rem;text-decoration:none;font-size:1.5rem;line-height:1}
.filters-head+.facet{border-top:0}
.filters-form{max-height:84dvh;overflow:auto;overscroll-behavior:contain;background:var(--page);padding:.6rem var(--gutter) 0;border-radius:1rem 1rem 0 0}
.filters-do{position:sticky;bottom:0;background:var(--page);padding-block:.8rem calc(.8rem + env(safe-area-inset-bottom));border-top:1px solid var(--line)}
.filters-do .button{flex:1 1 auto;white-space:nowrap}
}
`,
};
