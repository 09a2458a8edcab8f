import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";
import { FORM_CSS } from "../parts/account-form";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().min(1, "It needs a heading.").max(120),
  add: z.string().min(1, "It needs words.").max(40),
  none: z.string().max(200),
});
export type AccountAddressesProps = z.infer<typeof props>;

export const definition: Definition<AccountAddressesProps> = {
  kind: "account-addresses",
  name: "Addresses of an account",
  about: "The addresses that somebody keeps, to be chosen from at the checkout.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["account"],
  tag: "div",
  arrangements: [
    { id: "columns", name: "Side by side" },
    { id: "rows", name: "One below the other" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "line", key: "add", label: "Link to add one", most: 40 },
    { type: "text", key: "none", label: "Said while there are none", most: 200 },
  ],
  props,
  synonyms: ["address book", "delivery", "shipping"],
  defaults: {
    heading: "Addresses",
    add: "Add an address",
    none: "The address of your next order is kept here.",
  },
  style: {},
  styles: ["wide"],
  css: `${ASK_CSS}${FORM_CSS}
.aa-list{list-style:none;margin:0;padding:0;display:grid;gap:var(--s2) var(--s3);grid-template-columns:minmax(0,1fr)}
.aa-one{padding-block:var(--s2);border-top:var(--rule) solid var(--line)}
.aa-one p{white-space:pre-line;overflow-wrap:anywhere}
.aa-do{display:flex;flex-wrap:wrap;gap:0 1.25rem;align-items:center}
.aa-do a,.aa-do button{display:inline-flex;align-items:center;min-height:2.75rem}
.aa-do button{border:0;background:none;padding:0;text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.aa-none{color:var(--soft)}
@media (min-width:560px){.a-columns .aa-list{grid-template-columns:repeat(2,minmax(0,1fr))}}
`,
};
