import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ text: z.string().max(600), who: z.string().max(80) });
export type QuoteProps = z.infer<typeof props>;

export const definition: Definition<QuoteProps> = {
  kind: "quote",
  name: "Quote",
  about: "What somebody said of you.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "figure",
  arrangements: [
    { id: "large", name: "Large" },
    { id: "bar", name: "With a line beside it", style: { all: { size: 0 } } },
  ],
  fields: [
    { type: "text", key: "text", label: "What was said", most: 600 },
    { type: "line", key: "who", label: "Who said it", most: 80, hint: "Optional" },
  ],
  props,
  sample: { text: "Just what I was looking for.", who: "A customer" },
  synonyms: ["testimonial", "review", "voice", "citation"],
  defaults: { text: "", who: "" },
  style: { all: { size: 2 } },
  styles: ["size", "align", "face", "ink", "leading"],
  css: `
.w-quote{margin:0;text-align:var(--align,inherit);line-height:1.35}
.w-quote blockquote{margin:0;white-space:pre-line;text-wrap:balance}
.w-quote figcaption{margin-top:.8em;font-size:var(--t-1);color:var(--soft)}
.w-quote.a-bar{padding-inline-start:1.1em;border-inline-start:3px solid var(--brand-edge);line-height:var(--text-leading)}
`,
};
