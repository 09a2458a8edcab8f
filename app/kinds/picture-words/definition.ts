import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import { richSchema } from "~/core/rich";
import { MOST_WIDGETS } from "../column/definition";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  over: z.string().max(80),
  heading: z.string().max(140),
  text: richSchema(1500),
  more: z.string().max(40),
  link: linkSchema,
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
});
export type PictureWordsProps = z.infer<typeof props>;

export const definition: Definition<PictureWordsProps> = {
  kind: "picture-words",
  name: "Picture & words",
  about: "Two columns: something to look at, and what there is to say about it.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  holds: { widgets: MOST_WIDGETS },
  tag: "section",
  arrangements: [
    { id: "picture-left", name: "Picture left" },
    { id: "picture-right", name: "Picture right" },
    { id: "overlap", name: "Words over the edge", style: { all: { shape: "16/9" } } },
  ],
  fields: [
    { type: "line", key: "over", seldom: true, label: "Line above", most: 80, hint: "Optional" },
    { type: "text", key: "heading", label: "Heading", most: 140 },
    { type: "rich", key: "text", label: "Text", most: 1500 },
    { type: "line", key: "more", label: "Link", most: 40, hint: "Optional" },
    { type: "link", key: "link", label: "Link leads to" },
    { type: "picture", key: "picture", label: "Picture", views: true },
  ],
  props,
  placeholders: ["heading", "text"],
  synonyms: [
    "image",
    "photo",
    "text",
    "half",
    "half and half",
    "split",
    "side by side",
    "two columns",
    "about",
    "story",
  ],
  defaults: {
    over: "",
    heading: "A small shop",
    text: "We look after what we sell, and we are glad that you are here.",
    more: "",
    link: NO_LINK,
    picture: null,
  },
  style: {
    all: { set: "page", width: "content", headSize: 4, shape: "4/3", spaceTop: 6, spaceBottom: 6, align: "start" },
    phone: { align: "start" },
  },
  styles: ["width", "align", "measure", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.s-picture-words .in{display:grid;gap:var(--s4)}
.s-picture-words .pic{aspect-ratio:var(--shape);border-radius:var(--pic-corners)}
.pw-words{display:flex;flex-direction:column;gap:var(--s3);justify-content:center;text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.a-overlap .pw-words{background:var(--raised);padding:var(--s4);border-radius:var(--card)}
@media (max-width:799.98px){.a-overlap .pw-words{margin:-3.5rem var(--s2) 0;position:relative}}
@media (min-width:800px){
.a-picture-left .in,.a-picture-right .in{grid-template-columns:1.15fr 1fr;gap:var(--s6)}
.a-picture-right .in{grid-template-columns:1fr 1.15fr}
.a-picture-right .pic{order:2}
.a-overlap .in{grid-template-columns:repeat(12,1fr);align-items:end}
.a-overlap .pic{grid-area:1/1/2/10}
.a-overlap .pw-words{grid-area:1/7/2/13;margin-bottom:calc(-1*var(--s4));position:relative}
}
`,
};
