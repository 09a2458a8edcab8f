import { z } from "zod";
import type { Definition, Start } from "../definition";
import { makeWidget } from "../make-widget";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  marks: z.enum(["lines", "names", "pictures", "none"]),
  /** After how many seconds they change by themselves; "0": they don’t. */
  seconds: z.enum(["0", "5", "8", "12"]),
});
export type SlidesProps = z.infer<typeof props>;

/** As many slides as anybody looks at, and some more. */
export const MOST_SLIDES = 10;

const WORDS: readonly (readonly [heading: string, text: string])[] = [
  ["Come in and have a look around", "Take your time. It is good to have you here."],
  ["Have a closer look", "Look around, and ask if you would like to know more."],
  ["Something for somebody else", "Look for it here, and ask if you are not sure."],
];

const slidesOf = (count: number, height: string): Start["build"] => {
  return ({ pictures, link }) => ({
    style: {},
    slots: {
      slides: WORDS.slice(0, count).map(([heading, text], i) =>
        makeWidget(
          "hero",
          { heading, text, button: "Have a look", link, picture: pictures[i] ?? pictures[0] ?? null },
          { all: { height, headSize: 5 } },
        ),
      ),
    },
  });
};

export const definition: Definition<SlidesProps> = {
  kind: "slides",
  name: "Slides",
  about: "Up to ten large pictures with words, one after the other. Each is made like a hero.",
  purpose: "Welcome",
  level: "section",
  slots: ["main"],
  holds: { slides: MOST_SLIDES },
  eachIs: "Slide",
  tag: "section",
  arrangements: [
    { id: "one", name: "One at a time" },
    { id: "next", name: "The next one looks in" },
  ],
  starts: [
    { id: "three", name: "Three slides", build: slidesOf(3, "tall") },
    { id: "low", name: "Two low slides", build: slidesOf(2, "half") },
  ],
  fields: [
    {
      type: "choice",
      key: "marks",
      label: "Below the slides",
      options: [
        ["lines", "A line for each"],
        ["names", "Their headings"],
        ["pictures", "Small pictures"],
        ["none", "Arrows alone"],
      ],
    },
    {
      type: "choice",
      key: "seconds",
      label: "Change by themselves",
      options: [
        ["0", "No, shoppers choose"],
        ["5", "After 5 seconds"],
        ["8", "After 8 seconds"],
        ["12", "After 12 seconds"],
      ],
    },
  ],
  props,
  synonyms: ["carousel", "slideshow", "slider", "banner", "rotating", "hero slider"],
  defaults: { marks: "lines", seconds: "0" },
  style: { all: { set: "page", spaceTop: 0, spaceBottom: 0 } },
  styles: ["spaceTop", "spaceBottom", "hidden", "set"],
  script: "goods",
  later: { classes: ["is-playing"] },
  css: `
.slides{display:block;position:relative}
.slides-track{display:grid;grid-auto-flow:column;grid-auto-columns:100%;overflow-x:auto;scroll-snap-type:x mandatory;scrollbar-width:none;overscroll-behavior-x:contain}
.slides-track::-webkit-scrollbar{display:none}
.a-next .slides-track{grid-auto-columns:min(88%,70rem);gap:var(--s3);padding-inline:var(--gutter);scroll-padding-inline:var(--gutter)}
.slide{display:grid;grid-template-columns:minmax(0,1fr);place-items:stretch;scroll-snap-align:start;scroll-snap-stop:always;min-width:0}
.slide:empty{display:none}
.a-next .slide>.s{border-radius:var(--card);overflow:clip}
.slides-bar{display:flex;align-items:center;gap:.5rem 1rem;max-width:calc(var(--content) + 2*var(--gutter));margin-inline:auto;padding:.5rem var(--gutter)}
.slides-marks{display:flex;flex:1;min-width:0;gap:.25rem .5rem}
.slides-marks a{display:block;color:var(--soft);text-decoration:none}
.slides-lines a{display:grid;align-items:center;flex:0 1 3.5rem;height:2.75rem}
.slides-lines a::after{content:"";height:2px;background:var(--field-line)}
.slides-lines a[aria-current]::after{height:4px;background:var(--ink)}
.slides-names{overflow-x:auto;scrollbar-width:none}
.slides-names a{padding-block:.7rem;margin-right:1rem;border-top:2px solid transparent;white-space:nowrap;font-size:var(--t-1)}
.slides-names a[aria-current]{color:var(--ink);border-color:var(--ink)}
.slides-pictures a{flex:0 1 5rem;padding-block:.35rem;opacity:.6}
.slides-pictures a[aria-current]{opacity:1;box-shadow:inset 0 -3px var(--ink)}
.slides-pictures .pic{aspect-ratio:3/2;border-radius:calc(var(--card)/2)}
.slides-step{display:grid;place-items:center;width:2.75rem;height:2.75rem;flex:none;border:1.5px solid var(--field-line);border-radius:min(var(--control),1.4rem);background:none;color:var(--ink);cursor:pointer}
.slides-step:hover{border-color:var(--ink)}
.slides-step:disabled{opacity:.35;cursor:default}
.slides-step svg{width:1.1rem;height:1.1rem}
.slides-stop .playing{display:none}
.is-playing .slides-stop .playing{display:block}
.is-playing .slides-stop .standing{display:none}
@media (scripting:none){.slides-step{display:none}}
`,
};
