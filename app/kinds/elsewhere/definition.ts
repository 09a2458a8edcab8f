import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ arrangement: z.string().max(40).optional(), heading: z.string().max(40) });
export type ElsewhereProps = z.infer<typeof props>;

export const definition: Definition<ElsewhereProps> = {
  kind: "elsewhere",
  name: "Links elsewhere",
  about: "Where else people find you, as Brand has it.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "signs", name: "Signs alone" },
    { id: "both", name: "Signs and names" },
    { id: "names", name: "Names alone" },
  ],
  fields: [{ type: "line", key: "heading", label: "Heading", most: 40 }],
  props,
  synonyms: ["social", "network", "follow", "media", "profiles"],
  defaults: { heading: "" },
  style: {},
  styles: ["size", "ink"],
  css: `
.places{display:flex;flex-wrap:wrap;gap:.25rem .5rem;justify-content:var(--align,start)}
.places a{display:inline-flex;align-items:center;gap:.5em;min-width:2.75rem;min-height:2.75rem;justify-content:center;text-decoration:none}
.places a:hover{text-decoration:underline}
.w-elsewhere.a-signs .places{margin-inline:-.7rem;gap:0}
.w-elsewhere.a-both .places{flex-direction:column;gap:0}
.w-elsewhere.a-both .places a,.w-elsewhere.a-names .places a{min-width:0;justify-content:start}
.w-elsewhere.a-names .places{gap:0 1.25rem}
`,
};
