import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({ heading: z.string().max(120) });
export type CollectionInsideProps = z.infer<typeof props>;

export const definition: Definition<CollectionInsideProps> = {
  kind: "collection-inside",
  name: "Collections inside",
  about: "The collections that stand inside of this one, as tiles.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  only: ["collection"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [{ type: "line", key: "heading", label: "Heading", most: 120 }],
  props,
  defaults: { heading: "" },
  style: {
    all: { set: "page", width: "content", headSize: 2, columns: 4, spaceTop: 2, spaceBottom: 3, align: "start" },
    phone: { columns: 2 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.c-tiles{display:grid;grid-template-columns:repeat(var(--columns,4),minmax(0,1fr));gap:var(--s2)}
.c-tile{display:flex;align-items:center;gap:.9rem;padding:.5rem;border:1px solid var(--line);border-radius:var(--card);text-decoration:none;min-height:3rem}
.c-tile .pic{flex:0 0 3.5rem;aspect-ratio:1;border-radius:calc(var(--card)/2)}
.c-tile:hover{border-color:var(--ink)}
.c-tile span{font-weight:var(--strong);min-width:0}
@media (max-width:479.98px){.c-tile{flex-direction:column;align-items:flex-start;gap:.5rem;padding:.75rem}}
`,
};
