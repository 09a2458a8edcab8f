import { z } from "zod";
import { viewSchema } from "~/core/schema";
import type { Definition, Start } from "../definition";
import { makeWidget } from "../make-widget";
import { placedAt } from "./placed-at";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
});
export type PosterProps = z.infer<typeof props>;

const words: Start["build"] = ({ picture, link }) => ({
  style: { all: { scrim: 75, scrimFrom: "left" }, phone: { scrimFrom: "top" } },
  props: { picture },
  slots: {
    placed: [
      makeWidget(
        "heading",
        { text: "Come in and have a look around" },
        placedAt({ x: 28, y: 40, width: 44, letters: 6 }, { x: 50, y: 20, width: 88, letters: 11.5 }),
      ),
      makeWidget(
        "words",
        { text: "Take your time. It is good to have you here." },
        placedAt({ x: 23, y: 66, width: 34, letters: 1.7 }, { x: 50, y: 39, width: 88, letters: 4.6 }),
      ),
      makeWidget(
        "button",
        { label: "Have a look", link },
        placedAt({ x: 14, y: 83, width: 16 }, { x: 50, y: 88, width: 88 }),
      ),
    ],
  },
});

const middle: Start["build"] = ({ picture, link }) => ({
  style: { all: { scrim: 60 } },
  props: { picture },
  slots: {
    placed: [
      makeWidget(
        "words",
        { text: "Have a closer look" },
        placedAt(
          { x: 50, y: 26, width: 40, letters: 2 },
          { x: 50, y: 24, width: 80, letters: 4.8 },
          { align: "center" },
        ),
      ),
      makeWidget(
        "heading",
        { text: "Something for somebody" },
        placedAt(
          { x: 50, y: 46, width: 80, letters: 8.5 },
          { x: 50, y: 42, width: 92, letters: 13 },
          { align: "center" },
        ),
      ),
      makeWidget(
        "button",
        { label: "See what there is", link },
        placedAt({ x: 50, y: 74, width: 24 }, { x: 50, y: 80, width: 80 }, { align: "center" }),
      ),
    ],
  },
});

const cutOut: Start["build"] = ({ picture, pictures, link }) => ({
  style: { all: { set: "brand" } },
  props: { picture: null },
  slots: {
    placed: [
      makeWidget(
        "picture",
        { picture: pictures[1] ?? picture },
        placedAt({ x: 74, y: 50, width: 33 }, { x: 50, y: 61, width: 62 }, { shape: "1/1", tilt: 3, round: "card" }),
      ),
      makeWidget(
        "heading",
        { text: "Made to be used" },
        placedAt({ x: 25, y: 38, width: 42, letters: 7 }, { x: 50, y: 14, width: 90, letters: 12 }),
      ),
      makeWidget(
        "words",
        { text: "Have a closer look, and ask if you would like to know more." },
        placedAt({ x: 22, y: 64, width: 36, letters: 1.7 }, { x: 50, y: 30, width: 90, letters: 4.4 }),
      ),
      makeWidget(
        "button",
        { label: "Have a look", link, look: "second" },
        placedAt({ x: 13, y: 83, width: 18 }, { x: 50, y: 93, width: 88 }),
      ),
    ],
  },
});

export const MOST_PLACED = 20;

export const definition: Definition<PosterProps> = {
  kind: "poster",
  name: "Poster",
  about: "A picture, or a colour, with words, buttons and pictures wherever you put them, on phones elsewhere.",
  purpose: "Show pictures",
  level: "section",
  slots: ["main", "slides"],
  holds: { placed: MOST_PLACED },
  traits: ["no-head", "places"],
  tag: "section",
  arrangements: [{ id: "placed", name: "Placed freely", wordsOnPicture: true }],
  starts: [
    { id: "words", name: "Words on a picture", build: words },
    { id: "middle", name: "A line in the middle", build: middle },
    { id: "cut-out", name: "A picture on a colour", build: cutOut },
  ],
  fields: [{ type: "picture", key: "picture", label: "Picture behind all", views: true }],
  props,
  synonyms: ["banner", "freeform", "canvas", "design", "promo", "flyer", "ad", "collage"],
  defaults: { picture: null },
  style: {
    all: { set: "page", shape: "5/2", scrim: 45, scrimFrom: "even", scrimTone: "dark" },
    tablet: { shape: "16/9" },
    phone: { shape: "4/5" },
  },
  styles: ["shape", "hidden", "set", "scrim", "scrimFrom", "scrimTone"],
  css: `
.s-poster{container-type:inline-size;aspect-ratio:var(--shape);overflow:clip;isolation:isolate;padding-block:0}
.s-poster>.pic{position:absolute;inset:0;z-index:-2}
.s-poster:has(>.pic)::before{content:"";position:absolute;inset:0;z-index:-1;background:linear-gradient(var(--scrim-to),rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-0))) 0,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-1))) 38%,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-2))) 62%,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-3))) 82%)}
.s-poster:has(>.pic){--ink:var(--on-picture);--on-ink:rgb(var(--scrim-rgb,8 14 18));--soft:var(--on-picture);--link:var(--on-picture);--link-ink:var(--on-picture);--focus:var(--on-picture)}
.placed{position:absolute;inset:0}
.placed>.w{position:absolute;left:var(--left,50%);top:var(--top,50%);width:var(--spread,40%);margin:0;translate:-50% -50%}
.placed .rich{max-width:none}
.placed .w-button .button{width:max-content;max-width:100%;min-height:max(2.75rem,2.6em)}
`,
};
