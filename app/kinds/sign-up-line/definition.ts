import { z } from "zod";
import type { Definition } from "../definition";
import { MAIL_FORM_CSS, MAIL_FORM_FIELDS } from "../parts/mail-form";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  button: z.string().min(1, "The button needs words.").max(30),
  note: z.string().max(200),
  list: z.string().trim().max(60),
});
export type SignUpLineProps = z.infer<typeof props>;

export const definition: Definition<SignUpLineProps> = {
  kind: "sign-up-line",
  name: "Sign-up line",
  about: "Shoppers leave their mail address, wherever there is room for a line.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [{ id: "field", name: "In a line" }],
  fields: [...MAIL_FORM_FIELDS],
  props,
  synonyms: ["newsletter", "mail", "email", "mailing list", "subscribe"],
  defaults: { button: "Sign up", note: "", list: "" },
  style: { all: {} },
  styles: ["above", "hidden"],
  later: { data: ["data-state=done", "data-state=failed"] },
  css: MAIL_FORM_CSS,
};
