import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  trail: z.boolean(),
  everything: z.string().min(1, "It needs a title.").max(60),
});
export type CollectionHeadProps = z.infer<typeof props>;

export const definition: Definition<CollectionHeadProps> = {
  kind: "collection-head",
  name: "Head of the collection",
  about: "Its title, its words and its picture, from Goods.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  only: ["collection"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [
    { id: "words", name: "Words" },
    { id: "beside", name: "Picture beside" },
    { id: "over", name: "Words on the picture" },
  ],
  fields: [
    { type: "yes", key: "trail", label: "Shows where one is" },
    { type: "line", key: "everything", label: "Title of everything", most: 60 },
  ],
  props,
  defaults: { trail: true, everything: "Everything" },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 5,
      spaceTop: 4,
      spaceBottom: 3,
      align: "start",
    },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.c-head{display:flex;flex-direction:column;gap:var(--s2);text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.s-collection-head .crumbs{margin-bottom:var(--s3)}
.a-beside .c-both{display:grid;gap:var(--s4) var(--s6);align-items:end}
.s-collection-head.a-beside .pic{aspect-ratio:16/9;border-radius:var(--card)}
@media (min-width:800px){.a-beside .c-both{grid-template-columns:1fr 1fr}}
.a-over.s-collection-head{--head:var(--t5);padding:0}
.a-over .c-stage{position:relative;display:flex;align-items:flex-end;min-height:min(26rem,56svh);isolation:isolate}
.a-over .c-stage>.pic{position:absolute;inset:0;z-index:-2}
.a-over .c-stage::after{content:"";position:absolute;inset:0;z-index:-1;background:linear-gradient(to top,rgb(8 14 18/.78),rgb(8 14 18/.5) 45%,rgb(8 14 18/.12))}
.a-over .c-stage .in{padding-block:var(--s4);color:#fff;--soft:#fff;--link:#fff;--link-ink:#fff}
`,
};
