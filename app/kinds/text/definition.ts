import { z } from "zod";
import { richSchema } from "~/core/rich";
import { MOST_WIDGETS } from "../column/definition";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: richSchema(6000, true),
});
export type TextProps = z.infer<typeof props>;

export const definition: Definition<TextProps> = {
  kind: "text",
  name: "Text",
  about: "A heading and as much text as you need.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  holds: { widgets: MOST_WIDGETS },
  tag: "section",
  arrangements: [
    { id: "plain", name: "One column" },
    { id: "beside", name: "Heading beside text" },
    { id: "columns", name: "In columns, with a large first letter" },
    { id: "initial", name: "One column, with a large first letter" },
    { id: "statement", name: "A large statement", style: { all: { align: "center", headSize: 5 } } },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "rich", key: "text", label: "Text", most: 6000, figures: true },
  ],
  props,
  placeholders: ["text"],
  synonyms: ["paragraph", "copy", "about", "words", "story"],
  defaults: {
    heading: "A few words about us",
    text: "We are a small shop, and we are glad that you found us. Have a look around, and take your time.",
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "measure", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-text .in{display:flex;flex-direction:column;gap:var(--s3);text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.s-text .lead{max-width:34em}
.s-text.a-statement .head{max-width:13em}
.s-text:is(.a-columns,.a-initial)>.in>.rich>p:first-of-type::first-letter{float:left;font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:3.55em;line-height:.8;padding:.07em .1em 0 0;color:var(--accent-ink)}
.s-text.a-columns>.in>.lead{max-width:none;width:100%;columns:2 19em;column-gap:var(--s5);text-wrap:pretty}
@media (min-width:800px){.s-text.a-beside .in{display:grid;grid-template-columns:1fr 1.6fr;gap:var(--s5);align-items:start}}
`,
};
