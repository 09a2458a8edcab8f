import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 24;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  people: z
    .array(
      z.object({
        picture: z.string().max(40).nullable(),
        pictureView: viewSchema,
        name: z.string().max(80),
        role: z.string().max(80),
        text: z.string().max(800),
        more: z.string().max(40),
        link: linkSchema,
      }),
    )
    .max(MOST),
});
export type PeopleProps = z.infer<typeof props>;

const person = (name: string, role: string, text: string) => ({
  picture: null,
  name,
  role,
  text,
  more: "",
  link: NO_LINK,
});

export const definition: Definition<PeopleProps> = {
  kind: "people",
  name: "People",
  about: "Who is behind the shop, with pictures and a few words.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "portraits", name: "Portraits" },
    { id: "round", name: "Round portraits", style: { all: { align: "center" } } },
    { id: "beside", name: "Portrait beside the words", style: { all: { columns: 2 }, phone: { columns: 1 } } },
    { id: "turns", name: "Large, left and right in turn" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "people",
      label: "People",
      one: "person",
      most: MOST,
      fields: [
        { type: "picture", key: "picture", label: "Picture", views: true },
        { type: "line", key: "name", label: "Name", most: 80 },
        { type: "line", key: "role", label: "What they do", most: 80 },
        { type: "text", key: "text", label: "A few words", most: 800 },
        { type: "line", key: "more", label: "Words of the link", most: 40, hint: "Optional" },
        { type: "link", key: "link", label: "Leads to" },
      ],
      fresh: person("", "", ""),
    },
  ],
  props,
  synonyms: ["team", "about us", "staff", "makers", "artists", "portrait", "who we are", "authors"],
  defaults: { heading: "Who we are", text: "", people: [] },
  sample: {
    people: [
      person("The one who draws", "Patterns and colours", "Always with a pencil at hand."),
      person("The one who sews", "Workshop", "Knows every seam."),
      person("The one who packs", "Parcels and mail", "Answers every message."),
    ],
  },
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 3,
      columns: 3,
      spaceTop: 6,
      spaceBottom: 6,
      align: "start",
      shape: "4/5",
    },
    phone: { columns: 1 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape"],
  css: `
.person{display:grid;gap:.9rem;align-content:start;min-width:0}
.person .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.person-words{display:grid;gap:.25rem;align-content:start;text-align:var(--align,start);justify-items:var(--align-box,start);min-width:0}
.person-name{--head:var(--t1)}
.person-role{font-size:var(--t-1);font-weight:var(--strong);color:var(--accent-ink)}
.person-text{margin-top:.35rem;color:var(--soft);max-width:34em;text-wrap:pretty;white-space:pre-line}
.s-people.a-round .pic{aspect-ratio:1;border-radius:50%;width:min(11rem,70%);justify-self:var(--align-box,center)}
.s-people.a-beside .person{grid-template-columns:minmax(6rem,10rem) minmax(0,1fr);gap:1.25rem}
.s-people.a-turns .folk{display:grid;gap:var(--s5)}
.s-people.a-turns .person-name{--head:var(--t3)}
@media (min-width:700px){
.s-people.a-turns .person{grid-template-columns:minmax(0,1fr) minmax(0,1.3fr);gap:var(--s5);align-items:center}
.s-people.a-turns .person:nth-child(even){grid-template-columns:minmax(0,1.3fr) minmax(0,1fr)}
.s-people.a-turns .person:nth-child(even)>.pic{order:1}
}
`,
};
