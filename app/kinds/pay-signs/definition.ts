import { z } from "zod";
import type { Definition } from "../definition";
import { PAY_SIGNS } from "../parts/shop-signs";
import { WIDGET_SLOTS } from "../slots";

type Way = keyof typeof PAY_SIGNS;
const WAYS = Object.keys(PAY_SIGNS) as [Way, ...Way[]];

const props = z.object({
  arrangement: z.string().max(40).optional(),
  ways: z.array(z.object({ way: z.enum(WAYS), words: z.string().max(40) })).max(12),
});
export type PaySignsProps = z.infer<typeof props>;

export const definition: Definition<PaySignsProps> = {
  kind: "pay-signs",
  name: "Ways to pay and send",
  about: "How people can pay you, and how it reaches them.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "signs", name: "Signs alone" },
    { id: "both", name: "Signs and words" },
  ],
  fields: [
    {
      type: "list",
      key: "ways",
      label: "Ways",
      one: "way",
      most: 12,
      fields: [
        { type: "choice", key: "way", label: "Sign", options: WAYS.map((way) => [way, PAY_SIGNS[way][0]] as const) },
        { type: "line", key: "words", label: "Words", most: 40 },
      ],
      fresh: { way: "card", words: "" },
    },
  ],
  props,
  sample: { ways: (["card", "bank", "parcel", "collect"] as const).map((way) => ({ way, words: "" })) },
  synonyms: ["payment", "cards", "delivery", "shipping", "trust"],
  // Nothing is said of a shop that its seller has not said.
  defaults: { ways: [] },
  style: {},
  styles: ["size", "ink"],
  css: `
.pays{display:flex;flex-wrap:wrap;gap:.5rem;justify-content:var(--align,start)}
.pays li{display:inline-flex;align-items:center;justify-content:center;gap:.5em;min-width:2.9rem;min-height:1.9rem;padding:.1rem .5rem;border:1px solid var(--line);border-radius:min(var(--control),.5rem)}
.w-pay-signs.a-both .pays li{font-size:var(--t-1)}
`,
};
