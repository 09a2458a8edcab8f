import { sameJson } from "../document";
import {
  calloutSchema,
  figureSchema,
  filmSchema,
  isInline,
  mostShaped,
  plainOf,
  RICH_LIMITS,
  storedOf,
  tidy,
  type RichDocument,
  type RichNode,
} from "./rich";

// What is pasted from elsewhere may be larger than what a text can hold. It is fitted: what can be set out otherwise is, what can't
// be kept is left out, and each such thing is said in a sentence.

export type Fitted = {
  readonly tree: RichDocument;
  /** Whether anything had to be set out otherwise, or left out. */
  readonly isChanged: boolean;
  /** What was left out, in sentences. */
  readonly cut: readonly string[];
};

/** What stands in a line beside letters, by how many of them it counts for; a live field is about as long as a name. */
const LENGTHS: ReadonlyMap<string, number> = new Map([
  ["hardBreak", 1],
  ["footnote", 0],
]);
const isList = (node: RichNode) => node.type === "bulletList" || node.type === "orderedList";

/** A list of things in runs of at most `most`. */
function runs<T>(all: readonly T[], most: number): readonly (readonly T[])[] {
  if (all.length <= most) return [all];
  return Array.from({ length: Math.ceil(all.length / most) }, (_, i) => all.slice(i * most, (i + 1) * most));
}

/**
 * Fits a tree to what may be stored of a text of `most` characters. A tree that fits is given back as it is, but tidied. `isFigured`: pictures
 * and films may stand in it.
 */
export function fitRich(given: RichDocument, most: number, isFigured = false): Fitted {
  const whole = setOut(given, most, Infinity, isFigured);
  // Only what is too long is counted letter by letter.
  const stored = storedOf(whole.tree);
  return plainOf(stored).length <= (typeof stored === "string" ? most : mostShaped(most))
    ? whole
    : setOut(given, most, most, isFigured);
}

function setOut(given: RichDocument, most: number, space: number, isFigured: boolean): Fitted {
  const cut = new Set<string>();
  const limits = RICH_LIMITS;
  let room = space;
  let isFull = false;

  /** Takes characters from the room that there is; gives how many there were. */
  const take = (wanted: number): number => {
    const got = Math.min(room, wanted);
    room -= got;
    if (got < wanted) {
      isFull = true;
      cut.add(`There is room for ${most.toLocaleString("en")} characters; the rest was left out.`);
    }
    return got;
  };
  const inlinesOf = (nodes: readonly RichNode[]): readonly RichNode[] =>
    nodes.flatMap((node): readonly RichNode[] => {
      if (!isInline(node)) return node.content ? inlinesOf(node.content) : [];
      const marks = node.marks?.slice(0, limits.marks);
      const length = node.type === "text" ? (node.text ?? "").length : (LENGTHS.get(node.type) ?? 12);
      const got = take(length);
      if (node.type === "text")
        return got ? [{ ...node, text: node.text!.slice(0, got), ...(marks ? { marks } : {}) }] : [];
      return got === length ? [{ ...node, ...(marks ? { marks } : {}) }] : [];
    });
  /** Paragraphs and heads; one that holds too much becomes several. */
  const linesOf = (node: RichNode): readonly RichNode[] => {
    if (isFull) return [];
    const align = typeof node.attrs?.align === "string" ? { align: node.attrs.align } : {};
    const level =
      node.type === "heading" ? { level: Math.min(4, Math.max(2, Math.floor(Number(node.attrs?.level)) || 2)) } : {};
    const attrs = { attrs: { ...level, ...align } };
    const all = inlinesOf(node.content ?? []);
    take(Math.min(room, 2));
    return runs(all, limits.inlines).map((content): RichNode => ({
      type: node.type,
      ...attrs,
      ...(content.length ? { content } : {}),
    }));
  };
  /** The items of a list, those of lists that stand too deep among them. */
  const itemsOf = (list: RichNode, depth: number): readonly RichNode[] =>
    (list.content ?? []).flatMap((item): readonly RichNode[] => {
      if (isFull) return [];
      const after: RichNode[] = [];
      const own = (item.content ?? []).flatMap((part): readonly RichNode[] => {
        if (!isList(part)) return paragraphsOf(part);
        if (depth < limits.depth) return listsOf(part, depth + 1);
        after.push(...itemsOf(part, depth));
        return [];
      });
      const first = own[0] && isList(own[0]) ? [{ type: "paragraph" }, ...own] : own;
      const here = runs(first, limits.inItem)
        .filter((content) => content.length)
        .map((content): RichNode => ({ type: "listItem", content }));
      return [...here, ...after];
    });
  const listsOf = (list: RichNode, depth: number): readonly RichNode[] => {
    const start = Math.min(9_000, Math.max(0, Math.floor(Number(list.attrs?.start ?? 1)) || 0));
    return runs(itemsOf(list, depth), limits.items)
      .filter((content) => content.length)
      .map((content, i): RichNode => {
        const from = start + i * limits.items;
        const attrs = list.type === "orderedList" && from !== 1 ? { attrs: { start: Math.min(from, 9_999) } } : {};
        return { type: list.type, ...attrs, content };
      });
  };
  /** Anything as paragraphs; what is no paragraph gives its words. */
  const paragraphsOf = (node: RichNode): readonly RichNode[] => {
    if (node.type === "paragraph") return linesOf(node);
    if (isInline(node)) return linesOf({ type: "paragraph", content: [node] });
    if (node.type === "heading") return linesOf({ type: "paragraph", content: node.content ?? [] });
    if (node.type === "figure" || node.type === "film")
      cut.add("Pictures and films can’t stand in a list, a table, a quotation or a call-out; they were left out.");
    return (node.content ?? []).flatMap(paragraphsOf);
  };
  /** What stands in a cell or a quotation. */
  const insideOf = (nodes: readonly RichNode[], mostInside: number, where: string): readonly RichNode[] => {
    const all = nodes.flatMap((node) => (isList(node) ? listsOf(node, 1) : paragraphsOf(node)));
    if (all.length > mostInside)
      cut.add(`There is room for ${mostInside} paragraphs in ${where}; the rest was left out.`);
    if (all.length) return all.slice(0, mostInside);
    take(2);
    return [{ type: "paragraph" }];
  };
  const spanOf = (value: unknown) => Math.min(limits.span, Math.max(1, Math.floor(Number(value ?? 1)) || 1));
  const tablesOf = (table: RichNode): readonly RichNode[] => {
    const rows = (table.content ?? []).flatMap((row): readonly RichNode[] => {
      if (isFull) return [];
      const cells = row.content ?? [];
      if (cells.length > limits.columns)
        cut.add(`A table has ${limits.columns} columns at most; the others were left out.`);
      const fitted: RichNode = {
        type: "tableRow",
        content: cells.slice(0, limits.columns).map((cell): RichNode => {
          const align = cell.attrs?.align;
          return {
            type: cell.type === "tableHeader" ? "tableHeader" : "tableCell",
            attrs: {
              colspan: Math.min(limits.columns, spanOf(cell.attrs?.colspan)),
              rowspan: spanOf(cell.attrs?.rowspan),
              ...(typeof align === "string" ? { align } : {}),
            },
            content: insideOf(cell.content ?? [], limits.inCell, "a cell"),
          };
        }),
      };
      take(Math.min(cells.length, limits.columns));
      // Half a row says something else than a whole one.
      return isFull ? [] : [fitted];
    });
    return runs(rows, limits.rows)
      .filter((content) => content.length)
      .map((content): RichNode => ({ type: "table", content }));
  };
  const blocksOf = (node: RichNode): readonly RichNode[] => {
    if (isFull) return [];
    switch (node.type) {
      case "paragraph":
      case "heading":
        return linesOf(node);
      case "bulletList":
      case "orderedList":
        return listsOf(node, 1);
      case "blockquote":
        return [{ type: "blockquote", content: insideOf(node.content ?? [], limits.inQuote, "a quotation") }];
      case "callout":
        return [
          {
            type: "callout",
            ...(calloutSchema.safeParse(node.attrs).success ? { attrs: node.attrs! } : {}),
            content: insideOf(node.content ?? [], limits.inQuote, "a call-out"),
          },
        ];
      case "figure":
      case "film":
        if (!isFigured) cut.add("Pictures and films can’t stand in this text; they were left out.");
        return isFigured && (node.type === "figure" ? figureSchema : filmSchema).safeParse(node.attrs).success
          ? [node]
          : [];
      case "table":
        return tablesOf(node);
      case "horizontalRule":
        return [{ type: "horizontalRule" }];
      default:
        return paragraphsOf(node);
    }
  };
  const before = tidy(given);
  const all = (given.content ?? []).flatMap(blocksOf);
  if (all.length > limits.blocks) cut.add(`There is room for ${limits.blocks} paragraphs; the rest was left out.`);
  const tree = tidy({ type: "doc", content: all.slice(0, limits.blocks) }) as RichDocument;
  return { tree, isChanged: !sameJson(tree, before), cut: [...cut] };
}
