import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(120),
  text: z.string().max(300),
  button: z.string().min(1, "It needs words.").max(40),
  done: z.string().min(1, "It needs words.").max(200),
});
export type CartReminderProps = z.infer<typeof props>;

export const definition: Definition<CartReminderProps> = {
  kind: "cart-reminder",
  name: "Reminder of the cart",
  about: "Where somebody asks to be reminded of their cart by one letter, a day later.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["cart"],
  tag: "div",
  arrangements: [{ id: "folded", name: "Folded" }],
  fields: [
    { type: "line", key: "heading", label: "Words that open it", most: 120 },
    { type: "text", key: "text", label: "Text", most: 300 },
    { type: "line", key: "button", label: "Button", most: 40 },
    { type: "line", key: "done", label: "Said when it is noted", most: 200 },
  ],
  props,
  synonyms: ["abandoned", "left behind", "later", "save cart", "mail me"],
  defaults: {
    heading: "Not today? We send you this cart",
    text: "One letter, tomorrow, with the way back to it. Your address is used for nothing else.",
    button: "Send it to me",
    done: "Noted: a letter comes tomorrow.",
  },
  style: {},
  styles: ["wide"],
  css: `${ASK_CSS}
.cr summary{display:flex;align-items:center;min-height:2.75rem;cursor:pointer;text-decoration:underline;text-underline-offset:.2em}
.cr-form{display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr);padding-top:var(--s1)}
.cr-form .button{justify-self:start}
.cr-done{padding:.75rem 1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
`,
};
