import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  search: z.boolean(),
  cart: z.boolean(),
  account: z.boolean().default(false),
});
export type ShopWaysProps = z.infer<typeof props>;

export const definition: Definition<ShopWaysProps> = {
  kind: "shop-ways",
  name: "Search, account and cart",
  about: "The signs that lead to the search, the account and the cart.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["small"],
  tag: "div",
  arrangements: [
    { id: "signs", name: "As signs" },
    { id: "field", name: "The search as a field" },
  ],
  fields: [
    { type: "yes", key: "search", label: "Search" },
    { type: "yes", key: "account", label: "Account" },
    { type: "yes", key: "cart", label: "Cart" },
  ],
  props,
  synonyms: ["basket", "bag", "find", "search field", "account", "sign in"],
  defaults: { search: true, cart: true, account: false },
  style: {},
  styles: ["ink"],
  css: `
.w-shop-ways{display:flex;align-items:center;justify-content:var(--align,start);gap:.25rem;min-height:2.75rem}
.w-shop-ways .find-field{display:flex;flex:1}
.w-shop-ways .find-field .field{min-width:0;flex:1}
`,
};
