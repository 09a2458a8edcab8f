import { entryOf } from "~/core/document";
import { createElement, type ReactNode } from "react";
import {
  treeOf,
  type Letters,
  type LiveField,
  type Rich as RichValue,
  type RichMark,
  type RichNode,
} from "~/core/rich";
import { CONTENTS, headingPlace } from "../outline-places";
import { useEnv, useNodeId, type KindEnv } from "./env";

/** Class names by which letters differ from those around them. */
export const lettersClass = ({ size, face, ink, back }: Letters): string =>
  [size ? `size-${size}` : "", face ? `in-${face}` : "", ink ? `ink-${ink}` : "", back ? `back back-${back}` : ""]
    .filter(Boolean)
    .join(" ");

const PLAIN_MARKS = { bold: "strong", italic: "em", underline: "u", strike: "s" } as const;
// Outermost first, so that neighbours with the same marks are nested alike.
const MARK_ORDER: readonly RichMark["type"][] = ["link", "letters", "bold", "italic", "underline", "strike"];

function marked(text: ReactNode, marks: readonly RichMark[], { href, studio }: KindEnv): ReactNode {
  const sorted = [...marks].sort((a, b) => MARK_ORDER.indexOf(b.type) - MARK_ORDER.indexOf(a.type));
  return sorted.reduce<ReactNode>((inner, mark) => {
    if (mark.type === "letters") {
      return createElement(mark.attrs.back ? "mark" : "span", { className: lettersClass(mark.attrs) }, inner);
    }
    if (mark.type === "link") {
      const address = href(mark.attrs.link);
      // A link to what is gone leaves its words.
      if (!address) return studio ? <a data-dead="">{inner}</a> : inner;
      return (
        <a className={RICH_CLASSES.link} href={address}>
          {inner}
        </a>
      );
    }
    return createElement(PLAIN_MARKS[mark.type], null, inner);
  }, text);
}

/** Class names of blocks, in the shop and while they are edited. */
export const RICH_CLASSES = {
  bulletList: "rich-list rich-dots",
  orderedList: "rich-list rich-numbers",
  blockquote: "rich-quote",
  horizontalRule: "rich-rule",
  table: "rich-table",
  link: "rich-link",
} as const;
export const headingClass = (level: number): string => `rich-h rich-${level}`;
export const alignClass = (align: unknown): string => (align ? `to-${String(align)}` : "");

const classOf = (node: RichNode) => {
  const own =
    node.type === "heading"
      ? headingClass(Number(node.attrs?.level))
      : (entryOf(RICH_CLASSES as Readonly<Record<string, string>>, node.type) ?? "");
  const className = `${own} ${alignClass(node.attrs?.align)}`.trim();
  return className ? { className } : {};
};
const TAGS: Readonly<Record<string, string>> = {
  paragraph: "p",
  bulletList: "ul",
  orderedList: "ol",
  listItem: "li",
  blockquote: "blockquote",
  tableRow: "tr",
};

function drawn(
  node: RichNode,
  key: number,
  env: KindEnv,
  scope: "col" | "row" = "row",
  /** The id of a heading that is led to. */
  place?: string,
): ReactNode {
  const inside = () => (node.content ?? []).map((child, i) => drawn(child, i, env, scope));
  switch (node.type) {
    case "text":
      return node.marks?.length ? withKey(marked(node.text, node.marks, env), key) : node.text;
    case "hardBreak":
      return <br key={key} />;
    case "liveField": {
      const fact = env.facts[node.attrs?.field as LiveField] ?? "";
      return withKey(marked(fact, node.marks ?? [], env), key);
    }
    case "horizontalRule":
      return <hr key={key} {...classOf(node)} />;
    case "heading":
      return createElement(
        `h${String(node.attrs?.level ?? 2)}`,
        { key, ...classOf(node), ...(place ? { id: place } : {}) },
        ...inside(),
      );
    case "table":
      return (
        <table key={key} {...classOf(node)}>
          <tbody>{(node.content ?? []).map((row, i) => drawn(row, i, env, i === 0 ? "col" : "row"))}</tbody>
        </table>
      );
    case "tableCell":
    case "tableHeader":
      return createElement(
        node.type === "tableCell" ? "td" : "th",
        {
          key,
          colSpan: node.attrs?.colspan as number,
          rowSpan: node.attrs?.rowspan as number,
          ...(node.type === "tableHeader" ? { scope } : {}),
          ...classOf(node),
        },
        ...inside(),
      );
    default: {
      const tag = entryOf(TAGS, node.type);
      if (!tag) return inside();
      const start = node.type === "orderedList" && node.attrs?.start !== undefined ? { start: node.attrs.start } : {};
      // An empty paragraph keeps its line, as where it was written.
      const isEmpty = tag === "p" && !node.content?.length;
      return createElement(tag, { key, ...classOf(node), ...start }, ...(isEmpty ? [<br key="0" />] : inside()));
    }
  }
}

const withKey = (node: ReactNode, key: number): ReactNode =>
  typeof node === "object" && node !== null && "props" in node ? createElement(Keyed, { key, node }) : node;
const Keyed = ({ node }: { node: ReactNode }) => node;

type RichProps = {
  /** Path of the text in the part's props. */
  at: string;
  text: RichValue;
  className?: string;
  hint: string;
};

/** Running text with its shape, editable in the studio. Empty text is absent from the shop. */
export function Rich({ at, text, className = "", hint }: RichProps): ReactNode {
  const env = useEnv();
  const node = useNodeId();
  const { studio } = env;
  const classes = `rich ${className}`.trim();
  const isEditing = studio?.editing?.node === node && studio.editing.at === at;
  if (isEditing && studio?.RichEditor) {
    const { RichEditor } = studio;
    return (
      <div className={classes} data-rich-at={at} data-editing="">
        <RichEditor node={node} at={at} value={text} />
      </div>
    );
  }
  const tree = treeOf(text);
  const isListed = env.partsOf(CONTENTS).length > 0;
  const isEmpty = text === "" || (tree.content ?? []).every((b) => b.type === "paragraph" && !b.content?.length);
  if (isEmpty) return studio ? <div className={classes} data-rich-at={at} data-hint={hint} /> : null;
  return (
    <div className={classes} {...(studio ? { "data-rich-at": at, "data-hint": hint } : {})}>
      {(tree.content ?? []).map((block, i) =>
        drawn(block, i, env, "row", isListed ? headingPlace(node, at, i) : undefined),
      )}
    </div>
  );
}

/** Running text that is not this page's own to edit, such as a product's description. */
export function RichText({ text, className = "" }: { text: RichValue; className?: string }): ReactNode {
  const env = useEnv();
  return (
    <div className={`rich ${className}`.trim()}>
      {(treeOf(text).content ?? []).map((block, i) => drawn(block, i, env))}
    </div>
  );
}
