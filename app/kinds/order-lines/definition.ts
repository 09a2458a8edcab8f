import { z } from "zod";
import type { Definition } from "../definition";
import { SUMS_CSS } from "../parts/sums";
import { WIDGET_SLOTS } from "../slots";

const words = (most: number) => z.string().min(1, "It needs words.").max(most);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(60),
  goods: words(40),
  off: words(40),
  delivery: words(40),
  total: words(40),
});
export type OrderLinesProps = z.infer<typeof props>;

export const definition: Definition<OrderLinesProps> = {
  kind: "order-lines",
  name: "What was ordered",
  about: "Each thing, and what it came to.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["thanks", "order"],
  tag: "div",
  arrangements: [
    { id: "box", name: "In a box" },
    { id: "plain", name: "Plain" },
    { id: "bare", name: "Without pictures" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 60 },
    { type: "line", key: "goods", seldom: true, label: "Before discounts", most: 40 },
    { type: "line", key: "off", seldom: true, label: "All discounts", most: 40 },
    { type: "line", key: "delivery", seldom: true, label: "Delivery", most: 40 },
    { type: "line", key: "total", seldom: true, label: "In the end", most: 40 },
  ],
  props,
  synonyms: ["items", "summary", "receipt", "invoice"],
  defaults: { heading: "What you ordered", goods: "Goods", off: "You save", delivery: "Delivery", total: "Total" },
  style: {},
  styles: ["wide"],
  css: `${SUMS_CSS}
.or-lines h2{font-size:var(--t1);margin:0}
.a-box .or-lines{padding:var(--s3);background:var(--raised);border-radius:var(--card)}
`,
};
