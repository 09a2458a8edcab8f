import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ arrangement: z.string().max(40).optional() });
export type RuleProps = z.infer<typeof props>;

export const definition: Definition<RuleProps> = {
  kind: "rule",
  name: "Line",
  about: "Parts what comes before from what comes after.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["rule"],
  tag: "div",
  arrangements: [
    { id: "hair", name: "Hairline" },
    { id: "ink", name: "Strong" },
    { id: "dots", name: "Three dots" },
  ],
  fields: [],
  props,
  synonyms: ["divider", "separator", "line", "spacer", "space", "gap"],
  defaults: {},
  style: { all: { above: 2, below: 2 } },
  styles: [],
  css: `
.w-rule hr{margin:0;border:0;border-top:max(1px,var(--rule)) solid var(--line)}
.w-rule.a-ink hr{border-top:2px solid var(--ink)}
.w-rule.a-dots hr{border:0;height:.4rem;background:radial-gradient(circle,var(--field-line) .18rem,#0000 .2rem) 50% 50%/1.4rem .4rem no-repeat space;max-width:4.2rem;margin-inline:auto;background-repeat:space}
.w-group>.w-rule{flex:1 1 2rem}
`,
};
