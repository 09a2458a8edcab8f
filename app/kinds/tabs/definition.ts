import { z } from "zod";
import { richSchema } from "~/core/rich";
import { viewSchema } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 8;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  tabs: z
    .array(
      z.object({
        name: z.string().max(60),
        text: richSchema(4000, true),
        picture: z.string().max(40).nullable(),
        pictureView: viewSchema,
      }),
    )
    .max(MOST),
});
export type TabsProps = z.infer<typeof props>;

const tab = (name: string, text: string) => ({ name, text, picture: null });

export const definition: Definition<TabsProps> = {
  kind: "tabs",
  name: "Tabs",
  about: "Several things in one place, of which one is shown at a time.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "above", name: "Names above" },
    { id: "beside", name: "Names beside" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    {
      type: "list",
      key: "tabs",
      label: "Tabs",
      one: "tab",
      most: MOST,
      fields: [
        { type: "line", key: "name", label: "Name", most: 60 },
        { type: "rich", key: "text", label: "Text", most: 4000, figures: true },
        { type: "picture", key: "picture", label: "Picture", views: true },
      ],
      fresh: tab("", ""),
    },
  ],
  props,
  synonyms: ["panels", "switch", "register", "folders", "sections"],
  defaults: {
    heading: "Good to know",
    tabs: [
      tab("Ordering", "Put what you like into the cart, and follow the steps from there."),
      tab("Finding", "Type a word into the search, or open a collection and narrow it down by what matters to you."),
    ],
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start", shape: "4/3" },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  script: "goods",
  later: { element: "zest-tabs", classes: ["is-tabs", "tabs", "tab"] },
  css: `
.tabs-all{display:block;min-width:0}
.tab-body{display:grid;gap:var(--s3) var(--s5);align-items:start}
.tab-body .lead{max-width:38em}
.tab-body .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.s-tabs .part-tab+.part-tab{margin-top:var(--s4)}
.s-tabs .part-tab>.head{--head:var(--t1);margin-bottom:.6rem}
.s-tabs .is-tabs .part-tab{margin:0}
.s-tabs .is-tabs .part-tab>.head{display:none}
.s-tabs .tabs{margin-bottom:var(--s3)}
@media (scripting:enabled){.s-tabs zest-tabs:not(:defined)>.part-tab+.part-tab{display:none}}
@media (min-width:700px){
.tab-body:has(.pic):has(.rich){grid-template-columns:minmax(0,1.2fr) minmax(0,1fr)}
.s-tabs.a-beside .is-tabs{display:grid;grid-template-columns:minmax(9rem,15rem) minmax(0,1fr);gap:0 var(--s5);align-items:start}
.s-tabs.a-beside .tabs{flex-direction:column;align-items:stretch;margin:0}
.s-tabs.a-beside .tab{text-align:start}
}
`,
};
