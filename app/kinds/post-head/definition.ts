import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  date: z.boolean(),
  author: z.boolean(),
  time: z.boolean(),
  summary: z.boolean(),
  tags: z.boolean(),
  picture: z.boolean(),
  back: z.string().max(40),
});
export type PostHeadProps = z.infer<typeof props>;

export const definition: Definition<PostHeadProps> = {
  kind: "post-head",
  name: "Title of the post",
  about: "What a post is called, when it is from, who wrote it, its tags and its picture.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  only: ["post"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [
    { id: "plain", name: "Words, then the picture" },
    { id: "above", name: "The picture, then words" },
    { id: "beside", name: "Words beside the picture" },
  ],
  fields: [
    { type: "yes", key: "picture", label: "Picture" },
    { type: "yes", key: "summary", label: "Summary" },
    { type: "yes", key: "date", label: "Date" },
    { type: "yes", key: "author", label: "Author" },
    { type: "yes", key: "time", label: "How long it takes to read" },
    { type: "yes", key: "tags", label: "Tags" },
    { type: "line", key: "back", label: "Way back to the journal", most: 40, hint: "Name of the journal, if empty" },
  ],
  props,
  synonyms: ["title", "headline", "date", "author", "byline", "blog"],
  defaults: { date: true, author: true, time: true, summary: true, tags: true, picture: true, back: "" },
  style: {
    all: { set: "page", width: "narrow", headSize: 5, spaceTop: 5, spaceBottom: 3, align: "start", shape: "16/9" },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.s-post-head .in{display:grid;gap:var(--s3)}
.ph-words{display:grid;gap:var(--s2);text-align:var(--align,start);justify-items:var(--align-box,start);min-width:0}
.ph-words .post-facts,.ph-words .post-tags{justify-content:var(--align-box,flex-start)}
.ph-lead{font-size:var(--t1);line-height:1.45;text-wrap:pretty;color:var(--soft)}
.s-post-head .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.s-post-head.a-above .pic{order:-1}
@media (min-width:800px){.s-post-head.a-beside .in:has(.pic){grid-template-columns:1fr 1fr;gap:var(--s5);align-items:center}}
`,
};
