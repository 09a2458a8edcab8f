import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import type { Definition } from "../definition";

const tile = z.object({
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
  heading: z.string().max(80),
  text: z.string().max(200),
  more: z.string().max(40),
  link: linkSchema,
});
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  tiles: z.array(tile).max(7),
});
export type SplitTilesProps = z.infer<typeof props>;

export const definition: Definition<SplitTilesProps> = {
  kind: "split-tiles",
  name: "Tiles",
  about: "Two to seven ways on, each a picture with its own words and its own place to lead to.",
  purpose: "Show pictures",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "abreast", name: "Side by side" },
    { id: "large", name: "One large, the rest beside it" },
    { id: "steps", name: "Wide and narrow in turn" },
    { id: "below", name: "Words below the pictures" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120, hint: "Optional" },
    {
      type: "list",
      key: "tiles",
      label: "Tiles",
      one: "tile",
      most: 7,
      begins: { with: "collections", most: 3 },
      fields: [
        { type: "picture", key: "picture", label: "Picture", views: true },
        { type: "line", key: "heading", label: "Heading", most: 80, hint: "Name of what it leads to, if empty" },
        { type: "line", key: "text", label: "Text", most: 200, hint: "Optional" },
        { type: "line", key: "more", label: "Words of the link", most: 40, hint: "Optional" },
        { type: "link", key: "link", label: "Leads to" },
      ],
      fresh: { picture: null, heading: "", text: "", more: "", link: NO_LINK },
    },
  ],
  props,
  synonyms: ["banners", "promo", "categories", "blocks", "split", "collage", "image links", "grid"],
  defaults: { heading: "", tiles: [] },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 3,
      gap: 2,
      shape: "4/5",
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
    },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape", "gap"],
  css: `
.s-split-tiles .in>.head{margin-bottom:var(--s4);text-align:var(--align)}
.splits{display:grid;gap:var(--gap)}
.split{position:relative;display:flex;flex-direction:column;height:100%;min-height:0;text-decoration:none;color:inherit}
.split .pic{flex:1;border-radius:var(--card);aspect-ratio:var(--shape)}
.split .pic img{transition:scale .35s}
.split:hover .pic img{scale:calc(1 + .025*var(--motion))}
.split-words{display:flex;flex-direction:column;gap:.35rem;text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.split-head{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);text-transform:var(--heads-case);line-height:1.15;font-size:var(--t2);text-wrap:balance}
.split-text{font-size:var(--t0);text-wrap:pretty;max-width:var(--measure)}
.split-more{font-weight:var(--strong);text-decoration:underline;text-underline-offset:.2em}
.s-split-tiles:not(.a-below) .split-words{position:absolute;inset:auto 0 0;padding:4.5rem var(--s3) var(--s3);color:#fff;border-radius:0 0 var(--card) var(--card);background:linear-gradient(to top,rgb(8 14 20/.74),rgb(8 14 20/.6) calc(100% - 4.5rem),rgb(8 14 20/0))}
.a-below .split-words{padding-top:.8rem}
.a-below .split-text{color:var(--soft)}
@media (min-width:600px){
.splits{grid-template-columns:repeat(var(--of),minmax(0,1fr))}
.splits-2,.splits-4{--of:2}
.splits-3,.splits-5,.splits-6,.splits-7{--of:3}
.a-abreast .splits-5>:nth-child(-n+2),.a-below .splits-5>:nth-child(-n+2){grid-column:span 3}
.a-abreast .splits-5,.a-below .splits-5{--of:6}
.a-abreast .splits-5>:nth-child(n+3),.a-below .splits-5>:nth-child(n+3){grid-column:span 2}
.a-abreast .splits-7,.a-below .splits-7{--of:12}
.a-abreast .splits-7>:nth-child(-n+3),.a-below .splits-7>:nth-child(-n+3){grid-column:span 4}
.a-abreast .splits-7>:nth-child(n+4),.a-below .splits-7>:nth-child(n+4){grid-column:span 3}
.a-abreast .splits-5 .pic,.a-abreast .splits-7 .pic{aspect-ratio:auto;height:100%}
.a-abreast .splits-5,.a-abreast .splits-7{grid-auto-rows:clamp(14rem,30vw,30rem)}
.a-large .splits{--of:12;grid-auto-rows:clamp(8rem,17vw,17rem)}
.a-large .split .pic,.a-steps .split .pic{aspect-ratio:auto;height:100%}
.a-large .splits>*{grid-column:span 5;grid-row:span 2}
.a-large .splits>:first-child{grid-column:span 7;grid-row:span 4}
.a-large .splits-2>*{grid-row:span 3}
.a-large .splits-2>:first-child{grid-row:span 3}
.a-large .splits-4>:nth-child(n+4){grid-column:span 12}
.a-large .splits-5>:nth-child(n+4){grid-column:span 6}
.a-large .splits-6>:nth-child(n+4){grid-column:span 4}
.a-large .splits-7>:nth-child(n+4){grid-column:span 3}
.a-steps .splits{--of:12;grid-auto-rows:clamp(14rem,30vw,30rem)}
.a-steps .splits>*{grid-column:span 5}
.a-steps .splits>:nth-child(4n+1),.a-steps .splits>:nth-child(4n){grid-column:span 7}
.a-steps .splits>:last-child:nth-child(odd){grid-column:span 12}
}
`,
};
