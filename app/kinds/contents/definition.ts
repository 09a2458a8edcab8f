import { z } from "zod";
import type { Definition } from "../definition";
import { CONTENTS } from "../outline-places";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(80),
  deep: z.boolean(),
});
export type ContentsProps = z.infer<typeof props>;

export const definition: Definition<ContentsProps> = {
  kind: CONTENTS,
  name: "On this page",
  about: "A list of what is on the page, made from its headings; each leads there.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  traits: ["no-head"],
  tag: "section",
  arrangements: [
    { id: "list", name: "List" },
    { id: "row", name: "In a row" },
    { id: "folded", name: "Folded" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 80 },
    { type: "yes", key: "deep", label: "Headings in texts as well" },
  ],
  props,
  synonyms: ["table of contents", "toc", "jump", "anchors", "overview", "index", "in this post", "navigation"],
  defaults: { heading: "On this page", deep: true },
  style: { all: { set: "page", width: "content", headSize: 1, spaceTop: 4, spaceBottom: 4, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.contents-list{display:grid;gap:.2rem;margin-top:.6rem}
.contents-list a{display:inline-block;padding-block:.25rem;text-decoration:none}
.contents-list a:hover{text-decoration:underline}
.contents-list .is-deep{padding-inline-start:1.4rem;color:var(--soft)}
.s-contents.a-list nav{border-inline-start:max(3px,var(--rule)) solid var(--accent-ink);padding-inline-start:1.35rem;max-width:40em}
.s-contents.a-row nav{display:flex;flex-wrap:wrap;gap:.5rem 1.5rem;align-items:baseline;justify-content:var(--align,start)}
.a-row .contents-list{display:flex;flex-wrap:wrap;gap:.25rem 1.5rem;margin:0}
.a-row .contents-list a{text-decoration:underline;text-underline-offset:.2em}
.a-row .contents-list .is-deep{display:none}
.contents-fold{border-block:max(1px,var(--rule)) solid var(--line);max-width:46em}
.contents-fold>summary{cursor:pointer;min-height:3rem;display:flex;align-items:center;justify-content:space-between;gap:1rem;list-style:none}
.contents-fold>summary::-webkit-details-marker{display:none}
.contents-fold>summary::after{content:"";width:.6em;height:.6em;border:solid;border-width:0 2px 2px 0;rotate:45deg;translate:0 -.15em;flex:none}
.contents-fold[open]>summary::after{rotate:225deg;translate:0 .15em}
.contents-fold .contents-list{margin:0 0 1rem}
`,
};
