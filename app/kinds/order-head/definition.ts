import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(120),
  text: z.string().max(400),
});
export type OrderHeadProps = z.infer<typeof props>;

export const definition: Definition<OrderHeadProps> = {
  kind: "order-head",
  name: "Head of an order",
  about: "Its heading, its number, and how it stands.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["thanks", "order"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 400 },
  ],
  props,
  synonyms: ["thank you", "confirmation", "status", "order number"],
  defaults: { heading: "Your order", text: "" },
  style: { all: { set: "page", width: "content", headSize: 5, spaceTop: 5, spaceBottom: 2, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-order-head .in{display:flex;flex-direction:column;gap:var(--s2);align-items:var(--align-box,flex-start);text-align:var(--align,start)}
.or-facts{display:flex;flex-wrap:wrap;gap:.35rem .75rem;align-items:center;justify-content:var(--align-box,flex-start)}
.or-chip{padding:.15rem .7rem;border:1px solid var(--line);border-radius:99px;font-size:var(--t-1)}
.or-test{padding:.15rem .7rem;border:1px dashed var(--line);font-size:var(--t-1)}
`,
};
