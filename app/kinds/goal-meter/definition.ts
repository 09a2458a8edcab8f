import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const words = z.string().max(160);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  offer: z.string().max(40).nullable(),
  before: words,
  way: words,
  reached: words,
});
export type GoalMeterProps = z.infer<typeof props>;

export const definition: Definition<GoalMeterProps> = {
  kind: "goal-meter",
  name: "Goal meter",
  about: "How much more to spend until an offer is reached.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "bar", name: "Words and a bar" },
    { id: "steps", name: "A bar with each goal below" },
    { id: "line", name: "Words only" },
  ],
  fields: [
    { type: "offer", key: "offer", label: "Goal", none: "Every offer from a worth on, one after the other" },
    {
      type: "line",
      key: "before",
      label: "Words while the cart is empty",
      most: 160,
      hint: "{goal} and {name} are filled in.",
    },
    {
      type: "line",
      key: "way",
      label: "Words on the way",
      most: 160,
      hint: "{to-go}, {goal} and {name} are filled in.",
    },
    { type: "line", key: "reached", label: "Words once it is reached", most: 160, hint: "{name} is filled in." },
  ],
  props,
  synonyms: [
    "free delivery",
    "free shipping",
    "threshold",
    "progress",
    "progress bar",
    "spend more",
    "away from",
    "to go",
  ],
  defaults: { offer: null, before: "{name} from {goal} on", way: "{to-go} to go: {name}", reached: "Reached: {name}" },
  style: { all: {} },
  styles: ["align", "above", "hidden", "ink"],
  says: ["to-go", "goal", "name"],
  byCart: true,
  script: "goods",
  later: { classes: ["is-reached"] },
  css: `
.w-goal-meter .goal{display:grid;gap:.5rem;text-align:var(--align,start)}
.goal-words{font-weight:var(--strong)}
.goal-bar{appearance:none;display:block;box-sizing:border-box;width:100%;height:.8rem;border:1px solid color-mix(in oklab,currentColor 55%,transparent);border-radius:min(var(--card),1rem);background:var(--raised);overflow:hidden}
.goal-bar::-webkit-progress-bar{background:none}
.goal-bar::-webkit-progress-value{background:var(--brand-edge)}
.goal-bar::-moz-progress-bar{background:var(--brand-edge)}
@media (prefers-reduced-motion:no-preference){.goal-bar::-webkit-progress-value{transition:inline-size .6s ease}.goal-bar::-moz-progress-bar{transition:inline-size .6s ease}}
.goal-steps{display:grid;grid-auto-flow:column;grid-auto-columns:minmax(0,1fr);margin:0;padding:0;list-style:none}
.goal-steps li{display:grid;gap:.1rem;align-content:start;justify-items:end;text-align:end;padding-inline-start:.5rem;border-inline-end:max(2px,var(--rule)) solid var(--line);padding-inline-end:.5rem}
.goal-steps b{font-weight:var(--strong)}
.goal-steps .is-reached b::before{content:"✓ "}`,
};
