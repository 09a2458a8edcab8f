import { z } from "zod";
import { LONGEST_OWN_VALUE, MOST_OWN_FIELDS } from "../document";
import { richSchema } from "../rich";
import { barcodeProblem } from "./barcode";
import { combinationsOf } from "./variants";
import { rulesSchema } from "./rules";
import {
  AVAILABILITIES,
  MOST_OPTIONS,
  MOST_VALUES,
  MOST_VARIANTS,
  PICKERS,
  SORTS,
  TAX_CLASSES,
  type AvailabilityWords,
} from "./types";

// What may be stored of goods, and what is said where it may not.

/** Most that any amount of money can be, in minor units. */
const MOST_MONEY = 99_999_999_999;
const id = z
  .string()
  .min(1)
  .max(40)
  .regex(/^[\w-]+$/);
const money = z.number().int().min(0, "This can’t be less than nothing.").max(MOST_MONEY, "This is too much.");
const whole = z
  .number()
  .int("Write a whole number.")
  .min(0, "This can’t be less than nothing.")
  .max(9_999_999, "This is too much.");
const barcode = z
  .string()
  .trim()
  .transform((text) => text.replace(/[\s-]/g, ""))
  .superRefine((text, context) => {
    const why = barcodeProblem(text);
    if (why) context.addIssue({ code: "custom", message: why });
  });
const day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.")
  .refine((text) => !Number.isNaN(Date.parse(`${text}T00:00:00Z`)), "There is no such day.");

export const availabilityWords: z.ZodType<AvailabilityWords> = z.partialRecord(
  z.enum(AVAILABILITIES),
  z.string().trim().min(1).max(40, "Keep it to 40 characters, so that it fits a badge."),
);

const option = z.strictObject({
  name: z.string().trim().min(1, "An option needs a name, like Colour.").max(40),
  picker: z.enum(PICKERS),
  values: z
    .array(
      z.strictObject({
        name: z.string().trim().min(1, "A value needs a name.").max(60),
        colour: z
          .string()
          .regex(/^#[0-9a-f]{6}$/i)
          .nullable(),
      }),
    )
    .min(1, "An option needs at least one value.")
    .max(MOST_VALUES, `An option has ${MOST_VALUES} values at most.`)
    .refine((values) => new Set(values.map((v) => v.name)).size === values.length, "Two values have the same name."),
});

const variant = z.strictObject({
  id,
  values: z.array(z.string().max(60)).max(MOST_OPTIONS),
  sku: z.string().trim().max(80),
  price: money.nullable(),
  compareAt: money.nullable(),
  stock: whole.nullable(),
  barcode,
  weight: whole.nullable(),
  picture: id.nullable(),
  availability: z.enum(AVAILABILITIES).nullable(),
});

/** The longest title and description that search engines are told of goods. */
export const LONGEST_SHARED = { title: 160, description: 320 } as const;

export const goodsSharing = z.strictObject({
  title: z.string().trim().max(LONGEST_SHARED.title, "This title is too long for any search engine."),
  description: z.string().trim().max(LONGEST_SHARED.description, "This description is too long for any search engine."),
  picture: id.nullable().optional(),
  unlisted: z.boolean().optional(),
});

/** What the seller says of a product; all but what is worked out and what the server gives. */
export const productInput = z
  .strictObject({
    title: z.string().trim().min(1, "A product needs a title.").max(160, "Keep it to 160 characters."),
    slug: z
      .string()
      .trim()
      .regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, "Use small letters, digits and hyphens.")
      .max(100),
    description: richSchema(20_000),
    price: money,
    compareAt: money.nullable(),
    cost: money.nullable(),
    taxClass: z.enum(TAX_CLASSES),
    isGiftCard: z.boolean(),
    availability: z.enum(AVAILABILITIES),
    availableFrom: day.nullable(),
    stock: whole.nullable(),
    oversell: z.boolean(),
    sku: z.string().trim().min(1, "A product needs an SKU of its own.").max(80),
    barcode,
    weight: whole.nullable(),
    tags: z.array(z.string().trim().min(1).max(60)).max(60),
    attributes: z.record(z.string().trim().min(1).max(80), z.string().trim().max(300, "Keep it to 300 characters.")),
    own: z
      .record(z.string().regex(/^[a-z0-9]{1,20}$/), z.string().max(LONGEST_OWN_VALUE, "That is too long for a field."))
      .refine((values) => Object.keys(values).length <= MOST_OWN_FIELDS),
    specification: z
      .array(
        z.strictObject({
          name: z.string().trim().min(1, "A row needs a name.").max(80),
          value: z.string().trim().max(300, "Keep it to 300 characters."),
        }),
      )
      .max(80),
    pictures: z.array(id).max(60),
    video: z
      .strictObject({
        file: z.string().regex(/^[0-9a-f]{64}\.(?:mp4|webm)$/),
        after: z.number().int().min(0).max(60),
        alt: z.string().trim().max(300).optional(),
      })
      .nullable(),
    collections: z.array(id).max(200),
    options: z
      .array(option)
      .max(MOST_OPTIONS, `A product has ${MOST_OPTIONS} options at most.`)
      .refine(
        (options) => new Set(options.map((o) => o.name)).size === options.length,
        "Two options have the same name.",
      ),
    variants: z.array(variant).max(MOST_VARIANTS, `A product has ${MOST_VARIANTS} variants at most.`),
    related: z.array(id).max(24),
    featured: z.boolean(),
    search: goodsSharing,
    words: availabilityWords,
    archived: z.boolean(),
  })
  .superRefine((product, context) => {
    const issue = (path: (string | number)[], message: string) => context.addIssue({ code: "custom", path, message });
    const combinations = new Set(combinationsOf(product.options).map((c) => JSON.stringify(c)));
    const seen = new Set<string>();
    product.variants.forEach((v, i) => {
      const key = JSON.stringify(v.values);
      if (!combinations.has(key)) issue(["variants", i], `There is no “${v.values.join(" / ")}” among the options.`);
      if (seen.has(key)) issue(["variants", i], `“${v.values.join(" / ")}” stands there twice.`);
      seen.add(key);
    });
    if (product.options.length && product.variants.length === 0)
      issue(["options"], "With options there has to be one variant at least.");
    const skus = product.variants.map((v) => v.sku).filter(Boolean);
    const twin = skus.find((sku, i) => skus.indexOf(sku) !== i || sku === product.sku);
    if (twin) issue(["variants"], `The SKU “${twin}” is used twice.`);
    if (product.availability === "coming-soon" && !product.availableFrom)
      issue(["availableFrom"], "Say on which day it comes.");
  });
export type ProductInput = z.infer<typeof productInput>;

export const collectionInput = z.strictObject({
  title: z.string().trim().min(1, "A collection needs a title.").max(160, "Keep it to 160 characters."),
  slug: z
    .string()
    .trim()
    .regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, "Use small letters, digits and hyphens.")
    .max(100)
    .refine((slug) => slug !== "all", "“all” is the address of everything. Choose another one."),
  description: z.string().trim().max(2_000, "Keep it to 2,000 characters."),
  picture: id.nullable(),
  parent: id.nullable(),
  rules: rulesSchema.nullable(),
  sort: z.enum(SORTS),
  order: z.array(id).max(50_000),
  search: goodsSharing.default({ title: "", description: "" }),
});
export type CollectionInput = z.infer<typeof collectionInput>;

/** What a shop says of all its goods. */
export const goodsSettings = z.strictObject({
  words: availabilityWords.default({}),
  synonyms: z
    .array(z.array(z.string().trim().min(1).max(60)).min(2, "A group needs two words at least.").max(20))
    .max(200)
    .default([]),
  /** What columns of goods files were said to mean, by their names. */
  columns: z.record(z.string().max(160), z.string().max(40)).default({}),
});
export type GoodsSettings = z.infer<typeof goodsSettings>;
