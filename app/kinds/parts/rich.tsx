import { entryOf } from "~/core/document";
import { createElement, type ReactNode } from "react";
import {
  isBlank,
  nodesIn,
  treeOf,
  type Letters,
  type Rich as RichValue,
  type RichMark,
  type RichNode,
} from "~/core/rich";
import type { Live } from "~/core/live";
import { CONTENTS, headingPlace } from "../outline-places";
import { useEnv, useNodeId, type KindEnv } from "./env";
import { Pic } from "./pic";

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
  footnote: "rich-note",
} as const;
export const headingClass = (level: number): string => `rich-h rich-${level}`;
export const alignClass = (align: unknown): string => (align ? `to-${String(align)}` : "");
export const calloutClass = (tone: unknown): string => `rich-callout of-${typeof tone === "string" ? tone : "quiet"}`;
/** Class names of a picture or film in running text; without a word on it, it has a line of its own and half of its width. */
export const figureClass = ({ side, width }: Readonly<Record<string, unknown>>): string =>
  `rich-figure at-${typeof side === "string" ? side : "middle"} is-${typeof width === "string" ? width : "half"}`;
/** How wide a picture in running text is at most, as CSS `sizes`. */
const FIGURE_SIZES: ReadonlyMap<unknown, string> = new Map([
  ["third", "(min-width:640px) 24rem, 100vw"],
  ["whole", "(min-width:1024px) 60vw, 100vw"],
]);

const classOf = (node: RichNode) => {
  const own =
    node.type === "heading"
      ? headingClass(Number(node.attrs?.level))
      : node.type === "callout"
        ? calloutClass(node.attrs?.tone)
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
  callout: "div",
  tableRow: "tr",
};

/** What a text is drawn with: its footnotes with their numbers, and the beginning of their ids. */
type Drawing = {
  readonly env: KindEnv;
  readonly notes: ReadonlyMap<RichNode, number>;
  readonly place: string;
};

function Figure({ node, env }: { node: RichNode; env: KindEnv }): ReactNode {
  const { picture, film, caption, width } = node.attrs ?? {};
  // A picture that is gone is nothing at all for shoppers.
  if (node.type === "figure" && !env.studio && !env.picture(picture as string)) return null;
  return (
    <figure className={figureClass(node.attrs ?? {})}>
      {node.type === "figure" ? (
        <Pic picture={picture as string} sizes={FIGURE_SIZES.get(width) ?? "(min-width:640px) 36rem, 100vw"} />
      ) : (
        <video
          controls
          playsInline
          preload="metadata"
          src={`/media/${String(film)}`}
          aria-label={caption ? String(caption) : "Film"}
        />
      )}
      {caption ? <figcaption>{String(caption)}</figcaption> : null}
    </figure>
  );
}

function drawn(
  node: RichNode,
  key: number,
  drawing: Drawing,
  scope: "col" | "row" = "row",
  /** The id of a heading that is led to. */
  place?: string,
): ReactNode {
  const { env } = drawing;
  const inside = () => (node.content ?? []).map((child, i) => drawn(child, i, drawing, scope));
  switch (node.type) {
    case "text":
      return node.marks?.length ? withKey(marked(node.text, node.marks, env), key) : node.text;
    case "hardBreak":
      return <br key={key} />;
    case "liveField": {
      const fact = env.live(node.attrs as unknown as Live) ?? "";
      return withKey(marked(fact, node.marks ?? [], env), key);
    }
    case "footnote": {
      const number = drawing.notes.get(node);
      return (
        <sup key={key} className={RICH_CLASSES.footnote} id={`${drawing.place}-from-${number}`}>
          <a href={`#${drawing.place}-note-${number}`} role="doc-noteref" aria-label={`Note ${number}`}>
            {number}
          </a>
        </sup>
      );
    }
    case "figure":
    case "film":
      return <Figure key={key} node={node} env={env} />;
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
          <tbody>{(node.content ?? []).map((row, i) => drawn(row, i, drawing, i === 0 ? "col" : "row"))}</tbody>
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
      const role = node.type === "callout" ? { role: "note" } : {};
      // An empty paragraph keeps its line, as where it was written.
      const isEmpty = tag === "p" && !node.content?.length;
      return createElement(
        tag,
        { key, ...classOf(node), ...start, ...role },
        ...(isEmpty ? [<br key="0" />] : inside()),
      );
    }
  }
}

/** What is said in the footnotes of a text, after it. */
const Notes = ({ notes, place }: Pick<Drawing, "notes" | "place">) =>
  notes.size ? (
    <section className="rich-notes" role="doc-endnotes" aria-label="Notes">
      <ol>
        {[...notes].map(([note, number]) => (
          <li key={number} id={`${place}-note-${number}`}>
            {String(note.attrs?.text)}{" "}
            <a href={`#${place}-from-${number}`} role="doc-backlink" aria-label={`Back to where note ${number} stands`}>
              ↩
            </a>
          </li>
        ))}
      </ol>
    </section>
  ) : null;

/** The blocks of a text, and its footnotes after them. `headingId`: where a heading is led to. */
function Blocks({
  text,
  place,
  headingId,
}: {
  text: RichValue;
  place: string;
  headingId?: (block: number) => string;
}): ReactNode {
  const env = useEnv();
  const notes = new Map(nodesIn(text, "footnote").map((note, i) => [note, i + 1] as const));
  return (
    <>
      {(treeOf(text).content ?? []).map((block, i) => drawn(block, i, { env, notes, place }, "row", headingId?.(i)))}
      <Notes notes={notes} place={place} />
    </>
  );
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
  const isListed = env.partsOf(CONTENTS).length > 0;
  if (isBlank(text)) return studio ? <div className={classes} data-rich-at={at} data-hint={hint} /> : null;
  return (
    <div className={classes} {...(studio ? { "data-rich-at": at, "data-hint": hint } : {})}>
      <Blocks
        text={text}
        place={`${node}-${at.replace(/\./g, "-")}`}
        {...(isListed ? { headingId: (block) => headingPlace(node, at, block) } : {})}
      />
    </div>
  );
}

/** Running text that is not this page's own to edit, such as a product's description. `place`: the beginning of ids in it. */
export const RichText = ({ text, place }: { text: RichValue; place: string }): ReactNode => (
  <div className="rich">
    <Blocks text={text} place={place} />
  </div>
);
