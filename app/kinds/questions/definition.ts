import { z } from "zod";
import { richSchema } from "~/core/rich";
import type { Definition } from "../definition";

const MOST = 60;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  questions: z
    .array(
      z.object({
        group: z.string().max(80),
        question: z.string().max(240),
        answer: richSchema(3000, true),
      }),
    )
    .max(MOST),
  single: z.boolean(),
  find: z.boolean(),
});
export type QuestionsProps = z.infer<typeof props>;

export const definition: Definition<QuestionsProps> = {
  kind: "questions",
  name: "Questions",
  about: "What you are asked most, with your answers: folded, or all of them open to be read.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "folded", name: "Folded" },
    { id: "beside", name: "Folded, beside the heading" },
    { id: "open", name: "All open, two beside each other", style: { all: { width: "full" } } },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    {
      type: "list",
      key: "questions",
      label: "Questions",
      one: "question",
      most: MOST,
      fields: [
        { type: "line", key: "question", label: "Question", most: 240 },
        { type: "rich", key: "answer", label: "Answer", most: 3000, figures: true },
        { type: "line", key: "group", label: "Begins a group called", most: 80, hint: "Such as: Delivery" },
      ],
      fresh: { group: "", question: "", answer: "" },
    },
    { type: "yes", key: "single", label: "Only one open at a time" },
    { type: "yes", key: "find", label: "Shoppers can search in them" },
  ],
  props,
  synonyms: ["faq", "accordion", "help", "answers", "frequently asked", "support", "fold"],
  defaults: {
    heading: "Questions",
    questions: [
      {
        group: "",
        question: "How do I order?",
        answer: "Put what you like into the cart, and follow the steps from there.",
      },
      {
        group: "",
        question: "How do I find what I am looking for?",
        answer: "Type a word into the search, or open a collection and narrow it down by what matters to you.",
      },
      {
        group: "",
        question: "My question is not here. What now?",
        answer: "Write to us.",
      },
    ],
    single: false,
    find: false,
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  script: "goods",
  css: `
.s-questions .in{display:grid;gap:var(--s4)}
.s-questions .in>.head{text-align:var(--align,start)}
.asked-all{display:grid;gap:var(--s4);min-width:0}
.asked-group-head{--head:var(--t1);font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t1);margin-bottom:.5rem}
.asked{border-bottom:var(--rule) solid var(--line)}
.asked-list>.asked:first-child{border-top:var(--rule) solid var(--line)}
.asked-head{list-style:none;display:flex;justify-content:space-between;gap:1.25rem;align-items:center;min-height:3.5rem;padding-block:.6rem;cursor:pointer;font-size:calc(var(--t0)*1.08)}
.asked-head::-webkit-details-marker{display:none}
.asked-words{margin:0;font:inherit;font-weight:var(--strong);overflow-wrap:anywhere}
.asked-head::after{content:"";width:.85em;height:.85em;flex:none;--bar:linear-gradient(currentColor 0 0) center/100% 2px no-repeat;background:var(--bar),linear-gradient(currentColor 0 0) center/2px 100% no-repeat;transition:rotate .18s}
.asked[open]>.asked-head::after{background:var(--bar)}
.asked-head:hover .asked-words{text-decoration:underline;text-underline-offset:.2em;text-decoration-thickness:from-font}
.asked-body{padding:0 2.5rem 1.4rem 0;max-width:42em}
.asked-open .asked-words{margin-bottom:.35rem}
.asked-open .lead{max-width:34em}
.s-questions zest-find{display:grid;gap:var(--s3);min-width:0}
.s-questions zest-find:not(:defined)>.asked-find{display:none}
.asked-find{display:grid;gap:.35rem;max-width:26em}
.s-questions.a-folded .asked-all{max-width:52em}
@media (min-width:800px){
.s-questions.a-beside .in{grid-template-columns:minmax(0,1fr) minmax(0,1.9fr);gap:var(--s5);align-items:start}
.s-questions.a-beside .in>.head{position:sticky;top:6rem}
.s-questions.a-open .asked-list{display:grid;grid-template-columns:repeat(2,minmax(0,1fr));gap:var(--s4) var(--s5)}
}
@media (max-width:799.98px){.s-questions.a-open .asked-list{display:grid;gap:var(--s4)}}
`,
};
