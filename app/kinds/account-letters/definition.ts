import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";
import { FORM_CSS } from "../parts/account-form";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(120),
  text: z.string().max(300),
});
export type AccountLettersProps = z.infer<typeof props>;

export const definition: Definition<AccountLettersProps> = {
  kind: "account-letters",
  name: "Letters of an account",
  about: "Your lists, each with a tick for whether its letters come.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["account"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 300 },
  ],
  props,
  synonyms: ["newsletter", "sign-ups", "subscription", "mail"],
  defaults: { heading: "Our letters", text: "" },
  style: {},
  styles: ["wide"],
  css: `${ASK_CSS}${FORM_CSS}`,
};
