import { z } from "zod";
import { viewSchema } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 30;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  events: z
    .array(
      z.object({
        when: z.string().max(40),
        heading: z.string().max(100),
        text: z.string().max(600),
        picture: z.string().max(40).nullable(),
        pictureView: viewSchema,
      }),
    )
    .max(MOST),
});
export type TimeLineProps = z.infer<typeof props>;

export const definition: Definition<TimeLineProps> = {
  kind: "time-line",
  name: "Time line",
  about: "What happened when: how the shop began, a day at your place, what is still to come.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "down", name: "Downwards" },
    { id: "both", name: "Downwards, on both sides" },
    { id: "along", name: "Along, to slide" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "events",
      label: "What happened",
      one: "event",
      most: MOST,
      fields: [
        { type: "line", key: "when", label: "When", most: 40, hint: "Such as: 2019, Spring 2024, or 6 am" },
        { type: "line", key: "heading", label: "What", most: 100 },
        { type: "text", key: "text", label: "In a few sentences", most: 600 },
        { type: "picture", key: "picture", label: "Picture", views: true },
      ],
      fresh: { when: "", heading: "", text: "", picture: null },
    },
  ],
  props,
  synonyms: ["history", "chronology", "milestones", "story", "years", "roadmap", "schedule", "agenda", "programme"],
  defaults: { heading: "How it came about", text: "", events: [] },
  sample: {
    events: [
      { when: "First", heading: "A table by the window", text: "Where it all began.", picture: null },
      { when: "Then", heading: "A place of our own", text: "With room for two.", picture: null },
      { when: "Now", heading: "This shop", text: "Glad that you are here.", picture: null },
    ],
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start", shape: "3/2" },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.s-time-line .in{--dot:.9rem}
.event{position:relative;display:grid;gap:.35rem;align-content:start;min-width:0}
.event::before{content:"";position:absolute;z-index:1;width:var(--dot);height:var(--dot);border-radius:50%;background:var(--page);border:max(3px,var(--rule)) solid var(--accent-ink)}
.event::after{content:"";position:absolute;background:var(--line)}
.event-when{font-weight:var(--strong);font-size:var(--t-1);color:var(--accent-ink);font-variant-numeric:lining-nums}
.event-head{--head:var(--t1)}
.event-text{color:var(--soft);max-width:34em;text-wrap:pretty;white-space:pre-line}
.event .pic{aspect-ratio:var(--shape);border-radius:var(--card);margin-top:.7rem;max-width:26rem}
.s-time-line:not(.a-along) .event{padding:0 0 var(--s4) 2.4rem}
.s-time-line:not(.a-along) .event:last-child{padding-bottom:0}
.s-time-line:not(.a-along) .event::before{left:0;top:.25rem}
.s-time-line:not(.a-along) .event::after{left:calc(var(--dot)/2 - 1px);width:2px;top:.6rem;bottom:-.6rem}
.event:last-child::after{display:none}
.a-along .events{display:grid;grid-auto-flow:column;grid-auto-columns:minmax(15rem,1fr);overflow-x:auto;scroll-snap-type:x proximity;scrollbar-width:thin;padding-bottom:var(--s2)}
.a-along .event{padding:2rem 2rem 0 0;scroll-snap-align:start}
.a-along .event::before{left:0;top:0}
.a-along .event::after{top:calc(var(--dot)/2 - 1px);height:2px;left:0;right:0}
@media (min-width:800px){
.s-time-line.a-down .event{grid-template-columns:8rem minmax(0,1fr);column-gap:1.5rem;padding-left:0}
.s-time-line.a-down .event::before{left:9.2rem}
.s-time-line.a-down .event::after{left:calc(9.2rem + var(--dot)/2 - 1px)}
.a-down .event>:not(.event-when){grid-column:2;margin-left:2.6rem}
.a-down .event-when{text-align:end;grid-row:1;padding-top:.15rem;font-size:var(--t0)}
.s-time-line.a-both .event{width:50%;padding-left:0;padding-right:2.6rem;text-align:end;justify-items:end}
.s-time-line.a-both .event::before{left:auto;right:calc(var(--dot)/-2)}
.s-time-line.a-both .event::after{left:auto;right:-1px}
.s-time-line.a-both .event:nth-child(even){margin-left:50%;padding:0 0 var(--s4) 2.6rem;text-align:start;justify-items:start}
.s-time-line.a-both .event:nth-child(even)::before{right:auto;left:calc(var(--dot)/-2)}
.s-time-line.a-both .event:nth-child(even)::after{right:auto;left:-1px}
.a-both .event .pic{width:100%}
}
`,
};
