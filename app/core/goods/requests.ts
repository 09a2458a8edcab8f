import { z } from "zod";
import { REVIEW_STATES } from "./reviews";
import { goodsSharing, productInput } from "./schema";

// What the studio asks the server to change of goods.

/** What the table of goods changes at once, for one or for many. */
export const bulkSchema = z.strictObject({
  ids: z.array(z.string().max(40)).min(1).max(20_000).readonly(),
  set: z.strictObject({
    title: productInput.shape.title.optional(),
    price: productInput.shape.price.optional(),
    compareAt: productInput.shape.compareAt.optional(),
    stock: productInput.shape.stock.optional(),
    availability: productInput.shape.availability.optional(),
    availableFrom: productInput.shape.availableFrom.optional(),
    taxClass: productInput.shape.taxClass.optional(),
    featured: z.boolean().optional(),
    archived: z.boolean().optional(),
    sku: productInput.shape.sku.optional(),
    addTags: productInput.shape.tags.optional(),
    removeTags: productInput.shape.tags.optional(),
    addTo: z.array(z.string().max(40)).max(50).optional(),
    takeFrom: z.array(z.string().max(40)).max(50).optional(),
    attribute: z.strictObject({ name: z.string().trim().min(1).max(80), value: z.string().trim().max(300) }).optional(),
    /** Prices times this, rounded to whole minor units, half up. */
    priceTimes: z.number().min(0.01).max(100).optional(),
  }),
});
export type Bulk = z.infer<typeof bulkSchema>;

export const reviewChange = z.object({
  ids: z.array(z.string().max(40)).min(1).max(500).readonly(),
  state: z.enum(REVIEW_STATES).optional(),
  answer: z.string().trim().max(2_000, "That is longer than 2,000 characters.").optional(),
});
export type ReviewChange = z.infer<typeof reviewChange>;

const id = z.string().min(1).max(40);

/** Every change of goods by hand. */
export const goodsChange = z.discriminatedUnion("intent", [
  z.strictObject({
    intent: z.literal("keep-product"),
    id: id.nullable(),
    version: z.number().int().min(0).nullable(),
    product: z.unknown(),
  }),
  z.strictObject({ intent: z.literal("bulk"), change: bulkSchema }),
  z.strictObject({ intent: z.literal("duplicate"), id }),
  z.strictObject({ intent: z.literal("remove"), ids: z.array(id).min(1).max(20_000).readonly() }),
  z.strictObject({
    intent: z.literal("keep-collection"),
    id: id.nullable(),
    collection: z.unknown(),
    members: z.array(id).max(50_000).readonly().nullable(),
  }),
  z.strictObject({
    intent: z.literal("share"),
    of: z.enum(["product", "collection"]),
    id,
    search: goodsSharing,
  }),
  /** Wherever goods show the first of a pair of pictures, they show the second. */
  z.strictObject({
    intent: z.literal("replace-pictures"),
    pairs: z
      .array(z.tuple([id, id]))
      .min(1)
      .max(1_000)
      .readonly(),
  }),
  /** Other words in the place of those that are found, in the texts that are named. */
  z.strictObject({
    intent: z.literal("replace-words"),
    sought: z.strictObject({ words: z.string().min(1).max(200), matchCase: z.boolean(), whole: z.boolean() }),
    by: z.string().max(200),
    only: z.array(z.string().max(160)).min(1).max(5_000).readonly(),
  }),
  z.strictObject({ intent: z.literal("remove-collection"), id }),
  z.strictObject({ intent: z.literal("order-collections"), ids: z.array(id).max(2_000).readonly() }),
  z.strictObject({ intent: z.literal("settings"), settings: z.unknown() }),
  z.strictObject({ intent: z.literal("reviews"), change: reviewChange }),
  z.strictObject({ intent: z.literal("remove-review"), id }),
  z.strictObject({ intent: z.literal("undo") }),
  z.strictObject({ intent: z.literal("redo") }),
]);
export type GoodsRequest = z.infer<typeof goodsChange>;
