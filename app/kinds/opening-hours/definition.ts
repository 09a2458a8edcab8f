import { z } from "zod";
import type { Definition } from "../definition";

const MOST = 20;
const day = z.union([z.literal(""), z.iso.date("Write a day like 2026-12-24.")]);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  closed: z.string().max(40),
  other: z.string().max(60),
  exceptions: z.array(z.object({ from: day, to: day, text: z.string().max(80) })).max(MOST),
  address: z.boolean(),
});
export type OpeningHoursProps = z.infer<typeof props>;

export const definition: Definition<OpeningHoursProps> = {
  kind: "opening-hours",
  name: "Opening hours",
  about: "The week as Brand has it, with today marked, whether you are open just now, and the days that are different.",
  purpose: "Keep in touch",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "plain", name: "The week" },
    { id: "beside", name: "Beside the heading" },
    { id: "card", name: "A card, in the middle", style: { all: { align: "center", width: "narrow" } } },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "exceptions",
      label: "Days that are different",
      one: "day or time",
      most: MOST,
      fields: [
        { type: "date", key: "from", label: "From" },
        { type: "date", key: "to", label: "To", hint: "Empty: that one day" },
        {
          type: "line",
          key: "text",
          label: "What holds then",
          most: 80,
          hint: "Such as: Closed, or Christmas: 10:00–13:00",
        },
      ],
      fresh: { from: "", to: "", text: "Closed" },
    },
    { type: "yes", key: "address", label: "Address below" },
    { type: "line", key: "closed", label: "Said of days without hours", most: 40, seldom: true },
    { type: "line", key: "other", label: "Said above days that are different", most: 60, seldom: true },
  ],
  props,
  synonyms: ["hours", "when", "open", "closed", "holidays", "times", "visit", "business hours", "week"],
  defaults: {
    heading: "When we are open",
    text: "",
    closed: "Closed",
    other: "Other hours",
    exceptions: [],
    address: false,
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  script: "goods",
  byDay: true,
  css: `
.week-words{display:grid;gap:var(--s2);align-content:start;text-align:var(--align,start);justify-items:var(--align-box,start)}
.week-all{display:grid;gap:var(--s3);max-width:34rem;min-width:0}
.week{display:grid}
.week>div{display:grid;grid-template-columns:minmax(7rem,11rem) 1fr;gap:1rem;padding:.6rem .8rem;border-bottom:max(1px,var(--rule)) solid var(--line)}
.week dd{display:grid;gap:.1rem;font-variant-numeric:lining-nums tabular-nums}
.week .is-today{background:var(--raised);font-weight:var(--strong);border-inline-start:4px solid var(--accent-ink);padding-inline-start:calc(.8rem - 4px)}
.week .is-shut dd{color:var(--soft)}
.week-now{font-weight:var(--strong);color:var(--success)}
.week-now:empty{display:none}
.week-other{--head:var(--t1)}
.week-place{font-style:normal;white-space:pre-line}
.a-card .week-all{border:var(--card-edge) solid var(--line);border-radius:var(--card);background:var(--raised);padding:var(--s3);max-width:none;text-align:start}
.a-card .is-today{background:var(--page)}
@media (min-width:800px){.s-opening-hours.a-beside .in{grid-template-columns:minmax(0,1fr) minmax(0,1.3fr);gap:var(--s5);align-items:start}}
`,
};
