import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(600),
});
export type WaysOnProps = z.infer<typeof props>;

export const definition: Definition<WaysOnProps> = {
  kind: "ways-on",
  name: "Ways on",
  about: "Your collections, and what sells, for whoever has come to an end.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  ofGoods: true,
  tag: "section",
  arrangements: [
    { id: "left", name: "From the left" },
    { id: "middle", name: "In the middle", style: { all: { align: "center" } } },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 600 },
  ],
  props,
  synonyms: ["404", "not found", "chips", "suggestions", "collections", "bestsellers"],
  defaults: { heading: "Have a look around", text: "" },
  style: {
    all: { set: "page", width: "content", headSize: 5, columns: 4, spaceTop: 5, spaceBottom: 6, align: "start" },
    phone: { columns: 2 },
  },
  styles: ["width", "headSize", "align", "spaceTop", "spaceBottom", "hidden", "set"],
  css: `
.s-ways-on .in{display:flex;flex-direction:column;gap:var(--s3);align-items:var(--align-box,flex-start);text-align:var(--align,start)}
.s-ways-on .lead{max-width:35em}
.s-ways-on .chips{justify-content:var(--align-box,flex-start)}
.s-ways-on.a-middle .chips{justify-content:center}
`,
};
