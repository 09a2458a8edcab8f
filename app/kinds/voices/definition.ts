import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 24;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  voices: z
    .array(
      z.object({
        text: z.string().max(800),
        who: z.string().max(80),
        where: z.string().max(80),
        stars: z.enum(["0", "1", "2", "3", "4", "5"]),
        picture: z.string().max(40).nullable(),
        pictureView: viewSchema,
        link: linkSchema,
      }),
    )
    .max(MOST),
  reviews: z.boolean(),
  picks: z.array(z.string().max(40)).max(MOST),
  collection: z.string().max(40).nullable(),
  least: z.number().int().min(1).max(5),
  most: z.number().int().min(1).max(MOST),
});
export type VoicesProps = z.infer<typeof props>;

const voice = (text: string, who: string, stars: "0" | "5" = "0") => ({
  text,
  who,
  where: "",
  stars,
  picture: null,
  link: NO_LINK,
});

export const definition: Definition<VoicesProps> = {
  kind: "voices",
  name: "Voices",
  about: "What people say of you: from your reviews, by a rule or picked, or words that reached you elsewhere.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "cards", name: "Cards" },
    { id: "shelf", name: "Row to slide along" },
    { id: "wall", name: "Wall of unequal cards" },
    { id: "large", name: "One large, the next beside it", style: { all: { align: "center" } } },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "yes", key: "reviews", label: "Reviews of your goods" },
    { type: "reviews", key: "picks", label: "Picked by hand", most: MOST, none: "None: the newest that suit." },
    { type: "collection", key: "collection", label: "Of which goods", none: "All goods", bare: true },
    { type: "number", key: "least", label: "With at least so many stars", least: 1, most: 5 },
    { type: "number", key: "most", label: "How many at most", least: 1, most: MOST },
    {
      type: "list",
      key: "voices",
      label: "Words from elsewhere",
      one: "voice",
      most: MOST,
      fields: [
        { type: "text", key: "text", label: "What was said", most: 800 },
        { type: "line", key: "who", label: "Who said it", most: 80 },
        { type: "line", key: "where", label: "Where", most: 80, hint: "Such as: in a letter, at the May fair" },
        {
          type: "choice",
          key: "stars",
          label: "Stars",
          options: [
            ["0", "None"],
            ["5", "5 stars"],
            ["4", "4 stars"],
            ["3", "3 stars"],
            ["2", "2 stars"],
            ["1", "1 star"],
          ],
        },
        { type: "picture", key: "picture", label: "Picture of who said it", views: true },
        { type: "link", key: "link", label: "Leads to" },
      ],
      fresh: voice("", ""),
    },
  ],
  props,
  synonyms: ["testimonials", "reviews", "customers say", "quotes", "ratings", "stars", "feedback", "press", "trust"],
  defaults: {
    heading: "What people say",
    voices: [],
    reviews: true,
    picks: [],
    collection: null,
    least: 4,
    most: 6,
  },
  sample: {
    voices: [
      voice("It came well packed, and it is just as lovely as in the picture.", "A customer", "5"),
      voice("You can see that somebody thought about every detail.", "Somebody who came by", "5"),
      voice("My question was answered the same evening.", "Another customer", "5"),
    ],
    reviews: false,
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, columns: 3, spaceTop: 6, spaceBottom: 6, align: "start" },
    phone: { columns: 1 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.voice{display:flex;flex-direction:column;gap:.9rem;height:100%;min-width:0;margin:0}
.voice.is-card{background:var(--raised);border:var(--card-edge) solid var(--line);border-radius:var(--card);box-shadow:var(--card-shadow);padding:1.35rem 1.5rem}
.voice blockquote{margin:0;display:grid;gap:.4rem;text-wrap:pretty}
.voice-text{white-space:pre-line;overflow-wrap:anywhere}
.voice-head{font-weight:var(--strong)}
.voice-by{display:flex;align-items:center;gap:.75rem;margin-top:auto;font-size:var(--t-1);text-align:start}
.voice-by .pic{flex:none;width:2.75rem;height:2.75rem;border-radius:50%}
.voice-who{font-weight:var(--strong);display:block}
.voice-where{color:var(--soft)}
.voices-line{display:grid;grid-auto-flow:column;overflow-x:auto;scroll-snap-type:x mandatory;scrollbar-width:thin;padding-bottom:var(--s2)}
.voices-line>*{scroll-snap-align:start}
.a-shelf .voices-line{grid-auto-columns:min(24rem,82%);gap:var(--s3)}
.a-wall .voices-wall{columns:var(--columns,3) 15rem;column-gap:var(--s3)}
.a-wall .voices-wall>*{break-inside:avoid;padding-bottom:var(--s3)}
.a-wall .voice{height:auto}
.a-large .voices-line{grid-auto-columns:min(86%,64rem)}
.a-large .voices-line>*{scroll-snap-align:center;padding-inline:1.5rem}
.s-voices.a-large .voice{align-items:var(--align-box,center);text-align:var(--align,center);gap:1.25rem}
.s-voices.a-large .voice-text{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t3);line-height:1.3;text-wrap:balance;max-width:24em}
`,
};
