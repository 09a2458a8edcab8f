import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(40),
  address: z.boolean(),
  mail: z.boolean(),
  phone: z.boolean(),
  hours: z.boolean(),
});
export type ContactFactsProps = z.infer<typeof props>;

export const definition: Definition<ContactFactsProps> = {
  kind: "contact-facts",
  name: "Contact facts",
  about: "Address, mail, phone and opening hours, as Brand has them.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "list", name: "One below the other" },
    { id: "row", name: "Side by side" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 40 },
    { type: "yes", key: "address", label: "Address" },
    { type: "yes", key: "mail", label: "Mail address" },
    { type: "yes", key: "phone", label: "Phone number" },
    { type: "yes", key: "hours", label: "Opening hours" },
  ],
  props,
  synonyms: ["address", "phone", "email", "opening hours", "where", "contact"],
  defaults: { heading: "", address: true, mail: true, phone: true, hours: true },
  style: {},
  styles: ["size", "ink"],
  css: `
.w-contact-facts.a-row .reach{flex-direction:row;flex-wrap:wrap;gap:.25rem 1.75rem;align-items:center;justify-content:var(--align,start)}
.w-contact-facts.a-row .reach address{white-space:normal}
.w-contact-facts.a-row .reach .hours{display:flex;flex-wrap:wrap;gap:0 1rem}
`,
};
