import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  html: z.string().max(20_000),
  css: z.string().max(8000),
});
export type MarkupProps = z.infer<typeof props>;

export const definition: Definition<MarkupProps> = {
  kind: "markup",
  name: "HTML",
  about:
    "HTML without scripts, set straight into the page in the shop’s own letters, with CSS that reaches this part alone.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["words"],
  tag: "div",
  arrangements: [{ id: "page", name: "As it is written" }],
  fields: [
    { type: "code", key: "html", label: "HTML", language: "html", most: 20_000, into: "page" },
    { type: "code", key: "css", label: "CSS", language: "css", most: 8000, into: "page" },
  ],
  props,
  synonyms: ["markup", "code", "custom", "static"],
  defaults: { html: "", css: "" },
  style: {},
  styles: ["align"],
  css: `
.w-markup{overflow-wrap:anywhere}
.w-markup>*+*{margin-top:var(--s3)}
.w-markup table{display:block;overflow-x:auto;border-collapse:collapse}
.w-markup :is(th,td){padding:.4rem .6rem;border:1px solid var(--line);text-align:start}
.w-markup img{max-width:100%;height:auto}
`,
};
