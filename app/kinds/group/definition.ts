import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({});
export type GroupProps = z.infer<typeof props>;

export const definition: Definition<GroupProps> = {
  kind: "group",
  name: "Group",
  about: "A few things that belong together, side by side or in a box.",
  purpose: "Freehand",
  level: "widget",
  // Not in other groups: one level is enough to say what belongs together, and can still be taken in at a glance.
  slots: ["widgets"],
  holds: { inside: 20 },
  example: (make) => ({ inside: [make("button"), make("button", { look: "second" })] }),
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [],
  props,
  synonyms: ["box", "row", "container", "stack"],
  defaults: {},
  style: { all: { flow: "row", gap: 3, down: "start" } },
  styles: ["flow", "gap", "down", "align"],
  css: `
.w-group{display:flex;flex-wrap:wrap;gap:var(--gap);align-items:center;text-align:var(--align,start)}
`,
};
