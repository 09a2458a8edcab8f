import { z } from "zod";
import type { Definition } from "../definition";
import { LARGE_VIEW } from "../parts/large-view";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ arrangement: z.string().max(40).optional(), zoom: z.boolean() });
export type GalleryProps = z.infer<typeof props>;

export const definition: Definition<GalleryProps> = {
  kind: "gallery",
  name: "Pictures of the product",
  about: "All its pictures and its film, to look at closely.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tag: "figure",
  arrangements: [
    { id: "below", name: "Small ones below" },
    { id: "beside", name: "Small ones beside" },
    { id: "grid", name: "All of them" },
  ],
  fields: [{ type: "yes", key: "zoom", label: "Opens large when pressed" }],
  props,
  synonyms: ["images", "photos", "pictures", "video", "film", "slideshow", "carousel"],
  defaults: { zoom: true },
  style: {},
  styles: ["shape"],
  script: "goods",
  permissions: ["media"],
  later: LARGE_VIEW,
  css: `
.gallery{display:grid;gap:.75rem;grid-template:"stage"/minmax(0,1fr)}
.gallery:has(.thumbs){grid-template:"stage" "thumbs"/minmax(0,1fr)}
.stage{grid-area:stage;display:grid;grid-auto-flow:column;grid-auto-columns:100%;overflow-x:auto;scroll-snap-type:x mandatory;scrollbar-width:none;border-radius:var(--card);overscroll-behavior-x:contain}
.stage::-webkit-scrollbar{display:none}
.shot{scroll-snap-align:start;position:relative;min-width:0}
.shot .pic,.shot video{display:block;width:100%;aspect-ratio:var(--shape,4/5);border-radius:var(--card);object-fit:cover}
.shot video{background:var(--raised)}
.shot .pic img{object-fit:var(--goods-fit)}
.shot-open{display:block;cursor:zoom-in}
.thumbs{grid-area:thumbs;display:flex;flex-wrap:wrap;gap:.5rem;padding:3px}
.thumbs a{display:block;width:4.25rem;border-radius:calc(var(--card)/2);outline:2px solid transparent;outline-offset:1px;overflow:hidden}
.thumbs .pic{display:block;aspect-ratio:var(--shape,4/5)}
.thumbs a[aria-current]{outline-color:var(--ink)}
.thumb-film{display:grid;place-items:center;aspect-ratio:var(--shape,4/5);background:var(--raised);font-size:var(--t-1)}
.shot-badge{position:relative;inset:auto;grid-area:stage;place-self:start;z-index:1;margin:.75rem}
.a-grid .stage{grid-auto-flow:row;grid-template-columns:1fr 1fr;grid-auto-columns:auto;gap:.75rem;overflow:visible;border-radius:0}
.a-grid .shot:first-child{grid-column:1/-1}
.a-grid .gallery{grid-template:"stage"/minmax(0,1fr)}
.a-grid .thumbs{display:none}
@media (min-width:800px){
.w-gallery:not(.a-grid) .shot .pic,.w-gallery:not(.a-grid) .shot video{max-height:calc(100svh - 9rem);min-height:22rem}
.a-beside .gallery:has(.thumbs){grid-template:"thumbs stage"/calc(4.25rem + 6px) minmax(0,1fr);align-items:start}
.a-beside .thumbs{flex-direction:column;flex-wrap:nowrap}
.gallery-swipe{display:none}
}
@media (max-width:799.98px){
.thumbs{flex-wrap:nowrap;overflow-x:auto;scrollbar-width:none}
.thumbs a{width:3.4rem}
.a-grid .stage{grid-auto-flow:column;grid-template-columns:none;grid-auto-columns:86%;overflow-x:auto}
.a-grid .shot:first-child{grid-column:auto}
}
.zoom{border:0;padding:0;width:100vw;height:100dvh;max-width:none;max-height:none;background:var(--page)}
.zoom::backdrop{background:var(--page)}
.zoom-stage{display:grid;grid-auto-flow:column;grid-auto-columns:100%;height:100%;overflow:auto;scroll-snap-type:x mandatory}
.zoom-stage div{scroll-snap-align:center;overflow:auto;display:grid;place-items:center}
.zoom-stage img{max-width:100%;max-height:100dvh;cursor:zoom-in}
.zoom-stage img.is-large{max-width:none;max-height:none;width:220%;cursor:zoom-out}
.zoom-close,.zoom-step{position:fixed;z-index:1;right:.75rem}
.zoom-close{top:.75rem}
.zoom-step{bottom:.75rem;display:flex;gap:.5rem}
`,
};
