import { raw } from "hast-util-raw";
import type { Root } from "hast";
import type { Paragraph, PhrasingContent, Root as Markdown, RootContent, TableRow } from "mdast";
import { fromMarkdown } from "mdast-util-from-markdown";
import { gfmFromMarkdown, gfmToMarkdown } from "mdast-util-gfm";
import { toHast } from "mdast-util-to-hast";
import { toMarkdown } from "mdast-util-to-markdown";
import { gfm } from "micromark-extension-gfm";
import { parse, stringify } from "yaml";
import { treeOf, type Rich, type RichNode } from "../rich";
import type { Link } from "../schema/links";
import { clockIn, type PostIn } from "./post";
import { richOf, type Taken } from "./rich-of";

/** Running text out of Markdown (CommonMark 0.31, with the tables and struck words of GitHub Flavored Markdown). */
export function richFromMarkdown(markdown: string): Taken {
  const tree = fromMarkdown(markdown, { extensions: [gfm()], mdastExtensions: [gfmFromMarkdown()] });
  return richOf(raw(toHast(tree, { allowDangerousHtml: true })) as Root);
}

const FRONT = /^\ufeff?---[ \t]*\r?\n([\s\S]*?)\r?\n(?:---|\.\.\.)[ \t]*(?:\r?\n|$)/;

const wordsOf = (value: unknown): string =>
  typeof value === "string" ? value.trim() : typeof value === "number" || value instanceof Date ? String(value) : "";

/** Several words: as a list, or in one line with commas between. */
const listOf = (value: unknown): readonly string[] =>
  (Array.isArray(value) ? value.map(wordsOf) : wordsOf(value).split(",")).map((word) => word.trim()).filter(Boolean);

/** What stands before a file’s text, by its keys in small letters; a problem where it can't be read. */
function frontOf(file: string): {
  readonly said: ReadonlyMap<string, unknown>;
  readonly body: string;
  readonly why?: string;
} {
  const found = FRONT.exec(file);
  if (!found) return { said: new Map<string, unknown>(), body: file.replace(/^\ufeff/, "") };
  const body = file.slice(found[0].length);
  try {
    // Dates stay as they were written, and nothing but plain values is made.
    const value: unknown = parse(found[1]!, { schema: "core", maxAliasCount: 50 });
    const isMap = typeof value === "object" && value !== null && !Array.isArray(value);
    const said = new Map<string, unknown>(
      isMap ? Object.entries(value).map(([key, each]) => [key.toLowerCase(), each as unknown]) : [],
    );
    return { said, body };
  } catch {
    return { said: new Map<string, unknown>(), body, why: "What stands between the lines of hyphens can’t be read." };
  }
}

/** The heading of the first level with which a text begins, as it is read, and what is after it. */
function headOf(body: string): { readonly head: string; readonly rest: string } {
  const begun = body.trimStart();
  if (!/^#[ \t]/.test(begun)) return { head: "", rest: body };
  const end = begun.search(/\r?\n/);
  const line = end < 0 ? begun : begun.slice(0, end);
  const words = line
    .slice(1)
    .trim()
    .split(/[ \t]+/);
  // Signs that close the line are no part of it.
  if (words.length > 1 && /^#+$/.test(words.at(-1)!)) words.pop();
  return { head: words.join(" "), rest: end < 0 ? "" : begun.slice(end) };
}

/** A post out of a Markdown file with or without front matter (YAML 1.2). `name`: of the file. */
export function postFromMarkdown(file: string, name: string): PostIn & { readonly why?: string } {
  const { said, body, why } = frontOf(file);
  const first = (...keys: string[]) => keys.map((key) => wordsOf(said.get(key))).find(Boolean) ?? "";
  const { head, rest } = headOf(body);
  const stem = name.replace(/^.*[/\\]/, "").replace(/\.[^.]*$/, "");
  const dated = /^(\d{4}-\d{2}-\d{2})[-_ ]?(.*)$/.exec(stem);
  const title = first("title") || head || (dated?.[2] || stem).replace(/[-_]+/g, " ");
  const text = head && (!first("title") || head === first("title")) ? rest : body;
  return {
    title,
    slug: first("slug") || (said.size && dated ? dated[2]! : ""),
    at: clockIn(first("date", "published", "publishdate")) || clockIn(dated?.[1] ?? ""),
    author: first("author") || listOf(said.get("authors")).join(", "),
    tags: [...new Set([...listOf(said.get("tags")), ...listOf(said.get("categories"))])],
    summary: first("summary", "description", "excerpt"),
    isDraft: said.get("draft") === true || said.get("published") === false,
    text: richFromMarkdown(text),
    ...(why ? { why } : {}),
  };
}

/** What is written out of a post: front matter and blocks of running text. */
export type PostOut = Omit<PostIn, "text"> & { readonly blocks: readonly RichNode[] };

const ofType = (type: string) => (node: RichNode) => node.type === type;

type Ways = {
  /** Where a link leads; undefined where that is nowhere. */
  readonly href: (link: Link) => string | undefined;
  /** What the footnotes say that have come so far. */
  readonly notes: string[];
};

/** Markdown of running text. */
function phrasing(nodes: readonly RichNode[] = [], ways: Ways): PhrasingContent[] {
  return nodes.flatMap((node): PhrasingContent[] => {
    if (node.type === "hardBreak") return [{ type: "break" }];
    if (node.type === "footnote") {
      const identifier = String(ways.notes.push(String(node.attrs?.text)));
      return [{ type: "footnoteReference", identifier, label: identifier }];
    }
    if (node.type === "image")
      return [{ type: "image", url: String(node.attrs?.src), alt: String(node.attrs?.alt ?? "") }];
    const text = node.type === "liveField" ? `{${String(node.attrs?.field)}}` : (node.text ?? "");
    if (text === "") return [];
    let made: PhrasingContent = { type: "text", value: text };
    for (const mark of node.marks ?? []) {
      if (mark.type === "bold") made = { type: "strong", children: [made] };
      else if (mark.type === "italic") made = { type: "emphasis", children: [made] };
      else if (mark.type === "strike") made = { type: "delete", children: [made] };
      else if (mark.type === "link") {
        const url = ways.href(mark.attrs.link);
        if (url !== undefined) made = { type: "link", url, children: [made] };
      }
    }
    return [made];
  });
}

const cellsOf = (row: RichNode, ways: Ways): TableRow => ({
  type: "tableRow",
  children: (row.content ?? []).map((cell) => ({
    type: "tableCell",
    // A cell of a Markdown table is one line.
    children: (cell.content ?? []).flatMap((block, i) => [
      ...(i > 0 ? [{ type: "text", value: " " } as const] : []),
      ...phrasing(block.content, ways).map((each) =>
        each.type === "break" ? ({ type: "text", value: " " } as const) : each,
      ),
    ]),
  })),
});

function blocks(nodes: readonly RichNode[] = [], ways: Ways): RootContent[] {
  return nodes.flatMap((node): RootContent[] => {
    switch (node.type) {
      case "paragraph": {
        const children = phrasing(node.content, ways);
        return children.length ? [{ type: "paragraph", children }] : [];
      }
      case "heading":
        return [{ type: "heading", depth: node.attrs?.level as 2 | 3 | 4, children: phrasing(node.content, ways) }];
      case "horizontalRule":
        return [{ type: "thematicBreak" }];
      case "blockquote":
      case "callout":
        return [{ type: "blockquote", children: blocks(node.content, ways) as [] }];
      case "bulletList":
      case "orderedList":
        return [
          {
            type: "list",
            ordered: node.type === "orderedList",
            start: node.type === "orderedList" ? Number(node.attrs?.start ?? 1) : null,
            spread: false,
            children: (node.content ?? []).filter(ofType("listItem")).map((item) => ({
              type: "listItem",
              spread: false,
              children: blocks(item.content, ways) as [],
            })),
          },
        ];
      case "table":
        return [{ type: "table", children: (node.content ?? []).map((row) => cellsOf(row, ways)) }];
      default:
        return [];
    }
  });
}

/** Markdown (CommonMark, with GitHub Flavored tables and footnotes) of blocks of running text. */
export function markdownOf(nodes: readonly RichNode[], href: Ways["href"]): string {
  const notes: string[] = [];
  const said = blocks(nodes, { href, notes });
  const beneath = notes.map((value, i): RootContent => {
    const identifier = String(i + 1);
    const children: [Paragraph] = [{ type: "paragraph", children: [{ type: "text", value }] }];
    return { type: "footnoteDefinition", identifier, label: identifier, children };
  });
  const tree: Markdown = { type: "root", children: [...said, ...beneath] };
  return toMarkdown(tree, { extensions: [gfmToMarkdown()], bullet: "-", rule: "-", emphasis: "_" });
}

/** The blocks of running text, whatever form it is stored in. */
export const blocksOfRich = (rich: Rich): readonly RichNode[] => treeOf(rich).content ?? [];

/** A Markdown file with front matter. */
export function markdownFile(post: PostOut, href: Ways["href"]): string {
  const { title, slug, at, author, tags, summary, isDraft } = post;
  const front = {
    title,
    ...(slug ? { slug } : {}),
    ...(at ? { date: at } : {}),
    ...(author ? { author } : {}),
    ...(tags.length ? { tags } : {}),
    ...(summary ? { summary } : {}),
    ...(isDraft ? { draft: true } : {}),
  };
  return `---\n${stringify(front, { lineWidth: 0 })}---\n\n${markdownOf(post.blocks, href)}`;
}
