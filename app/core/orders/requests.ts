import { z } from "zod";
import { HANDED } from "./order";

/** What the list of orders can be narrowed to. */
export const ORDER_FILTERS = ["all", "to-pay", "to-hand", "done", "cancelled", "test"] as const;
export type OrderFilter = (typeof ORDER_FILTERS)[number];

export const ordersAsked = z.object({
  find: z.string().trim().max(120).catch(""),
  filter: z.enum(ORDER_FILTERS).catch("all"),
  page: z.coerce.number().int().min(1).max(10_000).catch(1),
});
export type OrdersAsked = z.infer<typeof ordersAsked>;

const id = z.string().min(1).max(40);
const note = z.string().trim().max(2000, "Keep it to 2,000 characters.");

/** A change of an order, as the studio asks for it. `version`: of the order that was looked at. */
export const orderChange = z.discriminatedUnion("do", [
  z.strictObject({ do: z.literal("paid"), id, version: z.number().int() }),
  z.strictObject({
    do: z.literal("hand"),
    id,
    version: z.number().int(),
    handed: z.enum(HANDED),
    text: note,
    tells: z.boolean(),
  }),
  z.strictObject({
    do: z.literal("refund"),
    id,
    version: z.number().int(),
    amount: z.number().int().min(1, "Write an amount."),
    /** How many pieces of each line go back into stock. */
    back: z.array(z.number().int().min(0)).max(200),
    text: note,
    tells: z.boolean(),
  }),
  z.strictObject({ do: z.literal("cancel"), id, version: z.number().int(), text: note, tells: z.boolean() }),
  z.strictObject({ do: z.literal("note"), id, text: note.min(1, "Write the note first.") }),
  z.strictObject({ do: z.literal("remove-tests") }),
]);
export type OrderRequest = z.infer<typeof orderChange>;
