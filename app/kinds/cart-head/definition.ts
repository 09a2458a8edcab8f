import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(80),
  added: z.string().min(1, "It needs words.").max(80),
  code: z.string().min(1, "It needs words.").max(80),
  gone: z.string().min(1, "It needs words.").max(80),
  back: z.string().min(1, "A button needs words.").max(40),
});
export type CartHeadProps = z.infer<typeof props>;

export const definition: Definition<CartHeadProps> = {
  kind: "cart-head",
  name: "Head of the cart",
  about: "Its heading, and what is said of what a shopper has just done: put in, taken out, not enough of it there.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["cart"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 80 },
    { type: "line", key: "added", seldom: true, label: "Said when something was put in", most: 80 },
    { type: "line", key: "code", seldom: true, label: "Said when a code was taken", most: 80 },
    { type: "line", key: "gone", seldom: true, label: "Said of what was taken out, after its name", most: 80 },
    { type: "line", key: "back", seldom: true, label: "Button that puts it back", most: 40 },
  ],
  props,
  synonyms: ["basket", "bag", "title", "undo"],
  defaults: {
    heading: "Your cart",
    added: "It is in your cart.",
    code: "The code is noted.",
    gone: "is out of your cart.",
    back: "Put it back",
  },
  style: { all: { set: "page", width: "content", headSize: 5, spaceTop: 5, spaceBottom: 2, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  script: "goods",
  later: { classes: ["button", "button-2"], data: ["data-state=done", "data-state=failed"] },
  css: `
.s-cart-head .in{display:flex;flex-direction:column;gap:var(--s2);align-items:var(--align-box,flex-start);text-align:var(--align,start)}
.s-cart-head .message{margin:0}
.s-cart-head zest-cart{display:flex;flex-wrap:wrap;gap:.5rem 1.25rem;align-items:center;justify-content:var(--align-box,flex-start)}
`,
};
