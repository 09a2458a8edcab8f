import { z } from "zod";
import type { Definition } from "../definition";

const MOST = 60;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  journal: z.string().max(40).nullable(),
  tag: z.string().max(40),
  most: z.number().int().min(1).max(MOST),
  tags: z.boolean(),
  picture: z.boolean(),
  summary: z.boolean(),
  date: z.boolean(),
  author: z.boolean(),
  time: z.boolean(),
  more: z.string().max(40),
});
export type PostsProps = z.infer<typeof props>;

export const definition: Definition<PostsProps> = {
  kind: "posts",
  name: "Posts",
  about: "The posts of a journal, the latest first: on its own page all of them, on other pages the newest.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "cards", name: "Cards" },
    { id: "large", name: "The latest large" },
    { id: "list", name: "List with pictures", style: { all: { shape: "4/3" } } },
    { id: "months", name: "By month" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    { type: "journal", key: "journal", label: "Which journal", none: "That of the page, or the first" },
    { type: "line", key: "tag", label: "Only those tagged", most: 40, hint: "Empty: all of them" },
    { type: "number", key: "most", label: "How many at once", least: 1, most: MOST },
    { type: "yes", key: "tags", label: "Tags to choose from, on the journal’s own page" },
    { type: "yes", key: "picture", label: "Pictures" },
    { type: "yes", key: "summary", label: "Summary" },
    { type: "yes", key: "date", label: "Date" },
    { type: "yes", key: "author", label: "Author" },
    { type: "yes", key: "time", label: "How long it takes to read" },
    { type: "line", key: "more", label: "Link to all of them", most: 40, hint: "On other pages; empty: none" },
  ],
  props,
  synonyms: ["blog", "journal", "news", "articles", "magazine", "recipes", "latest", "archive", "stories"],
  defaults: {
    heading: "From the journal",
    text: "",
    journal: null,
    tag: "",
    most: 12,
    tags: true,
    picture: true,
    summary: true,
    date: true,
    author: false,
    time: false,
    more: "All posts",
  },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 4,
      columns: 3,
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
      shape: "3/2",
    },
    phone: { columns: 1 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.posts-top{display:flex;flex-wrap:wrap;align-items:end;justify-content:space-between;gap:var(--s2) var(--s4)}
.posts-top>div{display:grid;gap:var(--s2);flex:1 1 20rem;text-align:var(--align,start);justify-items:var(--align-box,start)}
.s-posts .grid{gap:var(--s4) var(--s3)}
.post{position:relative;display:grid;gap:.8rem;align-content:start;min-width:0}
.post .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.post-words{display:grid;gap:.45rem;align-content:start;min-width:0}
.post-head{--head:var(--t1)}
.post-head a{text-decoration:none}
.post-head a::after{content:"";position:absolute;inset:0}
.post:hover .post-head a{text-decoration:underline;text-underline-offset:.15em;text-decoration-thickness:from-font}
.post:has(a:focus-visible){outline:2px solid var(--focus);outline-offset:4px}
.post-head a:focus-visible{outline:none}
.post-text{color:var(--soft);text-wrap:pretty;max-width:38em}
.s-posts.a-list .posts-list{display:grid}
.s-posts.a-list .post{grid-template-columns:minmax(6rem,14rem) minmax(0,1fr);gap:1rem clamp(1rem,3vw,2rem);padding-block:var(--s3);border-top:max(1px,var(--rule)) solid var(--line)}
.s-posts.a-list .post:not(:has(.pic)){grid-template-columns:minmax(0,1fr)}
.posts-month{display:grid;gap:.25rem 2rem;padding-block:var(--s3);border-top:max(1px,var(--rule)) solid var(--line)}
.posts-month>.head{--head:var(--t1)}
.posts-month .post{padding-block:.5rem;grid-template-columns:2.5rem minmax(0,1fr);gap:.8rem}
.posts-month .post-head{--head:var(--t0)}
.post-day{color:var(--soft);font-variant-numeric:tabular-nums}
.posts-pages{display:flex;justify-content:space-between;gap:1rem;flex-wrap:wrap;border-top:max(1px,var(--rule)) solid var(--line);padding-top:var(--s3)}
.posts-pages a[rel=next]{margin-inline-start:auto}
@media (min-width:700px){
.posts-month{grid-template-columns:minmax(8rem,14rem) minmax(0,1fr)}
.posts-month>ul{grid-column:2}
.posts-month>.head{grid-column:1;padding-top:.5rem}
.s-posts.a-large .grid>li:first-child{grid-column:1/-1}
.s-posts.a-large .grid>li:first-child>.post{grid-template-columns:minmax(0,1.5fr) minmax(0,1fr);gap:var(--s4);align-items:center}
.s-posts.a-large .grid>li:first-child .post-head{--head:var(--t3)}
}
`,
};
