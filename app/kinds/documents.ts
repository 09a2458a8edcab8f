import { z } from "zod";
import { slugProblem } from "~/core/addresses";
import { originIn } from "~/core/code";
import {
  LAYOUT_SORTS,
  MENU_LEVELS,
  MOST_EARLY,
  MOST_PROOFS,
  LONGEST_OWN_NAME,
  LONGEST_OWN_VALUE,
  MOST_OWN_FIELDS,
  MOST_SPELLINGS,
  OWN_SORTS,
  proofProblem,
  SHARED,
  type Part,
  type PageDocument,
} from "~/core/document";
import { conditionsSchema } from "~/core/conditions";
import { offerRoot } from "~/core/offers";
import { datesProblem, seasonRoot } from "~/core/seasons";
import { MOST_ENTRIES } from "~/core/schema";
import { sellingRoot } from "~/core/selling";
import { lettersRoot } from "~/core/shop-letters";

/** The longest title and description for search engines that are kept, in characters. */
export const LONGEST_SEARCH_TITLE = 200;
export const LONGEST_DESCRIPTION = 500;

/** What a post can say of itself at most. */
export const LONGEST_AUTHOR = 80;
export const LONGEST_TAG = 40;
export const MOST_TAGS = 20;
export const LONGEST_SUMMARY = 400;

/** The longest CSS of a page and of the whole shop. */
export const LONGEST_PAGE_CSS = 8000;
export const LONGEST_SHOP_CSS = 20_000;

/** CSS of a whole page. */
const css = z
  .string()
  .max(LONGEST_PAGE_CSS, `The CSS of a page can have ${LONGEST_PAGE_CSS.toLocaleString("en")} characters.`)
  .optional();

// What the root of a document says of the document, by its kind.

const layoutRoot = z.strictObject({
  of: z.enum(LAYOUT_SORTS),
  products: z
    .array(z.string().max(40))
    .max(
      MOST_ENTRIES,
      `A layout can be for ${MOST_ENTRIES.toLocaleString("en")} products at most; choose collections.`,
    ),
  collections: z.array(z.string().max(40)).max(500),
  titlePattern: z.string().max(LONGEST_SEARCH_TITLE, "This title is too long for any search engine.").optional(),
  descriptionPattern: z
    .string()
    .max(LONGEST_DESCRIPTION, "This description is too long for any search engine.")
    .optional(),
  css,
});

const pageRoot = z.strictObject({
  slug: z
    .string()
    .max(160)
    .superRefine((slug, context) => {
      const why = slugProblem(slug);
      if (why) context.addIssue({ code: "custom", message: why });
    })
    .optional(),
  parent: z.string().max(40).optional(),
  order: z.number().min(-1e9).max(1e9).optional(),
  hidden: z.literal(true).optional(),
  searchTitle: z.string().max(LONGEST_SEARCH_TITLE, "This title is too long for any search engine.").optional(),
  description: z.string().max(LONGEST_DESCRIPTION, "This description is too long for any search engine.").optional(),
  picture: z.string().max(40).optional(),
  unlisted: z.literal(true).optional(),
  header: z.literal([false, "own"]).optional(),
  footer: z.literal([false, "own"]).optional(),
  journal: z.literal(true).optional(),
  at: z
    .string()
    .regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/, "A post needs a day and a time.")
    .optional(),
  author: z.string().max(LONGEST_AUTHOR, `Keep the name to ${LONGEST_AUTHOR} characters.`).optional(),
  tags: z
    .array(z.string().trim().min(1).max(LONGEST_TAG, `Keep a tag to ${LONGEST_TAG} characters.`))
    .max(MOST_TAGS, `A post can have ${MOST_TAGS} tags.`)
    .optional(),
  summary: z.string().max(LONGEST_SUMMARY, `Keep the summary to ${LONGEST_SUMMARY} characters.`).optional(),
  css,
  own: z
    .record(z.string().regex(/^[a-z0-9]{1,20}$/), z.string().max(LONGEST_OWN_VALUE, "That is too long for a field."))
    .refine((values) => Object.keys(values).length <= MOST_OWN_FIELDS)
    .optional(),
});

/** The longest word for friends. */
export const LONGEST_WORD = 60;

const head = z.strictObject({
  proofs: z
    .array(
      z.strictObject({ name: z.string().max(80), content: z.string().max(300) }).superRefine((proof, check) => {
        const message = proofProblem(proof);
        if (message) check.addIssue({ code: "custom", message });
      }),
    )
    .max(MOST_PROOFS, `There can be ${MOST_PROOFS} proofs.`),
  bar: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .nullable(),
  early: z
    .array(z.string().refine((origin) => originIn(origin) === origin && !origin.includes("*")))
    .max(MOST_EARLY, `Browsers can turn to ${MOST_EARLY} places early; more makes all of them slower.`),
});

const spelling = z.string().trim().min(1).max(80, "A word of the list can have 80 characters.");
const spellings = z
  .array(z.strictObject({ say: spelling, instead: z.array(spelling).min(1).max(20) }))
  .max(MOST_SPELLINGS, `The list can have ${MOST_SPELLINGS} words.`);

const fields = z
  .array(
    z.strictObject({
      id: z.string().regex(/^[a-z0-9]{1,20}$/),
      name: z.string().trim().min(1, "A field needs a name.").max(LONGEST_OWN_NAME),
      sort: z.enum(OWN_SORTS),
      of: z.literal("product").optional(),
    }),
  )
  .max(2 * MOST_OWN_FIELDS)
  .refine(
    (all) => all.filter((f) => f.of).length <= MOST_OWN_FIELDS && all.filter((f) => !f.of).length <= MOST_OWN_FIELDS,
    `There can be ${MOST_OWN_FIELDS} own fields.`,
  )
  .refine(
    (all) => new Set(all.map((f) => `${f.of ?? ""} ${f.name}`)).size === all.length,
    "Two fields have the same name.",
  );

const siteRoot = z.strictObject({
  home: z.string().max(40).optional(),
  closed: z.literal(true).optional(),
  friends: z.string().max(LONGEST_WORD).optional(),
  head: head.optional(),
  spellings: spellings.optional(),
  fields: fields.optional(),
  css: z
    .string()
    .max(LONGEST_SHOP_CSS, `The CSS of the shop can have ${LONGEST_SHOP_CSS.toLocaleString("en")} characters.`)
    .optional(),
});

const NOTHING = z.strictObject({});

const ROOTS = {
  layout: layoutRoot,
  page: pageRoot,
  site: siteRoot,
  frame: NOTHING,
  menu: NOTHING,
  piece: NOTHING,
  shared: NOTHING,
  offer: offerRoot,
  season: seasonRoot,
  selling: sellingRoot,
  letters: lettersRoot,
} as const;

/** How deep the items of a menu go. */
const depthOf = (part: Part): number =>
  Math.max(0, ...Object.values(part.slots).flatMap((inside) => inside.map((child) => 1 + depthOf(child))));

/** Why what a document says of itself may not be like that; undefined where it may. */
export function documentProblem(document: PageDocument): string | undefined {
  const parsed = ROOTS[document.kind].safeParse(document.root.props);
  if (!parsed.success) return parsed.error.issues[0]!.message;
  if (document.kind === "offer") {
    const when = conditionsSchema.safeParse(document.root.conditions);
    if (!when.success) return when.error.issues[0]!.message;
  }
  if (document.kind === "season") {
    const why = datesProblem(document.root.conditions);
    if (why) return why;
  }
  if (document.kind === "shared") {
    const [section, ...more] = document.root.slots.main ?? [];
    if (!section || more.length) return "A shared section is one section.";
    if (section.kind === SHARED) return "A shared section can’t be shared once more.";
  }
  if (document.kind === "menu" && depthOf(document.root) > MENU_LEVELS)
    return `A menu can be ${MENU_LEVELS} levels deep.`;
  return undefined;
}
