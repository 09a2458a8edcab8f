import { z } from "zod";
import { richSchema } from "~/core/rich";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  sign: z.string().max(40),
  heading: z.string().max(120),
  text: richSchema(2000),
});
export type CallOutProps = z.infer<typeof props>;

export const definition: Definition<CallOutProps> = {
  kind: "call-out",
  name: "Call-out",
  about: "A few words that must not be missed: a tip, a date, something to look out for.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["words"],
  tag: "div",
  arrangements: [
    { id: "bar", name: "With a bar" },
    { id: "box", name: "In a box" },
    { id: "large", name: "Large, between two lines" },
  ],
  fields: [
    { type: "sign", key: "sign", label: "Sign", none: true },
    { type: "line", key: "heading", label: "Heading", most: 120, hint: "Optional" },
    { type: "rich", key: "text", label: "Text", most: 2000 },
  ],
  props,
  sample: { text: "Closed on the first of the month, when we count everything that there is." },
  synonyms: ["note", "tip", "info", "warning", "alert", "important", "hint", "aside", "box", "highlight", "pull quote"],
  defaults: { sign: "", heading: "Good to know", text: "" },
  style: {},
  styles: ["align", "size", "ink"],
  css: `
.w-call-out{display:flex;gap:1rem;align-items:flex-start;text-align:var(--align,start);padding:1.1rem 1.35rem}
.w-call-out>.sign{width:1.75rem;height:1.75rem;color:var(--accent-ink)}
.call-words{flex:1;min-width:0}
.call-head{font-weight:var(--strong);margin-bottom:.2rem}
.w-call-out.a-bar{border-inline-start:4px solid var(--accent-ink);background:var(--raised)}
.w-call-out.a-box{border:var(--card-edge) solid var(--line);border-radius:var(--card);background:var(--raised);box-shadow:var(--card-shadow)}
.w-call-out.a-large{border-block:max(2px,var(--rule)) solid var(--ink);padding:1.4rem 0}
.w-call-out.a-large .call-words{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t2);line-height:1.35;text-wrap:balance}
.w-call-out.a-large .call-head{font-size:var(--t0);font-family:var(--text);color:var(--accent-ink)}
`,
};
