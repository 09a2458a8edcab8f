import { z } from "zod";
import type { Definition } from "../definition";

const MOST = 8;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  figures: z.array(z.object({ figure: z.string().max(24), text: z.string().max(160) })).max(MOST),
  note: z.string().max(200),
});
export type FiguresProps = z.infer<typeof props>;

export const definition: Definition<FiguresProps> = {
  kind: "figures",
  name: "Figures",
  about: "Numbers that say something of you: years, hours in a piece, kilometres to your wood.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "row", name: "In a row" },
    { id: "ruled", name: "With lines between" },
    { id: "boxes", name: "In boxes" },
    { id: "beside", name: "Beside the heading" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    {
      type: "list",
      key: "figures",
      label: "Figures",
      one: "figure",
      most: MOST,
      fields: [
        { type: "line", key: "figure", label: "The figure", most: 24, hint: "Such as: 1,200 or 94 %" },
        { type: "line", key: "text", label: "What it counts", most: 160 },
      ],
      fresh: { figure: "", text: "" },
    },
    { type: "line", key: "note", label: "Where they are from", most: 200, hint: "Optional" },
  ],
  props,
  synonyms: ["numbers", "statistics", "stats", "counter", "facts", "impact", "results"],
  defaults: { heading: "", figures: [], note: "" },
  sample: {
    figures: [
      { figure: "2", text: "people in the workshop" },
      { figure: "14 h", text: "of work in each piece" },
      { figure: "100 %", text: "mended, not thrown away" },
    ],
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, columns: 4, spaceTop: 6, spaceBottom: 6, align: "start" },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-figures .grid{gap:var(--s4)}
.figure{display:flex;flex-direction:column-reverse;justify-content:flex-end;gap:.35rem;text-align:var(--align,start);min-width:0}
.figure-n{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);font-size:var(--t5);line-height:1;color:var(--accent-ink);font-variant-numeric:lining-nums tabular-nums;overflow-wrap:anywhere}
.figure-words{text-wrap:balance;max-width:16em}
.figure:has(.figure-words){align-items:var(--align-box,flex-start)}
.figures-note{font-size:var(--t-1);color:var(--soft);text-align:var(--align,start)}
.a-ruled .figure{border-top:max(2px,var(--rule)) solid var(--ink);padding-top:1.1rem}
.a-boxes .figure{border:var(--card-edge) solid var(--line);border-radius:var(--card);padding:var(--s3);background:var(--raised)}
@media (min-width:800px){
.s-figures.a-beside .in{grid-template-columns:minmax(0,1fr) minmax(0,1.6fr);gap:var(--s3) var(--s5);align-items:start}
.s-figures.a-beside .grid{grid-template-columns:repeat(2,minmax(0,1fr))}
.s-figures.a-beside .figures-note{grid-column:2}
}
`,
};
