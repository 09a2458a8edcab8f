import { z } from "zod";
import { richSchema, type Rich } from "~/core/rich";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  text: richSchema(600),
  sign: z.string().max(40),
  goods: z.object({
    products: z.array(z.string().max(40)).max(500),
    collections: z.array(z.string().max(40)).max(200),
    tags: z.array(z.string().max(60)).max(100),
  }),
});
export type ProductMessageProps = Omit<z.infer<typeof props>, "text"> & { text: Rich };

export const definition: Definition<ProductMessageProps> = {
  kind: "product-message",
  name: "Message for chosen goods",
  about: "A sentence that stands only beside the goods you choose.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tag: "div",
  arrangements: [
    { id: "box", name: "In a box" },
    { id: "line", name: "Plain" },
  ],
  fields: [
    { type: "rich", key: "text", label: "Message", most: 600 },
    { type: "sign", key: "sign", label: "Sign" },
    { type: "goods", key: "goods", label: "Beside which goods" },
  ],
  props,
  sample: { text: "Say here what matters for these goods." },
  synonyms: ["notice", "info", "alert", "note"],
  defaults: {
    text: "",
    sign: "wave",
    goods: { products: [], collections: [], tags: [] },
  },
  style: {},
  styles: ["size", "align"],
  css: `
.w-product-message{display:flex;gap:.75rem;align-items:flex-start}
.w-product-message .sign{width:1.5rem;height:1.5rem;color:var(--accent-ink);margin-top:.1em}
.w-product-message.a-box{border:1px solid var(--line);border-radius:var(--card);padding:.9rem 1rem;background:var(--raised)}
.is-elsewhere{opacity:.45}
`,
};
