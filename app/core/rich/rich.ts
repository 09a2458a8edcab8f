import { z } from "zod";
import { TEXT_ROLES } from "../cascade";
import { withoutEnd, sameJson, type Json } from "../document";
import { LIVE_NAMES, OFFER_FACT_NAMES, type Live } from "../live/names";
import { linkSchema, type Link } from "../schema/links";

// Running text with a shape: paragraphs, heads, lists, tables, and letters that differ. Stored as a tree of plain JSON, in the
// form in which the editor reads and writes it. Text that has no shape but paragraphs and line breaks is stored as a plain
// string, so that it stays easy to search, compare and export.

/** Roles that words can be marked with, each of which has a role for words on it. */
export const HIGHLIGHTS = ["brand", "accent", "new", "sale"] as const;
export const RICH_SIZES = [-1, 1, 2, 3, 4] as const;
export const ALIGNMENTS = ["start", "center", "end"] as const;
/** Where a picture stands in running text: words flow around it at the start and the end; elsewhere it has its own line. */
export const FIGURE_SIDES = ["start", "end", "middle"] as const;
export const FIGURE_WIDTHS = ["third", "half", "whole"] as const;
/** How a call-out stands out from its text. */
export const CALLOUT_TONES = ["quiet", "brand", "accent"] as const;
/** What stands in a line of text. */
const INLINE: ReadonlySet<string> = new Set(["text", "hardBreak", "liveField", "footnote"]);
export const isInline = ({ type }: RichNode): boolean => INLINE.has(type);

/** How letters differ from those around them. */
export type Letters = {
  readonly size?: (typeof RICH_SIZES)[number] | null | undefined;
  readonly face?: "heads" | "text" | null | undefined;
  readonly ink?: (typeof TEXT_ROLES)[number] | null | undefined;
  readonly back?: (typeof HIGHLIGHTS)[number] | null | undefined;
};
export type RichMark =
  | { readonly type: "bold" | "italic" | "underline" | "strike" }
  | { readonly type: "letters"; readonly attrs: Letters }
  | { readonly type: "link"; readonly attrs: { readonly link: Link } };

export type RichNode = {
  readonly type: string;
  readonly text?: string;
  readonly marks?: readonly RichMark[];
  readonly attrs?: Readonly<Record<string, Json>>;
  readonly content?: readonly RichNode[];
};
export type RichDocument = RichNode & { readonly type: "doc" };
export type Rich = string | RichDocument;

export const lettersSchema = z.strictObject({
  size: z.literal(RICH_SIZES).nullish(),
  face: z.enum(["heads", "text"]).nullish(),
  ink: z.enum(TEXT_ROLES).nullish(),
  back: z.enum(HIGHLIGHTS).nullish(),
});
const mark: z.ZodType<RichMark> = z.union([
  z.strictObject({ type: z.enum(["bold", "italic", "underline", "strike"]) }),
  z.strictObject({ type: z.literal("letters"), attrs: lettersSchema }),
  z.strictObject({ type: z.literal("link"), attrs: z.strictObject({ link: linkSchema }) }),
]);
/** How much a text may hold, beside its characters. */
export const RICH_LIMITS = {
  marks: 6,
  span: 20,
  /** Pieces of a line that differ from each other. */
  inlines: 400,
  inItem: 20,
  items: 200,
  /** Lists in lists. */
  depth: 4,
  inQuote: 50,
  inCell: 20,
  columns: 12,
  rows: 60,
  blocks: 400,
  /** Letters of a footnote, and of what is written beneath a picture. */
  footnote: 600,
  caption: 200,
} as const;

const marks = z.array(mark).max(RICH_LIMITS.marks).optional();
const align = z.enum(ALIGNMENTS).nullish();
const span = z.number().int().min(1).max(RICH_LIMITS.span).optional();

export const liveFieldSchema: z.ZodType<Live> = z.union([
  z.strictObject({ field: z.enum(LIVE_NAMES), offer: z.null().optional() }),
  z.strictObject({ field: z.enum(OFFER_FACT_NAMES), offer: z.string().min(1).max(40) }),
]);
export const footnoteSchema = z.strictObject({ text: z.string().min(1).max(RICH_LIMITS.footnote) });
const caption = z.string().max(RICH_LIMITS.caption).nullish();
const width = z.enum(FIGURE_WIDTHS).nullish();
const side = z.enum(FIGURE_SIDES).nullish();
/** A picture of the library in running text. */
export const figureSchema = z.strictObject({ picture: z.string().min(1).max(40), side, width, caption });
/** A film of the shop's own, with the browser's controls. */
export const filmSchema = z.strictObject({ film: z.string().min(1).max(80), side, width, caption });
export const calloutSchema = z.strictObject({ tone: z.enum(CALLOUT_TONES).nullish() });

const inline = z.union([
  z.strictObject({ type: z.literal("text"), text: z.string().min(1), marks }),
  z.strictObject({ type: z.literal("hardBreak"), marks }),
  z.strictObject({ type: z.literal("liveField"), attrs: liveFieldSchema, marks }),
  z.strictObject({ type: z.literal("footnote"), attrs: footnoteSchema, marks }),
]);
const inlines = z.array(inline).max(RICH_LIMITS.inlines).optional();
const paragraph = z.strictObject({
  type: z.literal("paragraph"),
  attrs: z.strictObject({ align }).optional(),
  content: inlines,
});
const heading = z.strictObject({
  type: z.literal("heading"),
  attrs: z.strictObject({ level: z.literal([2, 3, 4]), align }),
  content: inlines,
});
const rule = z.strictObject({ type: z.literal("horizontalRule") });
const listItem: z.ZodType<RichNode> = z.lazy(() =>
  z.strictObject({
    type: z.literal("listItem"),
    content: z
      .array(z.union([paragraph, list]))
      .min(1)
      .max(RICH_LIMITS.inItem),
  }),
) as unknown as z.ZodType<RichNode>;
const list: z.ZodType<RichNode> = z.lazy(() =>
  z.union([
    z.strictObject({ type: z.literal("bulletList"), content: z.array(listItem).min(1).max(RICH_LIMITS.items) }),
    z.strictObject({
      type: z.literal("orderedList"),
      attrs: z
        .strictObject({ start: z.number().int().min(0).max(9999).optional(), type: z.null().optional() })
        .optional(),
      content: z.array(listItem).min(1).max(RICH_LIMITS.items),
    }),
  ]),
) as unknown as z.ZodType<RichNode>;
const quote = z.strictObject({
  type: z.literal("blockquote"),
  content: z
    .array(z.union([paragraph, list]))
    .min(1)
    .max(RICH_LIMITS.inQuote),
});
const callout = z.strictObject({
  type: z.literal("callout"),
  attrs: calloutSchema.optional(),
  content: z
    .array(z.union([paragraph, list]))
    .min(1)
    .max(RICH_LIMITS.inQuote),
});
const figure = z.strictObject({ type: z.literal("figure"), attrs: figureSchema });
const film = z.strictObject({ type: z.literal("film"), attrs: filmSchema });
const cell = z.strictObject({
  type: z.enum(["tableCell", "tableHeader"]),
  attrs: z
    .strictObject({ colspan: span, rowspan: span, colwidth: z.array(z.number()).max(20).nullish(), align })
    .optional(),
  content: z
    .array(z.union([paragraph, list]))
    .min(1)
    .max(RICH_LIMITS.inCell),
});
const table = z.strictObject({
  type: z.literal("table"),
  content: z
    .array(z.strictObject({ type: z.literal("tableRow"), content: z.array(cell).max(RICH_LIMITS.columns).optional() }))
    .min(1)
    .max(RICH_LIMITS.rows),
});
const plainBlocks = [paragraph, heading, list, quote, callout, rule, table] as const;

function listDepth(node: RichNode): number {
  const inner = Math.max(0, ...(node.content ?? []).map(listDepth));
  return /List$/.test(node.type) ? inner + 1 : inner;
}

const documentOf = (block: z.ZodType) =>
  z.strictObject({
    type: z.literal("doc"),
    content: z.array(block).max(RICH_LIMITS.blocks).optional(),
  }) as unknown as z.ZodType<RichDocument>;
const plainDocument = documentOf(z.union(plainBlocks));
const figuredDocument = documentOf(z.union([...plainBlocks, figure, film]));

/** The text of one node and what is in it; blocks end in a line break, paragraphs in two. */
function textOf(node: RichNode): string {
  if (node.type === "text") return node.text ?? "";
  if (node.type === "hardBreak") return "\n";
  if (node.type === "liveField") return `{${String(node.attrs?.field)}}`;
  if (node.type === "figure" || node.type === "film")
    return node.attrs?.caption ? `${String(node.attrs.caption)}\n\n` : "";
  const inner = (node.content ?? []).map(textOf).join(node.type === "tableRow" ? "\t" : "");
  if (node.type === "paragraph" || node.type === "heading") return `${inner}\n\n`;
  return inner;
}

/** Running text without its shape: paragraphs apart by an empty line, live fields by their names in braces, without its footnotes. */
export const plainOf = (rich: Rich): string =>
  typeof rich === "string" ? rich : withoutEnd(textOf(rich).replace(/\n{3,}/g, "\n\n"), "\n");

/** Whether a text shows nothing at all. */
export const isBlank = (rich: Rich): boolean =>
  plainOf(rich).trim() === "" &&
  ["figure", "film", "horizontalRule", "table"].every((type) => nodesIn(rich, type).length === 0);

/** How long a text with a shape may be as plain text: what stands between its parts counts there as well. */
export const mostShaped = (most: number): number => most * 1.05 + 20;

/**
 * Values of a field of running text that holds at most `most` characters, not counting what makes its shape. `isFigured`: pictures and films
 * may stand in it.
 */
export const richSchema = (most: number, isFigured = false): z.ZodType<Rich> =>
  z.union([
    z.string().max(most, `This can have ${most} characters.`),
    (isFigured ? figuredDocument : plainDocument)
      .refine((d) => plainOf(d).length <= mostShaped(most), `This can have ${most} characters.`)
      .refine((d) => listDepth(d) <= RICH_LIMITS.depth, `Lists can be ${RICH_LIMITS.depth} deep.`),
  ]);

/** The tree of a text: of a plain string, its paragraphs (apart by empty lines) and line breaks. */
export function treeOf(rich: Rich): RichDocument {
  if (typeof rich !== "string") return rich;
  const content = rich.split(/\n{2,}/).map((text): RichNode => {
    const lines = text
      .split("\n")
      .flatMap((line, i): RichNode[] => [
        ...(i ? [{ type: "hardBreak" }] : []),
        ...(line ? [{ type: "text", text: line }] : []),
      ]);
    return lines.length ? { type: "paragraph", content: lines } : { type: "paragraph" };
  });
  return { type: "doc", content };
}

/** Drops what says nothing: attributes that are null, marks of letters that differ in nothing, empty lists of marks. */
export function tidy(node: RichNode): RichNode {
  const known = (values: Readonly<Record<string, unknown>>) =>
    Object.fromEntries(Object.entries(values).filter(([, v]) => v !== null && v !== undefined));
  const kept = (node.marks ?? []).flatMap((m): readonly RichMark[] => {
    if (m.type !== "letters") return [m];
    const attrs = known(m.attrs);
    return Object.keys(attrs).length ? [{ type: "letters", attrs }] : [];
  });
  const attrs = node.attrs ? (known(node.attrs) as Record<string, Json>) : {};
  if (attrs.colspan === 1) delete attrs.colspan;
  if (attrs.rowspan === 1) delete attrs.rowspan;
  if (attrs.start === 1) delete attrs.start;
  return {
    type: node.type,
    ...(node.text === undefined ? {} : { text: node.text }),
    ...(Object.keys(attrs).length ? { attrs } : {}),
    ...(kept.length ? { marks: kept } : {}),
    ...(node.content ? { content: node.content.map(tidy) } : {}),
  };
}

/** The stored form of a tree: tidied, and a plain string where it has no shape that the string would not give back. */
export function storedOf(tree: RichDocument): Rich {
  const tidied = tidy(tree) as RichDocument;
  const plain = plainOf(tidied);
  return sameJson(treeOf(plain), tidied) ? plain : tidied;
}

/** The nodes of a text that are of one type, in reading order. */
export function nodesIn(rich: Rich, type: string): readonly RichNode[] {
  const found: RichNode[] = [];
  const enter = (node: RichNode) => {
    if (node.type === type) found.push(node);
    node.content?.forEach(enter);
  };
  if (typeof rich !== "string") enter(rich);
  return found;
}

/** Links in a text, in reading order, with the words that carry them. */
export function linksIn(rich: Rich): readonly { readonly words: string; readonly link: Link }[] {
  const found: { words: string; link: Link }[] = [];
  const enter = (node: RichNode) => {
    const link = node.marks?.find((m) => m.type === "link");
    if (link?.type === "link") found.push({ words: node.text ?? "", link: link.attrs.link });
    node.content?.forEach(enter);
  };
  if (typeof rich !== "string") enter(rich);
  return found;
}
