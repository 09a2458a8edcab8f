import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";
import { FORM_CSS } from "../parts/account-form";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().min(1, "It needs a heading.").max(120),
});
export type AccountDetailsProps = z.infer<typeof props>;

export const definition: Definition<AccountDetailsProps> = {
  kind: "account-details",
  name: "Details of an account",
  about: "Name, mail address and password, each with its own form.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["account"],
  tag: "div",
  arrangements: [
    { id: "folded", name: "Mail address and password folded" },
    { id: "open", name: "All of it open" },
  ],
  fields: [{ type: "line", key: "heading", label: "Heading", most: 120 }],
  props,
  synonyms: ["name", "mail", "password", "profile"],
  defaults: { heading: "Your details" },
  style: {},
  styles: ["wide"],
  css: `${ASK_CSS}${FORM_CSS}
.ad-fold{border-top:var(--rule) solid var(--line)}
.ad-fold summary{display:flex;align-items:center;min-height:3rem;cursor:pointer;font-weight:var(--strong)}
.ad-fold[open]{padding-bottom:var(--s2)}
.ad-fold .af-form{padding-top:var(--s1)}
`,
};
