import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  signs: z.array(z.object({ sign: z.string().max(40), words: z.string().max(80) })).max(6),
});
export type AssurancesProps = z.infer<typeof props>;

export const definition: Definition<AssurancesProps> = {
  kind: "assurances",
  name: "Signs in a row",
  about: "Delivery, returns, mending: what makes people dare to buy.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "list", name: "One below the other" },
    { id: "row", name: "Side by side" },
  ],
  fields: [
    {
      type: "list",
      key: "signs",
      label: "Signs",
      one: "sign",
      most: 6,
      fields: [
        { type: "sign", key: "sign", label: "Sign" },
        { type: "line", key: "words", label: "Words", most: 80 },
      ],
      fresh: { sign: "leaf", words: "In a few words" },
    },
  ],
  props,
  sample: {
    signs: [
      { sign: "parcel", words: "How it is sent" },
      { sign: "return", words: "How it can come back" },
      { sign: "mend", words: "What you promise" },
    ],
  },
  synonyms: ["trust", "promise", "usp", "benefits", "icons", "delivery", "returns", "guarantee"],
  defaults: {
    signs: [
      { sign: "parcel", words: "" },
      { sign: "return", words: "" },
      { sign: "mend", words: "" },
    ],
  },
  style: {},
  styles: ["size", "ink"],
  css: `
.signs{display:flex;flex-direction:column;gap:.55rem}
.signs li{display:flex;gap:.65rem;align-items:center}
.signs .sign{color:var(--accent-ink)}
.a-row .signs{flex-direction:row;flex-wrap:wrap;gap:.55rem 1.5rem}
`,
};
