import type { Element, Root, RootContent } from "hast";
import { RICH_LIMITS, type RichDocument, type RichMark, type RichNode } from "../rich";
import { linkSchema, type Link } from "../schema/links";

// Running text out of a tree of HTML (hast), as it comes from Markdown and from feeds: what running text has is kept, what it doesn't
// have becomes what is nearest, and what is left out is counted.

/** What came of a text: how it is now, and what of it is not there. */
export type Taken = {
  readonly tree: RichDocument;
  /** Pictures that it showed. */
  readonly pictures: number;
  /** Frames, films, scripts and the like. */
  readonly others: number;
  /** Links that lead nowhere here: to places within a site that is not this one. */
  readonly links: number;
};

type Marks = readonly RichMark[];
type Count = { pictures: number; others: number; links: number; readonly notes: ReadonlyMap<string, string> };

const MARK_OF = new Map<string, RichMark>([
  ["strong", { type: "bold" }],
  ["b", { type: "bold" }],
  ["em", { type: "italic" }],
  ["i", { type: "italic" }],
  ["cite", { type: "italic" }],
  ["dfn", { type: "italic" }],
  ["u", { type: "underline" }],
  ["ins", { type: "underline" }],
  ["s", { type: "strike" }],
  ["del", { type: "strike" }],
  ["strike", { type: "strike" }],
]);
const SILENT = new Set(["script", "style", "template", "noscript", "head", "title", "textarea", "select"]);
const OTHERS = new Set(["iframe", "object", "embed", "video", "audio", "form", "svg", "math", "canvas", "script"]);
const BLOCKS = new Set([
  ...["p", "h1", "h2", "h3", "h4", "h5", "h6", "ul", "ol", "li", "blockquote", "hr", "table", "pre", "dl", "dt", "dd"],
  ...["div", "section", "article", "aside", "header", "footer", "main", "nav", "figure", "figcaption", "address"],
  ...["details", "summary", "fieldset", "thead", "tbody", "tfoot", "tr", "td", "th", "caption"],
]);

const isBlock = (node: Element): boolean => BLOCKS.has(node.tagName);
const holdsBlock = (node: RootContent): boolean =>
  node.type === "element" && (BLOCKS.has(node.tagName) || node.children.some(holdsBlock));

/** The link that an address makes; undefined where it leads nowhere from here. */
function linkOf(href: unknown): Link | undefined {
  const address = typeof href === "string" ? href.trim() : "";
  const lower = address.toLowerCase();
  const link = lower.startsWith("mailto:")
    ? { to: "mail", address: address.slice(7).split("?")[0] }
    : lower.startsWith("tel:")
      ? { to: "phone", number: address.slice(4) }
      : { to: "web", address };
  const parsed = linkSchema.safeParse(link);
  return parsed.success ? parsed.data : undefined;
}

const withMark = (marks: Marks, mark: RichMark): Marks =>
  marks.some((each) => each.type === mark.type) ? marks : [...marks, mark];

/** Inline content in order; white space is still as it was written. */
function inlinesOf(nodes: readonly RootContent[], marks: Marks, count: Count, isKept = false): RichNode[] {
  return nodes.flatMap((node): RichNode[] => {
    if (node.type === "text") {
      const text = isKept ? node.value.replace(/\t/g, "    ") : node.value.replace(/[ \t\n\r\f]+/g, " ");
      // What is set out by hand keeps its lines.
      const lines = isKept ? text.split("\n") : [text];
      return lines.flatMap((line, i): RichNode[] => [
        ...(i > 0 ? [{ type: "hardBreak" }] : []),
        ...(line ? [{ type: "text", text: line, ...(marks.length ? { marks } : {}) }] : []),
      ]);
    }
    if (node.type !== "element") return [];
    if (OTHERS.has(node.tagName)) count.others++;
    if (SILENT.has(node.tagName) || OTHERS.has(node.tagName)) return [];
    if (node.tagName === "br") return [{ type: "hardBreak" }];
    if (node.tagName === "img") {
      count.pictures++;
      return [];
    }
    if (node.tagName === "a") {
      const note = "dataFootnoteRef" in node.properties ? count.notes.get(addressOf(node)) : undefined;
      if (note) return [{ type: "footnote", attrs: { text: note } }];
      const link = linkOf(node.properties.href);
      if (!link && node.properties.href !== undefined) count.links++;
      const within = link ? withMark(marks, { type: "link", attrs: { link } }) : marks;
      return inlinesOf(node.children, within, count, isKept);
    }
    const mark = MARK_OF.get(node.tagName);
    return inlinesOf(node.children, mark ? withMark(marks, mark) : marks, count, isKept);
  });
}

/** Text as it is read: no space at its beginning, its end, around line breaks, nor two in a row (CSS Text 3, 4.1). */
function tidied(inlines: readonly RichNode[]): RichNode[] {
  const out: RichNode[] = [];
  let open = true;
  for (const node of inlines) {
    if (node.type === "footnote") {
      out.push(node);
      open = false;
      continue;
    }
    if (node.type === "hardBreak") {
      trimEnd(out);
      out.push(node);
      open = true;
      continue;
    }
    const text: string = open ? node.text!.replace(/^ +/, "") : node.text!;
    if (text === "") continue;
    out.push({ ...node, text });
    open = text.endsWith(" ");
  }
  trimEnd(out);
  while (out.at(-1)?.type === "hardBreak") out.pop();
  return out;
}

function trimEnd(nodes: RichNode[]): void {
  while (nodes.at(-1)?.type === "text") {
    const last = nodes.pop()!;
    const text = last.text!.trimEnd();
    if (text !== "") return void nodes.push({ ...last, text });
  }
}

const paragraph = (content: readonly RichNode[]): RichNode => ({
  type: "paragraph",
  ...(content.length ? { content } : {}),
});
const plainBlocks = new Set(["paragraph", "bulletList", "orderedList"]);
/** What can stand in items, quotations and cells: paragraphs and lists; other blocks are taken apart. */
const simple = (blocks: readonly RichNode[]): RichNode[] => {
  const found = blocks.flatMap((block): RichNode[] =>
    plainBlocks.has(block.type)
      ? [block]
      : block.type === "heading"
        ? [paragraph(block.content ?? [])]
        : simple(block.content ?? []),
  );
  return found.length ? found : [paragraph([])];
};

function listOf(node: Element, count: Count): RichNode[] {
  const items = node.children
    .filter((child): child is Element => child.type === "element")
    .map((child) => ({
      type: "listItem",
      content: simple(blocksOf(child.tagName === "li" ? child.children : [child], count)),
    }));
  if (items.length === 0) return [];
  if (node.tagName === "ul") return [{ type: "bulletList", content: items }];
  const start = Number(node.properties.start ?? 1);
  const begins = Number.isInteger(start) && start >= 0 && start <= 9999 && start !== 1 ? { attrs: { start } } : {};
  return [{ type: "orderedList", ...begins, content: items }];
}

function* rowsIn(node: Element): Generator<Element> {
  for (const child of node.children) {
    if (child.type !== "element") continue;
    if (child.tagName === "tr") yield child;
    else if (child.tagName !== "table") yield* rowsIn(child);
  }
}

function tableOf(node: Element, count: Count): RichNode[] {
  const rows = [...rowsIn(node)].map((row) => ({
    type: "tableRow",
    content: row.children
      .filter((cell): cell is Element => cell.type === "element" && /^t[dh]$/.test(cell.tagName))
      .map((cell) => ({
        type: cell.tagName === "th" ? "tableHeader" : "tableCell",
        content: simple(blocksOf(cell.children, count)),
      })),
  }));
  return rows.some((row) => row.content.length) ? [{ type: "table", content: rows }] : [];
}

function blockOf(node: Element, count: Count): RichNode[] {
  const { tagName, children } = node;
  switch (tagName) {
    case "hr":
      return [{ type: "horizontalRule" }];
    case "ul":
    case "ol":
      return listOf(node, count);
    case "table":
      return tableOf(node, count);
    case "blockquote":
      return [{ type: "blockquote", content: simple(blocksOf(children, count)) }];
    case "pre": {
      const lines = inlinesOf(children, [], count, true);
      while (lines.at(-1)?.type === "hardBreak") lines.pop();
      return lines.length ? [paragraph(lines)] : [];
    }
    case "h1":
    case "h2":
    case "h3":
    case "h4":
    case "h5":
    case "h6": {
      // A page has one first heading, its title; of the others, running text has three sizes.
      const level = Math.min(4, Math.max(2, Number(tagName[1])));
      const content = tidied(inlinesOf(children, [], count));
      return content.length ? [{ type: "heading", attrs: { level, align: null }, content }] : [];
    }
    case "dt":
      return blocksOf([{ ...node, tagName: "p", children: [{ ...node, tagName: "strong" }] }], count);
    default:
      return blocksOf(children, count);
  }
}

/** Blocks of a run of nodes: what is not in one of its own makes paragraphs. */
function blocksOf(nodes: readonly RootContent[], count: Count): RichNode[] {
  const out: RichNode[] = [];
  let loose: RootContent[] = [];
  const close = () => {
    const content = tidied(inlinesOf(loose, [], count));
    if (content.length) out.push(paragraph(content));
    loose = [];
  };
  for (const node of nodes) {
    if (node.type === "element" && isBlock(node)) {
      close();
      out.push(...blockOf(node, count));
    } else if (node.type === "element" && holdsBlock(node)) {
      // A link around a heading, say: what is in it counts.
      close();
      out.push(...blocksOf(node.children, count));
    } else loose.push(node);
  }
  close();
  return out;
}

const addressOf = ({ properties }: Element): string => (typeof properties.href === "string" ? properties.href : "");

/** The words in a footnote, without the link that leads back from it. */
const wordsIn = (nodes: readonly RootContent[]): string =>
  nodes
    .map((node) => {
      if (node.type === "text") return node.value;
      if (node.type !== "element" || "dataFootnoteBackref" in node.properties) return "";
      return `${wordsIn(node.children)}${BLOCKS.has(node.tagName) ? " " : ""}`;
    })
    .join("");

/** What stands in the footnotes beneath a text, by the addresses that lead to them. */
function notesOf(section: Element): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  const enter = (node: RootContent) => {
    if (node.type !== "element") return;
    if (node.tagName === "li" && typeof node.properties.id === "string") {
      const text = wordsIn(node.children).replace(/\s+/g, " ").trim();
      if (text && text.length <= RICH_LIMITS.footnote) found.set(`#${node.properties.id}`, text);
    } else node.children.forEach(enter);
  };
  section.children.forEach(enter);
  return found;
}

/** Footnotes that say more than one can: they stay beneath the text, as a list. */
function tooLongIn(section: Element, notes: ReadonlyMap<string, string>): RootContent[] {
  const left = section.children.flatMap((each) =>
    each.type === "element" && each.tagName === "ol"
      ? each.children.filter((item) => item.type === "element" && !notes.has(`#${String(item.properties.id)}`))
      : [],
  );
  return left.length ? [{ type: "element", tagName: "ol", properties: {}, children: left }] : [];
}

const isNotes = (node: RootContent): node is Element => node.type === "element" && "dataFootnotes" in node.properties;

/** Running text out of a tree of HTML. */
export function richOf(tree: Root): Taken {
  const beneath = tree.children.find(isNotes);
  const count: Count = { pictures: 0, others: 0, links: 0, notes: beneath ? notesOf(beneath) : new Map() };
  const content = blocksOf(
    tree.children.flatMap((node) => (node === beneath ? tooLongIn(beneath, count.notes) : [node])),
    count,
  );
  const { pictures, others, links } = count;
  return { tree: { type: "doc", content: content.length ? content : [paragraph([])] }, pictures, others, links };
}
