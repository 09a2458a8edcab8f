import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  earlier: z.string().min(1, "It needs words.").max(40),
  later: z.string().min(1, "It needs words.").max(40),
});
export type PostWaysProps = z.infer<typeof props>;

export const definition: Definition<PostWaysProps> = {
  kind: "post-ways",
  name: "Earlier and later",
  about: "Ways to the posts before and after this one.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  only: ["post"],
  traits: ["no-head"],
  tag: "section",
  arrangements: [
    { id: "words", name: "Words" },
    { id: "pictures", name: "With pictures" },
  ],
  fields: [
    { type: "line", key: "earlier", label: "Words of the earlier one", most: 40 },
    { type: "line", key: "later", label: "Words of the later one", most: 40 },
  ],
  props,
  synonyms: ["next", "previous", "older", "newer", "navigation"],
  defaults: { earlier: "Earlier", later: "Later" },
  style: { all: { set: "page", width: "content", spaceTop: 4, spaceBottom: 5, shape: "3/2" } },
  styles: ["width", "spaceTop", "spaceBottom", "hidden", "set", "shape"],
  css: `
.pw-ways{display:grid;gap:var(--s3);border-top:max(1px,var(--rule)) solid var(--line);padding-top:var(--s3)}
.pw-way{display:grid;gap:.2rem 1.1rem;text-decoration:none;align-content:start;min-width:0}
.pw-way .over{grid-column:1}
.pw-way .head{--head:var(--t1)}
.pw-way:hover .head{text-decoration:underline;text-underline-offset:.15em}
.s-post-ways.a-pictures .pw-way:has(.pic){grid-template-columns:8rem minmax(0,1fr);grid-template-rows:auto 1fr}
.pw-way .pic{grid-row:1/span 2;aspect-ratio:var(--shape);border-radius:var(--card)}
.pw-way .pic~*{grid-column:2}
@media (min-width:700px){.pw-ways{grid-template-columns:1fr 1fr}.pw-later{grid-column:2;text-align:end;justify-items:end}.s-post-ways.a-pictures .pw-later:has(.pic){text-align:start;justify-items:start}}
`,
};
