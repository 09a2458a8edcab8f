import { z } from "zod";
import {
  AUDIENCES,
  DOCUMENT_KINDS,
  type Brand,
  type PageDocument,
  type Draft,
  type Json,
  LOGO_HEIGHT,
  LOGO_WAYS,
  type Look,
  type Part,
  type StyleSheet,
  walk,
} from "../document";
import type { Operation } from "../operations";
import type { Transaction } from "../commands";
import { problemWithBrand } from "../theme";
import { contactFields } from "./contact";
import { tonesSchema } from "./views";
import {
  LONGEST_LABEL,
  LONGEST_TITLE,
  MOST_CHARACTERS,
  MOST_ENTRIES,
  MOST_OPERATIONS,
  MOST_READ_IN_SLOT,
} from "./limits";

const id = z
  .string()
  .min(1)
  .max(40)
  .regex(/^[\w-]+$/);
/** A name under which a value is kept. The one that is left out is no name in a JavaScript object, and would be lost. */
const named = (most: number) =>
  z
    .string()
    .max(most)
    .refine((name) => name !== "__proto__", "This is no name.");
const json: z.ZodType<Json> = z.lazy(() =>
  z.union([
    z.null(),
    z.boolean(),
    z.number(),
    z.string().max(MOST_CHARACTERS),
    z.array(json).max(MOST_ENTRIES),
    z.record(z.string().max(80), json),
  ]),
);
const styleValue = z.union([z.string().max(400), z.number(), z.boolean()]);
const styleSheet: z.ZodType<StyleSheet> = z.partialRecord(z.enum(AUDIENCES), z.record(z.string().max(60), styleValue));

const ownValues = {
  id,
  kind: z.string().max(40),
  version: z.number().int().min(1).max(10_000).optional(),
  place: z.string().max(40).optional(),
  props: z.record(z.string().max(60), json),
  style: styleSheet,
  conditions: z.array(json).max(50),
  shown: z.boolean(),
};
const ownSchema = z.object(ownValues);

/** Whether what a part says of itself could be read again; what stands in it is not looked at. */
export const fitsLimits = (part: Part): boolean => ownSchema.safeParse(part).success;

export const nodeSchema: z.ZodType<Part> = z.lazy(() =>
  z.strictObject({
    ...ownValues,
    slots: z.record(z.string().max(40), z.array(nodeSchema).max(MOST_READ_IN_SLOT)),
  }),
);
/** A node below the root: its slots are never empty lists, see the operations. */
const innerNodeSchema = nodeSchema.refine(
  (node) => [...walk(node)].every((n) => Object.values(n.slots).every((children) => children.length > 0)),
  "A place that holds nothing is left out.",
);

export const documentSchema: z.ZodType<PageDocument> = z.strictObject({
  schemaVersion: z.number().int().min(1),
  id,
  kind: z.enum(DOCUMENT_KINDS),
  title: z.string().max(LONGEST_TITLE),
  root: nodeSchema,
});

const brandSchema: z.ZodType<Brand> = z.record(z.string().max(60), json).superRefine((brand, context) => {
  const problem = problemWithBrand(brand);
  if (problem) context.addIssue({ code: "custom", message: problem });
});

const logoHeight = z.number().int().min(LOGO_HEIGHT.least).max(LOGO_HEIGHT.most);

export const lookSchema: z.ZodType<Look, unknown> = z.strictObject({
  theme: z.string().max(40),
  identity: z.strictObject({
    name: z.string().trim().min(1).max(60),
    tagline: z.string().max(120),
    logo: z.discriminatedUnion("form", [
      z.strictObject({ form: z.literal("words") }),
      z.strictObject({ form: z.literal("sign"), sign: z.string().max(40) }),
      z.strictObject({
        form: z.literal("picture"),
        picture: id,
        onDark: id.optional(),
        height: logoHeight.optional(),
        onPhone: logoHeight.optional(),
        least: logoHeight.optional(),
        header: z.enum(LOGO_WAYS).optional(),
        footer: z.enum(LOGO_WAYS).optional(),
        over: z.enum(LOGO_WAYS).optional(),
      }),
    ]),
    icon: id.optional(),
    ...contactFields,
  }),
  brand: brandSchema,
  // Looks stored before brands could be put aside have none.
  versions: z
    .record(
      id,
      z.strictObject({
        name: z.string().trim().min(1, "A version needs a name.").max(60),
        at: z.iso.datetime(),
        theme: z.string().max(40),
        brand: brandSchema,
      }),
    )
    .default({}),
  tones: tonesSchema.optional(),
  accepted: z
    .array(z.string().regex(/^[0-9a-f]{8}$/))
    .max(MOST_ENTRIES)
    .optional(),
});

export const draftSchema: z.ZodType<Draft> = z.strictObject({
  look: lookSchema,
  documents: z.record(id, documentSchema),
});

const heldOf = <T>(value: z.ZodType<T>) =>
  z.union([z.strictObject({ is: value }), z.strictObject({ absent: z.literal(true) })]);
const path = z
  .array(z.union([named(60), z.number().int().min(0).max(MOST_ENTRIES)]))
  .min(1)
  .max(8);
const place = z.strictObject({
  parent: id,
  slot: named(40),
  index: z.number().int().min(0).max(MOST_READ_IN_SLOT),
});

const operationSchema: z.ZodType<Operation> = z.discriminatedUnion("type", [
  z.strictObject({ type: z.literal("insertNode"), document: id, to: place, node: innerNodeSchema }),
  z.strictObject({ type: z.literal("removeNode"), document: id, from: place, node: innerNodeSchema }),
  z.strictObject({ type: z.literal("moveNode"), document: id, node: id, from: place, to: place }),
  z.strictObject({
    type: z.literal("setProp"),
    document: id,
    node: id,
    path,
    before: heldOf(json),
    after: heldOf(json),
  }),
  z.strictObject({
    type: z.literal("setStyle"),
    document: id,
    node: id,
    audience: z.enum(AUDIENCES),
    property: named(60),
    before: heldOf(styleValue),
    after: heldOf(styleValue),
  }),
  z.strictObject({ type: z.literal("setShown"), document: id, node: id, before: z.boolean(), after: z.boolean() }),
  z.strictObject({
    type: z.literal("setConditions"),
    document: id,
    node: id,
    before: ownValues.conditions,
    after: ownValues.conditions,
  }),
  z.strictObject({ type: z.enum(["addDocument", "removeDocument"]), added: documentSchema }),
  z.strictObject({
    type: z.literal("setTitle"),
    document: id,
    before: z.string(),
    after: z.string().max(LONGEST_TITLE),
  }),
  z.strictObject({ type: z.literal("setLook"), path, before: heldOf(json), after: heldOf(json) }),
]);

export const transactionSchema: z.ZodType<Transaction> = z.strictObject({
  id,
  group: id,
  intent: z.string().max(40),
  label: z.string().max(LONGEST_LABEL),
  operations: z.array(operationSchema).min(1).max(MOST_OPERATIONS),
  undoes: id.optional(),
  redoes: id.optional(),
  selects: id.optional(),
}) as z.ZodType<Transaction>;
