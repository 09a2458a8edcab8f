import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import type { Definition } from "../definition";
import { FORM_STARTS } from "./starts";

/** The most fields of one form. */
const MOST_FIELDS = 60;
/** The longest that messages are kept where they are deleted at all, in days. */
const MOST_DAYS = 3650;

const props = z.object({
  arrangement: z.string().max(40).optional(),
  name: z.string().max(80),
  heading: z.string().max(160),
  text: z.string().max(600),
  button: z.string().min(1, "The button needs words.").max(40),
  note: z.string().max(300),
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
  after: z.enum(["words", "page", "file", "code"]),
  thanks: z.string().min(1, "Say that it has arrived.").max(120),
  thanksText: z.string().max(600),
  afterLink: linkSchema,
  afterLabel: z.string().max(60),
  code: z.string().max(60),
  notify: z.boolean(),
  keepDays: z.number().int().min(0).max(MOST_DAYS),
});
export type FormProps = z.infer<typeof props>;

export const definition: Definition<FormProps> = {
  kind: "form",
  name: "Form",
  about: "Asks whatever you like; the answers come into Mail.",
  purpose: "Keep in touch",
  level: "section",
  slots: ["main"],
  holds: { answers: MOST_FIELDS },
  eachIs: "Field",
  tag: "section",
  arrangements: [
    { id: "plain", name: "One below the other" },
    { id: "beside", name: "Beside its heading", style: { all: { width: "content" } } },
    { id: "picture", name: "Beside a picture", style: { all: { width: "content" } } },
    { id: "card", name: "A card, raised from its ground" },
  ],
  starts: FORM_STARTS,
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 600 },
    { type: "line", key: "button", label: "Button", most: 40 },
    { type: "line", key: "note", label: "Small print", most: 300 },
    { type: "picture", key: "picture", label: "Picture, where it stands beside one", views: true, bare: true },
    {
      type: "choice",
      key: "after",
      label: "Once it is sent",
      options: [
        ["words", "Say thanks"],
        ["page", "Say thanks, and lead to a page"],
        ["file", "Say thanks, and give a file"],
        ["code", "Say thanks, and give a coupon code"],
      ],
    },
    { type: "line", key: "thanks", label: "Thanks", most: 120 },
    { type: "text", key: "thanksText", label: "What happens next", most: 600 },
    { type: "link", key: "afterLink", label: "Where it leads", where: ["after", ["page", "file"]] },
    { type: "line", key: "afterLabel", label: "Words of that button", most: 60, where: ["after", ["page", "file"]] },
    { type: "line", key: "code", label: "Coupon code", most: 60, where: ["after", ["code"]] },
    { type: "line", key: "name", label: "Name in Mail", most: 80, hint: "Empty: its heading.", seldom: true },
    { type: "yes", key: "notify", label: "Tell me by mail when something arrives", seldom: true },
    {
      type: "number",
      key: "keepDays",
      label: "Delete what arrived after so many days; 0: never",
      least: 0,
      most: MOST_DAYS,
      seldom: true,
    },
  ],
  props,
  placeholders: ["thanksText"],
  synonyms: [
    "contact form",
    "enquiry",
    "survey",
    "custom order",
    "wholesale",
    "application",
    "waiting list",
    "booking",
  ],
  defaults: {
    name: "",
    heading: "Write to us",
    text: "",
    button: "Send",
    note: "",
    picture: null,
    after: "words",
    thanks: "Thank you",
    thanksText: "It has arrived.",
    afterLink: NO_LINK,
    afterLabel: "",
    code: "",
    notify: true,
    keepDays: 0,
  },
  style: {
    all: { set: "page", width: "narrow", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" },
  },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  script: "goods",
  later: { data: ["data-state=done", "data-state=failed"], classes: ["fm-thanks", "fm-code"] },
  css: `
.fm-words{text-align:var(--align,start)}
.s-form .in{display:grid;gap:var(--s4);grid-template-columns:minmax(0,1fr)}
.fm-box{display:block;min-width:0}
.fm-fields{display:grid;grid-template-columns:repeat(12,minmax(0,1fr));gap:var(--s3) clamp(.75rem,2vw,1.25rem)}
.fm-fields>:not(.w-form-field){grid-column:1/-1}
.fm-end{display:flex;flex-wrap:wrap;gap:var(--s2) var(--s3);align-items:center;margin-top:var(--s3)}
.fm-note{flex:1 1 16rem;font-size:var(--t-1);color:var(--soft)}
.fm-all{margin-bottom:var(--s3);padding:.9rem 1.1rem;border:2px solid var(--danger);border-radius:min(var(--card),.75rem)}
.fm-all a{color:var(--danger)}
.fm-thanks{display:grid;gap:var(--s2);justify-items:start}
.fm-thanks:focus{outline:none}
.fm-code{display:inline-block;padding:.7rem 1.2rem;border:2px dashed var(--accent-ink);border-radius:min(var(--card),.75rem);font-weight:var(--strong);font-size:var(--t1);letter-spacing:.06em;user-select:all}
.fm-card{width:100%;background:var(--page);border:max(1px,var(--card-edge)) solid var(--line);border-radius:var(--card);box-shadow:0 18px 44px -22px rgb(10 16 20/.4);padding:clamp(1.25rem,5vw,3rem);display:grid;gap:var(--s4);grid-template-columns:minmax(0,1fr)}
.s-form.a-picture .pic{aspect-ratio:4/3;border-radius:var(--card)}
@media (min-width:800px){
.s-form.a-beside .in{grid-template-columns:minmax(0,1fr) minmax(0,1.5fr);gap:var(--s5);align-items:start}
.s-form.a-picture .in{grid-template-columns:minmax(0,1.2fr) minmax(0,1fr);gap:var(--s4) var(--s5);align-items:start}
.s-form.a-picture .fm-words,.s-form.a-picture .fm-box{grid-column:1}
.s-form.a-picture .pic{grid-column:2;grid-row:1/span 2;aspect-ratio:auto;height:100%;min-height:26rem}
}
`,
};
