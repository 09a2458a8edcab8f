import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({});
export type ColumnProps = z.infer<typeof props>;

/** The most that one column, or one part of a section, holds. */
export const MOST_WIDGETS = 60;

export const definition: Definition<ColumnProps> = {
  kind: "column",
  name: "Column",
  about: "What stands below each other in a section.",
  purpose: "Freehand",
  level: "column",
  slots: ["columns"],
  holds: { widgets: MOST_WIDGETS },
  tag: "div",
  arrangements: [{ id: "down", name: "Below each other" }],
  fields: [],
  props,
  defaults: {},
  style: { all: { gap: 3 } },
  styles: ["share", "down", "gap", "align", "sticky"],
  css: `
.col{display:flex;flex-direction:column;gap:var(--gap);flex:calc(var(--share,1)*var(--grow)) 1 var(--basis);min-width:0;text-align:var(--align,start)}
`,
};
