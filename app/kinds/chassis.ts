import { z } from "zod";
import { PLACED, PROPERTIES } from "~/core/cascade";
import { entryOf, type Part } from "~/core/document";
import { placeName, viewSchema } from "~/core/schema";
import type { Definition } from "./definition";

// What every part has besides what its kind says.

/** What any section can have: a name for its place on the page, a picture behind it, a film over that picture, and CSS of its own. */
const sectionChassis = z.object({
  anchor: z.union([z.literal(""), placeName]).optional(),
  backdrop: z.string().max(40).nullable().optional(),
  backdropView: viewSchema,
  groundFilm: z.string().max(80).nullable().optional(),
  css: z.string().max(8000, "The CSS of a section can have 8000 characters.").optional(),
});
export type SectionChassis = z.infer<typeof sectionChassis>;

export const chassisOf = (node: Part): SectionChassis => node.props;

/** Why what a section has besides its kind is not allowed; undefined where it is. */
export function chassisProblem(node: Part): { readonly path: string; readonly why: string } | undefined {
  const parsed = sectionChassis.safeParse(node.props);
  if (parsed.success) return undefined;
  const issue = parsed.error.issues[0]!;
  return { path: issue.path.join("."), why: issue.message };
}

/**
 * Where a widget takes what it shows from: a field of the page, the product or the collection that it stands on. `empty`: what is shown where
 * that says nothing, what was written in the widget itself, or nothing at all.
 */
const boundSchema = z.strictObject({
  of: z.enum(["page", "product", "collection"]),
  field: z.string().min(1).max(100),
  empty: z.enum(["own", "nothing"]),
});
export type Bound = z.infer<typeof boundSchema>;

/** Where a widget takes what it shows from; undefined where it says that itself. */
export const boundOf = (node: Part): Bound | undefined => entryOf(node.props, "bound") as Bound | undefined;

/** Why a widget can't take what it shows from where it says; undefined where it can. */
export function boundProblem(
  node: Part,
  definition: Definition,
): { readonly path: string; readonly why: string } | undefined {
  const bound = entryOf(node.props, "bound");
  if (bound === undefined) return undefined;
  const isFine = definition.binds !== undefined && boundSchema.safeParse(bound).success;
  return isFine ? undefined : { path: "bound", why: "It can’t take what it shows from there." };
}

const SCRIM = ["scrim", "scrimFrom", "scrimTone"];
const OF_SECTIONS = [
  "sides",
  "breaks",
  "ink",
  "ground",
  "pattern",
  "edgeTop",
  "edgeBottom",
  "border",
  "round",
  "lift",
  "opacity",
  "sticky",
  "entrance",
  "drift",
];
/** How a row above every page stands to what is below it. */
export const OF_TOP: readonly string[] = ["lies", "shrinks"];
const OF_BOXES = ["above", "below", "pad", "order", "set", "border", "round", "lift", "opacity", "entrance", "hidden"];
/** What says nothing of something that is placed freely: it stands where it is put, and its letters are a share of its frame. */
export const OF_FLOW: readonly string[] = ["wide", "stand", "above", "below", "order", "headSize", "size"];
const OF_WIDGETS = ["wide", "stand", ...OF_BOXES, "hover", ...PLACED];

/** What has its place in a grid, and stands nowhere else. */
const OF_FIELDS = ["hidden"];

/** Style properties that a part has besides those its kind names, as it is now. */
export function moreStyles(definition: Definition, node: Part): readonly string[] {
  const has = new Set(definition.styles);
  const isOnPage = definition.slots.includes("main");
  const more =
    definition.level === "widget"
      ? definition.slots.includes("widgets")
        ? OF_WIDGETS
        : OF_FIELDS
      : definition.level === "column"
        ? OF_BOXES
        : isOnPage
          ? [...(chassisOf(node).backdrop ? SCRIM : []), ...OF_SECTIONS]
          : ["sticky", "ground", "pattern", "border", "lift"];
  // A section that stands elsewhere has no use for them; Details doesn't show them there.
  const above = definition.level === "section" && definition.slots.includes("top") ? OF_TOP : [];
  return [...more, ...above].filter((name) => !has.has(name));
}

/** Whether a part can have a style property. */
export const hasStyle = (definition: Definition, node: Part, property: string): boolean =>
  entryOf(PROPERTIES, property) !== undefined &&
  (definition.styles.includes(property) || moreStyles(definition, node).includes(property));
