import { z } from "zod";
import { viewSchema } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 12;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  steps: z
    .array(
      z.object({
        picture: z.string().max(40).nullable(),
        pictureView: viewSchema,
        heading: z.string().max(100),
        text: z.string().max(600),
      }),
    )
    .max(MOST),
});
export type StepsProps = z.infer<typeof props>;

const step = (heading: string, text: string) => ({ picture: null, heading, text });

export const definition: Definition<StepsProps> = {
  kind: "steps",
  name: "Steps",
  about: "How it is made, how it is ordered, how it is put together: one step after the other.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "abreast", name: "Side by side, with numbers" },
    { id: "line", name: "Along a line" },
    { id: "pictures", name: "With pictures" },
    { id: "turns", name: "Large pictures, left and right in turn" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "steps",
      label: "Steps",
      one: "step",
      most: MOST,
      fields: [
        { type: "line", key: "heading", label: "What is done", most: 100 },
        { type: "text", key: "text", label: "In a few sentences", most: 600 },
        { type: "picture", key: "picture", label: "Picture", views: true },
      ],
      fresh: step("", ""),
    },
  ],
  props,
  synonyms: ["process", "how it works", "how to", "instructions", "numbered", "stages", "guide", "recipe"],
  defaults: {
    heading: "How it works",
    text: "",
    steps: [
      step("You choose", "Have a look around, and put what you like into the cart."),
      step("We get it ready", "We put together what you have chosen."),
      step("It is yours", "In the way that you chose when you ordered."),
    ],
  },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 3,
      columns: 3,
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
      shape: "4/3",
    },
    phone: { columns: 1 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.step-words{display:grid;gap:.4rem;align-content:start;min-width:0}
.step-head{--head:var(--t1)}
.step-text{max-width:34em;color:var(--soft);text-wrap:pretty;white-space:pre-line}
.step-n{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);line-height:1;color:var(--accent-ink);font-variant-numeric:lining-nums}
.steps .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.s-steps.a-abreast .grid{gap:var(--s4) var(--s5)}
.s-steps.a-abreast .step{border-top:max(2px,var(--rule)) solid var(--ink);padding-top:1rem;display:grid;gap:.9rem;align-content:start}
.s-steps.a-abreast .step-n{font-size:var(--t4)}
.s-steps.a-abreast .pic{display:none}
.s-steps.a-pictures .step{display:grid;gap:.9rem;align-content:start}
.s-steps.a-pictures .step-n,.s-steps.a-turns .step-n{font-size:var(--t2)}
.s-steps.a-pictures .step-words{grid-template-columns:auto minmax(0,1fr);column-gap:.8rem;align-items:baseline}
.s-steps.a-pictures .step-text{grid-column:2}
.s-steps.a-line .steps{display:grid;max-width:46em}
.s-steps.a-line .step{position:relative;display:grid;grid-template-columns:3rem minmax(0,1fr);gap:0 1.1rem;padding-bottom:var(--s4)}
.s-steps.a-line .step:last-child{padding-bottom:0}
.s-steps.a-line .step:not(:last-child)::before{content:"";position:absolute;left:calc(1.5rem - max(1px,var(--rule)));top:3rem;bottom:0;border-left:max(2px,var(--rule)) solid var(--line)}
.s-steps.a-line .step-n{display:grid;place-items:center;width:3rem;height:3rem;border:2px solid currentColor;border-radius:50%;font-size:var(--t1)}
.s-steps.a-line .step-words{padding-top:.6rem}
.s-steps.a-line .pic{grid-column:2;margin-top:1rem;max-width:30rem}
.s-steps.a-turns .steps{display:grid;gap:var(--s5)}
.s-steps.a-turns .step{display:grid;gap:var(--s3) var(--s5);align-items:center}
.s-steps.a-turns .step-head{--head:var(--t2)}
@media (min-width:700px){
.s-steps.a-turns .step:has(.pic){grid-template-columns:minmax(0,1.15fr) minmax(0,1fr)}
.s-steps.a-turns .step:has(.pic):nth-child(even){grid-template-columns:minmax(0,1fr) minmax(0,1.15fr)}
.s-steps.a-turns .step:nth-child(even)>.pic{order:1}
}
`,
};
