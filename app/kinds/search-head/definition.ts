import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(80),
  hint: z.string().max(60),
  button: z.string().min(1, "A button needs words.").max(30),
});
export type SearchHeadProps = z.infer<typeof props>;

export const definition: Definition<SearchHeadProps> = {
  kind: "search-head",
  name: "Search field",
  about: "Where shoppers say what they look for; suggests goods as they type.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  only: ["search"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 80 },
    { type: "line", key: "hint", label: "In the field", most: 60 },
    { type: "line", key: "button", label: "Button", most: 30 },
  ],
  props,
  defaults: { heading: "Search", hint: "What are you looking for?", button: "Search" },
  style: { all: { set: "page", width: "content", headSize: 5, spaceTop: 5, spaceBottom: 2, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  script: "goods",
  css: `
.s-search-head .in{display:flex;flex-direction:column;gap:var(--s2);align-items:var(--align-box,flex-start)}
.search{position:relative;display:flex;flex-wrap:wrap;gap:.6rem;width:100%;max-width:36rem}
.search .field{flex:1 1 9rem;width:auto}
.suggest{position:absolute;z-index:5;top:calc(100% + .35rem);left:0;right:0;background:var(--page);border:1px solid var(--line);border-radius:var(--card);box-shadow:0 18px 40px -18px rgb(10 16 20/.45);overflow:hidden;text-align:start}
.suggest[hidden]{display:none}
.suggest a{display:flex;gap:.8rem;align-items:center;padding:.5rem .8rem;text-decoration:none;min-height:3rem}
.suggest img{width:2.5rem;height:3rem;object-fit:cover;border-radius:calc(var(--card)/2);flex:none}
.suggest a span{flex:1}
.suggest [aria-selected=true],.suggest a:hover{background:var(--raised)}
`,
};
