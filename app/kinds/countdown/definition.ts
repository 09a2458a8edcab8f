import { z } from "zod";
import { COUNT_DAYS } from "~/core/countdown";
import type { Definition } from "../definition";
import { COUNT_CSS } from "../parts/count";
import { WIDGET_SLOTS } from "../slots";

const unit = z.string().max(20);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  text: z.string().max(120),
  to: z.enum(["moment", "hour", "offer"]),
  offer: z.string().max(40).nullable(),
  at: z.union([z.literal(""), z.iso.datetime({ local: true, precision: -1, error: "Choose a date and a time." })]),
  days: z.enum(COUNT_DAYS),
  time: z.string().regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "Choose a time."),
  over: z.string().max(160),
  seconds: z.boolean(),
  dayWord: unit,
  hourWord: unit,
  minuteWord: unit,
  secondWord: unit,
});
export type CountdownProps = z.infer<typeof props>;

const unitField = (key: string, label: string) => ({ type: "line", key, label, most: 20, seldom: true }) as const;

export const definition: Definition<CountdownProps> = {
  kind: "countdown",
  name: "Countdown",
  about: "What is left until a date, or until the hour at which today’s parcels leave.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "boxes", name: "Boxes" },
    { id: "large", name: "Large, with rules between" },
    { id: "line", name: "In one line" },
  ],
  fields: [
    { type: "line", key: "text", label: "Words before", most: 120 },
    {
      type: "choice",
      key: "to",
      label: "Counts down to",
      options: [
        ["moment", "A date and a time"],
        ["hour", "An hour that comes again"],
        ["offer", "The end of an offer"],
      ],
    },
    {
      type: "offer",
      key: "offer",
      label: "Which offer",
      none: "The first to end of those without a code",
      where: ["to", ["offer"]],
    },
    {
      type: "moment",
      key: "at",
      label: "Date and time",
      hint: "By your shop’s clocks",
      where: ["to", ["moment"]],
    },
    {
      type: "choice",
      key: "days",
      label: "On",
      options: [
        ["every", "Every day"],
        ["weekdays", "Monday to Friday"],
        ["saturdays", "Monday to Saturday"],
        ["1", "Mondays"],
        ["2", "Tuesdays"],
        ["3", "Wednesdays"],
        ["4", "Thursdays"],
        ["5", "Fridays"],
        ["6", "Saturdays"],
        ["7", "Sundays"],
      ],
      where: ["to", ["hour"]],
    },
    { type: "hour", key: "time", label: "At", where: ["to", ["hour"]] },
    {
      type: "line",
      key: "over",
      label: "Said when it is over",
      most: 160,
      hint: "Empty: it is gone.",
      where: ["to", ["moment", "offer"]],
    },
    { type: "yes", key: "seconds", label: "With seconds" },
    unitField("dayWord", "Word for days"),
    unitField("hourWord", "Word for hours"),
    unitField("minuteWord", "Word for minutes"),
    unitField("secondWord", "Word for seconds"),
  ],
  props,
  synonyms: ["timer", "clock", "deadline", "ends in", "sale ends", "order by", "dispatch", "cut-off", "hurry"],
  defaults: {
    text: "",
    to: "moment",
    offer: null,
    at: "",
    days: "weekdays",
    time: "15:00",
    over: "",
    seconds: false,
    dayWord: "days",
    hourWord: "hours",
    minuteWord: "minutes",
    secondWord: "seconds",
  },
  migrations: [
    {
      from: 1,
      name: "counts down to the end of an offer as well",
      up: (props) => {
        props.offer = null;
      },
    },
  ],
  sample: { text: "Leaves today if ordered within", to: "hour", days: "every" },
  style: { all: {} },
  styles: ["align", "above", "hidden", "ink"],
  script: "goods",
  later: { classes: ["is-on"] },
  byDay: true,
  changesAt: ({ to, at }) => (to === "moment" && at ? [at] : []),
  css: `
.w-countdown .count{display:grid;gap:.5rem;justify-items:var(--align-box,start);text-align:var(--align,start)}
.w-countdown .count-when{font-weight:var(--strong)}
.a-boxes .count-units{gap:.5rem}
.a-boxes .count-unit{display:grid;justify-items:center;min-width:4.25rem;padding:.55rem .5rem .5rem;border:var(--card-edge) solid var(--line);border-radius:min(var(--card),1rem);background:var(--raised);color:var(--ink)}
.a-boxes .count-unit b,.a-large .count-unit b{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);line-height:1}
.a-boxes .count-unit b{font-size:var(--t3)}
.a-boxes .count-unit i,.a-large .count-unit i{font-size:var(--t-1)}
.a-large .count-units{gap:0}
.a-large .count-unit{display:grid;gap:.2rem;padding-inline:var(--s3);border-inline-start:max(1px,var(--rule)) solid var(--line)}
.a-large .count-unit:first-child{padding-inline-start:0;border:0}
.a-large .count-unit b{font-size:var(--t5)}
.w-countdown.a-line .count{display:flex;flex-wrap:wrap;align-items:baseline;justify-content:var(--align-box,start);gap:0 .5em}
@media (max-width:480px){.a-large .count-unit{padding-inline:var(--s2)}.a-large .count-unit b{font-size:var(--t4)}}
${COUNT_CSS}`,
};
