import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import type { Definition } from "../definition";
import { LARGE_VIEW } from "../parts/large-view";

const shot = z.object({
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
  caption: z.string().max(160),
  link: linkSchema,
});
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  pictures: z.array(shot).max(40),
  large: z.boolean(),
});
export type PicturesProps = z.infer<typeof props>;

export const definition: Definition<PicturesProps> = {
  kind: "pictures",
  name: "Pictures",
  about: "Several pictures, even or unequal, whole or cropped, or one laid over another to compare.",
  purpose: "Show pictures",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "even", name: "Even rows" },
    { id: "unequal", name: "Large and small", style: { all: { gap: 2 } } },
    { id: "own", name: "In their own shapes", style: { all: { gap: 2 } } },
    { id: "swipe", name: "A row to swipe", style: { all: { shape: "4/5" } } },
    { id: "before", name: "Before and after", style: { all: { shape: "3/2" } } },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120, hint: "Optional" },
    {
      type: "list",
      key: "pictures",
      label: "Pictures",
      one: "picture",
      most: 40,
      begins: { with: "pictures", most: 6 },
      fields: [
        { type: "picture", key: "picture", label: "Picture", views: true },
        { type: "line", key: "caption", label: "Caption", most: 160, hint: "Optional" },
        { type: "link", key: "link", label: "Leads to" },
      ],
      fresh: { picture: null, caption: "", link: NO_LINK },
    },
    { type: "yes", key: "large", label: "Open large when pressed" },
  ],
  props,
  synonyms: [
    "gallery",
    "images",
    "photos",
    "photo gallery",
    "grid",
    "mosaic",
    "masonry",
    "collage",
    "compare",
    "slider",
    "lookbook",
  ],
  defaults: { heading: "", pictures: [], large: true },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 3,
      columns: 3,
      gap: 3,
      shape: "1/1",
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
    },
    phone: { columns: 2 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape", "gap"],
  script: "goods",
  later: LARGE_VIEW,
  css: `
.s-pictures .in>.head{margin-bottom:var(--s4);text-align:var(--align)}
.shots{display:grid;gap:var(--gap);grid-template-columns:repeat(var(--columns,3),minmax(0,1fr))}
.shots .pic{border-radius:var(--card);aspect-ratio:var(--shape)}
.shots a{display:block;color:inherit;text-decoration:none}
.shots a:hover .pic img{scale:calc(1 + .02*var(--motion))}
.shots .pic img{transition:scale .3s}
.shot-words{padding-top:.55rem;font-size:var(--t-1);color:var(--soft)}
.a-unequal .shots{grid-auto-flow:dense;grid-template-columns:repeat(12,minmax(0,1fr));grid-auto-rows:clamp(7rem,20vw,19rem)}
.a-unequal .shots li,.a-unequal .shots figure,.a-unequal .shots a{height:100%;min-height:0}
.a-unequal .shots figure{display:flex;flex-direction:column}
.a-unequal .shots figure>:first-child{flex:1;min-height:0}
.a-unequal .shots .pic{aspect-ratio:auto;height:100%}
.shot-all{grid-column:span 12;grid-row:span 2}
.shot-large{grid-column:span 8;grid-row:span 2}
.shot-small{grid-column:span 4}
.shot-wide{grid-column:span 7}
.shot-narrow{grid-column:span 5}
.shot-right{grid-column-end:-1}
.a-own .shots{display:block;columns:var(--columns,3);column-gap:var(--gap)}
.a-own .shots li{break-inside:avoid;margin-bottom:var(--gap)}
.a-own .shots .pic{aspect-ratio:auto}
.a-own .shots .pic img{height:auto}
.a-own .shots .pic-none{aspect-ratio:var(--shape)}
.a-swipe .shots{grid-template-columns:none;grid-auto-flow:column;grid-auto-columns:calc((100% - var(--columns,3)*var(--gap))/(var(--columns,3) + .35));overflow-x:auto;scroll-snap-type:x mandatory;scrollbar-width:thin;padding-bottom:.6rem;overscroll-behavior-x:contain}
.a-swipe .shots li{scroll-snap-align:start}
.compare{position:relative;display:grid;grid-template-columns:minmax(0,1fr);--at:50%}
.compare .pic{border-radius:var(--card);aspect-ratio:var(--shape)}
.compare>figure{grid-area:1/1;position:relative;min-width:0}
.compare>figure:nth-of-type(2)>.pic{clip-path:inset(0 0 0 var(--at))}
.compare .shot-words{position:absolute;inset:auto auto .75rem .75rem;padding:.3rem .65rem;border-radius:.3rem;background:var(--page);color:var(--ink)}
.compare>figure:nth-of-type(2) .shot-words{inset-inline:auto .75rem}
.compare-at{grid-area:1/1;position:relative;z-index:1;width:100%;height:100%;margin:0;appearance:none;background:linear-gradient(var(--page) 0 0) var(--at) 50%/3px 100% no-repeat;cursor:ew-resize;touch-action:pan-y;border-radius:var(--card)}
.compare-at::-webkit-slider-thumb{appearance:none;width:2.75rem;height:2.75rem;border-radius:50%;background:var(--page);border:2px solid var(--ink)}
.compare-at::-moz-range-thumb{width:2.75rem;height:2.75rem;border-radius:50%;background:var(--page);border:2px solid var(--ink)}
@media (scripting:none){
.compare{gap:var(--gap);grid-template-columns:1fr 1fr}
.compare>figure{grid-area:auto}
.compare>figure:nth-of-type(2)>.pic{clip-path:none}
.compare-at{display:none}
}
@media (max-width:599.98px){
.a-unequal .shots{grid-auto-rows:clamp(7rem,44vw,14rem)}
.shot-large{grid-column:span 12}
.shot-small{grid-column:span 6}
.shot-right{grid-column-end:auto}
}
`,
};
