import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import { richSchema } from "~/core/rich";
import { MOST_WIDGETS } from "../column/definition";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  over: z.string().max(80),
  heading: z.string().max(140),
  text: richSchema(400),
  button: z.string().max(40),
  link: linkSchema,
  more: z.string().max(40),
  moreLink: linkSchema,
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
});
export type HeroProps = z.infer<typeof props>;

export const definition: Definition<HeroProps> = {
  kind: "hero",
  name: "Hero",
  about: "One large picture and the one thing you most want to say.",
  purpose: "Welcome",
  level: "section",
  slots: ["main", "slides"],
  holds: { widgets: MOST_WIDGETS },
  tag: "section",
  arrangements: [
    {
      id: "on-picture",
      name: "Words on the picture",
      wordsOnPicture: true,
      style: { all: { height: "tall", spaceTop: 0, spaceBottom: 0, width: "content" } },
    },
    { id: "beside", name: "Words beside the picture", style: { all: { height: "content", scrim: 0 } } },
    { id: "above", name: "Words above the picture", style: { all: { height: "content", scrim: 0 } } },
  ],
  fields: [
    { type: "line", key: "over", seldom: true, label: "Line above", most: 80, hint: "Optional, a few words" },
    { type: "text", key: "heading", label: "Heading", most: 140 },
    { type: "rich", key: "text", label: "Text", most: 400 },
    { type: "line", key: "button", label: "Button", most: 40 },
    { type: "link", key: "link", label: "Button leads to" },
    { type: "line", key: "more", seldom: true, label: "Second link", most: 40, hint: "Optional" },
    { type: "link", key: "moreLink", seldom: true, label: "Second link leads to" },
    { type: "picture", key: "picture", label: "Picture", views: true },
  ],
  props,
  placeholders: ["heading", "text"],
  synonyms: ["banner", "header picture", "cover", "splash", "welcome", "intro", "big picture"],
  defaults: {
    over: "",
    heading: "Come in and have a look around",
    text: "Take your time. It is good to have you here.",
    button: "See what’s new",
    link: NO_LINK,
    more: "",
    moreLink: NO_LINK,
    picture: null,
  },
  style: {
    all: {
      set: "page",
      width: "content",
      height: "content",
      align: "start",
      headSize: 6,
      scrim: 60,
      scrimFrom: "bottom",
      scrimTone: "dark",
      spaceTop: 6,
      spaceBottom: 6,
      shape: "4/3",
    },
  },
  styles: [
    "height",
    "width",
    "align",
    "measure",
    "spaceTop",
    "spaceBottom",
    "hidden",
    "set",
    "headSize",
    "scrim",
    "scrimFrom",
    "scrimTone",
    "shape",
  ],
  css: `
.hero-words{display:flex;flex-direction:column;gap:var(--s3);text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.hero-words .lead{font-size:var(--t1);line-height:1.45;max-width:28em}
.hero-actions{display:flex;flex-wrap:wrap;align-items:center;gap:.75rem 1.5rem;justify-content:var(--align-box,flex-start)}
.a-on-picture.s-hero{display:flex;flex-direction:column;justify-content:flex-end;min-height:var(--min-height);isolation:isolate;overflow:clip}
.a-on-picture>.pic{position:absolute;inset:0;z-index:-2}
.with-scrim{position:var(--scrim-on)}
.a-on-picture:not(:has(>.pic-none)) .with-scrim::before{content:"";position:absolute;inset:var(--scrim-inset);z-index:-1;background:linear-gradient(var(--scrim-to),rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-0))) 0,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-1))) 38%,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-2))) 62%,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-3))) 82%)}
.a-on-picture .hero-words{padding-block:var(--s7) var(--s5);max-width:46rem;margin-inline:0}
.a-on-picture .in{display:flex;justify-content:var(--align-box,flex-start)}
.a-on-picture:not(:has(>.pic-none)){--ink:var(--on-picture);--on-ink:rgb(var(--scrim-rgb,8 14 18));--soft:var(--on-picture);--link:var(--on-picture);--focus:var(--on-picture)}
.a-on-picture:not(:has(>.pic-none)) .over{color:var(--on-picture)}
.s-hero.a-beside .in{display:grid;gap:var(--s4);align-items:center}
.s-hero.a-beside .pic{aspect-ratio:var(--shape);border-radius:var(--pic-corners)}
.s-hero.a-above .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.s-hero.a-above .in{display:flex;flex-direction:column;gap:var(--s5)}
@media (min-width:800px){.s-hero.a-beside .in{grid-template-columns:1fr 1.15fr;gap:var(--s5);min-height:var(--min-height)}
.s-hero.a-above .hero-words{display:grid;grid-template-columns:1.6fr 1fr;column-gap:var(--s5);align-items:end}.s-hero.a-above .hero-words>.head{grid-row:1/span 3}.s-hero.a-above .over{grid-column:1/-1;grid-row:auto}}
`,
};
