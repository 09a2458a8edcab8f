import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  tiles: z.array(z.object({ collection: z.string().max(40).nullable(), words: z.string().max(60) })).max(12),
});
export type CollectionTilesProps = z.infer<typeof props>;

export const definition: Definition<CollectionTilesProps> = {
  kind: "collection-tiles",
  name: "Collections",
  about: "A way into each part of the shop. Tiles link to their collection by themselves.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "captions", name: "Names under pictures" },
    { id: "on-pictures", name: "Names on pictures", style: { all: { shape: "4/5" } } },
    { id: "index", name: "Large names in a list" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    {
      type: "list",
      key: "tiles",
      label: "Collections",
      one: "collection",
      most: 12,
      fields: [
        { type: "collection", key: "collection", label: "Collection", none: "Choose…" },
        { type: "line", key: "words", label: "Other name", most: 60, hint: "Its own name, if empty" },
      ],
      fresh: { collection: null, words: "" },
    },
  ],
  props,
  synonyms: ["categories", "collection", "tiles", "departments"],
  defaults: { heading: "Find your way", tiles: [] },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 3,
      columns: 3,
      shape: "4/3",
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
    },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.s-collection-tiles .in>.head{margin-bottom:var(--s4);text-align:var(--align)}
.tile{position:relative;display:flex;flex-direction:column;text-decoration:none;height:100%}
.tile .pic{aspect-ratio:var(--shape);flex:1 0 auto;border-radius:var(--pic-corners)}
@supports (width:round(up,1px,1px)){.s-collection-tiles .even{--last:calc(1 + mod(var(--even) - mod(var(--count),var(--even)),var(--even)))}}
.s-collection-tiles .even>li:last-child{grid-column:span var(--last,1)}
.s-collection-tiles .even>li:last-child .pic{aspect-ratio:calc(var(--shape)*var(--last,1))}
.tile-name{display:flex;justify-content:space-between;align-items:baseline;gap:1rem;padding-top:.7rem;font-weight:var(--strong);font-size:var(--t1);line-height:1.2}
.tile-count{font-size:var(--t-1);font-weight:var(--text-weight);color:var(--soft);white-space:nowrap}
.tile:hover .tile-name>:first-child{text-decoration:underline;text-decoration-thickness:.08em}
.a-on-pictures .pic{isolation:isolate}
.a-on-pictures .pic::after{content:"";position:absolute;inset:0;background:linear-gradient(to top,rgb(8 14 20/.78),rgb(8 14 20/.28) 45%,transparent 70%)}
.a-on-pictures .tile-name{position:absolute;inset:auto 0 0;padding:var(--s3);color:#fff;font-family:var(--heads);font-weight:var(--heads-weight);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking)}
.a-on-pictures .tile-count{display:none}
.a-index .grid{grid-template-columns:1fr;gap:0;--last:1}
.a-index .pic{display:none}
.a-index .tile{border-top:var(--rule) solid var(--line)}
.a-index .tile-name{padding-block:var(--s3);font-family:var(--heads);font-weight:var(--heads-weight);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);font-size:var(--t3)}
@media (max-width:599.98px){.a-captions .tile-count{display:none}}
`,
};
