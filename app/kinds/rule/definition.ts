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
  slots: [...WIDGET_SLOTS, "answers"],
  traits: ["rule"],
  tag: "div",
  arrangements: [
    { id: "hair", name: "Hairline" },
    { id: "ink", name: "Strong" },
    { id: "dots", name: "Three dots" },
    { id: "wave", name: "Wave" },
    { id: "short", name: "Short and strong" },
    { id: "sign", name: "With the shop’s sign" },
    { id: "room", name: "Room without a line" },
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
.w-rule.a-wave hr{border:0;height:.8rem;background:var(--accent-ink);mask:url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 40 16'%3E%3Cpath d='M0 8c5 0 5-6 10-6s5 6 10 6 5-6 10-6 5 6 10 6' fill='none' stroke='%23000' stroke-width='2.4'/%3E%3C/svg%3E") 50% 50%/2rem .8rem repeat-x}
.w-rule.a-short hr{border-top:4px solid var(--accent-ink);width:4.5rem;margin-inline:0 auto}
.w-rule.a-sign{display:flex;align-items:center;gap:1rem}
.w-rule.a-sign hr{flex:1}
.w-rule.a-sign .sign{color:var(--accent-ink)}
.w-rule.a-room hr{border:0;height:0}
.w-group>.w-rule{flex:1 1 2rem}
`,
};
