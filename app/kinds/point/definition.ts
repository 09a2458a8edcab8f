import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  sign: z.string().max(40),
  heading: z.string().max(80),
  text: z.string().max(300),
});
export type PointProps = z.infer<typeof props>;

export const definition: Definition<PointProps> = {
  kind: "point",
  name: "Sign and words",
  about: "A sign, a few words, and a sentence: for what sets you apart.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "above", name: "Sign above" },
    { id: "left", name: "Sign left" },
  ],
  fields: [
    { type: "sign", key: "sign", label: "Sign" },
    { type: "line", key: "heading", label: "In a few words", most: 80 },
    { type: "text", key: "text", label: "In a sentence", most: 300 },
  ],
  props,
  placeholders: ["heading", "text"],
  synonyms: ["icon", "feature", "benefit", "reason", "usp"],
  defaults: { sign: "star", heading: "A small shop", text: "Glad that you are here." },
  style: { all: { size: 0 } },
  styles: ["align", "size", "ink"],
  css: `
.w-point{display:flex;flex-direction:column;gap:.6rem;text-align:var(--align,inherit);align-items:var(--align-box,flex-start)}
.w-point .sign{width:2.25rem;height:2.25rem;color:var(--accent-ink)}
.w-point .point-head{font-weight:var(--strong);font-size:1.12em;line-height:1.3}
.w-point .point-text{color:var(--soft);text-wrap:pretty}
.w-point.a-left{flex-direction:row;align-items:flex-start;gap:1rem}
`,
};
