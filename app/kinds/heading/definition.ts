import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  text: z.string().max(200),
  level: z.enum(["2", "3", "4"]),
});
export type HeadingProps = z.infer<typeof props>;

export const definition: Definition<HeadingProps> = {
  kind: "heading",
  name: "Heading",
  about: "A line that says what follows.",
  purpose: "Freehand",
  level: "widget",
  slots: [...WIDGET_SLOTS, "answers"],
  traits: ["head", "words"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  binds: { key: "text", as: "words" },
  fields: [
    { type: "text", key: "text", label: "Heading", most: 200 },
    {
      type: "choice",
      key: "level",
      label: "It heads",
      options: [
        ["2", "A section"],
        ["3", "A part of one"],
        ["4", "A detail"],
      ],
    },
  ],
  props,
  placeholders: ["text"],
  synonyms: ["title", "headline", "head"],
  defaults: { text: "A heading", level: "2" },
  style: { all: { headSize: 3 } },
  styles: ["headSize", "align", "ink", "weight", "leading", "breaks"],
  css: `.w-heading{text-align:var(--align,inherit)}.w-heading .head{color:inherit;font-weight:inherit;line-height:inherit}
.w-heading{font-weight:var(--heads-weight);line-height:var(--heads-leading)}`,
};
