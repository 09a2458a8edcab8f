import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";
import { FORM_CSS } from "../parts/account-form";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(120),
  text: z.string().max(400),
});
export type AccountDataProps = z.infer<typeof props>;

export const definition: Definition<AccountDataProps> = {
  kind: "account-data",
  name: "Taking out and deleting",
  about: "A file with all that is known of somebody, and the way to delete their account.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["account"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 400 },
  ],
  props,
  synonyms: ["privacy", "export", "delete account", "close account"],
  defaults: {
    heading: "Your data",
    text: "Deleting removes your account, your addresses and your sign-ups. What you have ordered stays in the shop’s books.",
  },
  style: {},
  styles: ["wide"],
  css: `${ASK_CSS}${FORM_CSS}
.at-fold summary{display:flex;align-items:center;min-height:2.75rem;cursor:pointer;text-decoration:underline;text-underline-offset:.2em}
.at-fold .af-form{padding-top:var(--s1)}
.at-out{display:inline-flex;align-items:center;min-height:2.75rem}
`,
};
