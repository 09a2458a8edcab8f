import type { Condition } from "~/core/conditions";

/** Ready conditions to start from. */
export const STARTS: readonly { readonly name: string; readonly conditions: readonly Condition[] }[] = [
  {
    name: "Before Christmas, every year",
    conditions: [{ when: "dates", from: "2026-12-01T00:00", until: "2026-12-25T00:00", yearly: true }],
  },
  { name: "At weekends", conditions: [{ when: "times", days: [6, 7] }] },
  { name: "In the evening", conditions: [{ when: "times", from: "18:00", until: "23:00" }] },
  { name: "To new visitors", conditions: [{ when: "visitor", is: "new" }] },
  {
    name: "To who comes again and gets no letters yet",
    conditions: [
      { when: "visitor", is: "returning" },
      { when: "visitor", is: "subscribed", not: true },
    ],
  },
  { name: "Until something is in the cart", conditions: [{ when: "cart", asks: "empty" }] },
  {
    name: "Beside goods that are reduced",
    conditions: [{ when: "goods", asks: [{ field: "reduced", op: "yes", value: "" }] }],
  },
  {
    name: "Beside goods of which few are left",
    conditions: [{ when: "goods", asks: [{ field: "stock", op: "under", value: "5" }] }],
  },
  { name: "On all pages but the cart", conditions: [{ when: "pages", sorts: ["cart"], not: true }] },
];
