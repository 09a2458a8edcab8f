import { entryOf, ownFieldsOf, ownValuesOf, walk, type Draft, type Json, type Part } from "~/core/document";
import { transaction, refuse, type Outcome } from "~/core/commands";
import { held, type Operation, type Path } from "~/core/operations";
import { isInline, storedOf, type Rich, type RichNode } from "~/core/rich";
import type { Field } from "./definition";
import { kindOf, nameOf } from ".";

// Words looked for in everything that a seller has written on pages, posts, layouts, menus and shared sections, and put in place of
// each other. What is found is found as it is read: letters that differ within a sentence are no border.

export type Sought = {
  readonly words: string;
  /** Capitals count. */
  readonly matchCase: boolean;
  /** Not within longer words. */
  readonly whole: boolean;
};

/** One text in which something was found. */
export type FoundText = {
  /** Unlike that of any other place: of document, part and path. */
  readonly id: string;
  readonly document: string;
  /** The part; the root of a document for what the document says of itself. */
  readonly part: string;
  readonly path: Path;
  /** What it is called: "Hero, Heading". */
  readonly where: string;
  /** The text as it is read, and where in it the words stand: each from, to. */
  readonly text: string;
  readonly spans: readonly (readonly [from: number, to: number])[];
};

/** What is typed, as a pattern; undefined for nothing. Only letters and digits make words (Unicode categories L and N). */
function patternOf({ words, matchCase, whole }: Sought): RegExp | undefined {
  if (!words.trim()) return undefined;
  const literal = words.replace(/[\\^$.*+?()[\]{}|/-]/g, "\\$&").replace(/\s+/g, "\\s+");
  const [before, after] = whole ? ["(?<![\\p{L}\\p{N}])", "(?![\\p{L}\\p{N}])"] : ["", ""];
  return new RegExp(before + literal + after, matchCase ? "gu" : "giu");
}

const spansIn = (text: string, pattern: RegExp): (readonly [number, number])[] =>
  [...text.matchAll(pattern)].map((match) => [match.index, match.index + match[0].length] as const);

/** How what stands between letters is read; each is one sign, so that places in the text stay places in the tree. */
const signOf = (node: RichNode): string =>
  node.type === "text" ? (node.text ?? "") : node.type === "hardBreak" ? "\n" : "\uFFFC";

/** What a node says that is no letter of its text: what a footnote says, and what is written beneath a picture. */
const ASIDE: ReadonlyMap<string, "text" | "caption"> = new Map([
  ["footnote", "text"],
  ["figure", "caption"],
  ["film", "caption"],
]);
function asideOf(node: RichNode): readonly [key: "text" | "caption", said: string] | undefined {
  const key = ASIDE.get(node.type);
  const said = key && node.attrs?.[key];
  return typeof said === "string" && said ? [key, said] : undefined;
}

type Change = (content: readonly RichNode[]) => readonly RichNode[];

function mapAside(node: RichNode, change: Change): RichNode {
  const [key, said] = asideOf(node) ?? [];
  if (!key) return node;
  const next = change([{ type: "text", text: said! }])
    .map(({ text = "" }) => text)
    .join("");
  // A footnote says something.
  return next === said || (next === "" && key === "text") ? node : { ...node, attrs: { ...node.attrs, [key]: next } };
}

/** The tree with what `change` makes of each paragraph's own words; the same tree where it changes nothing. */
function mapParagraphs(node: RichNode, change: Change): RichNode {
  const { content } = node;
  if (!content) return mapAside(node, change);
  const next = content.some(isInline)
    ? change(content).map((each) => mapAside(each, change))
    : content.map((child) => mapParagraphs(child, change));
  return next.every((child, i) => child === content[i]) && next.length === content.length
    ? node
    : { ...node, content: next };
}

/** Paragraphs of running text: neighbours that are read as one. */
function* paragraphsOf(node: RichNode): Generator<readonly RichNode[]> {
  const { content = [] } = node;
  const [, said] = asideOf(node) ?? [];
  if (said) yield [{ type: "text", text: said }];
  if (content.some(isInline)) yield content;
  for (const child of content) yield* paragraphsOf(child);
}

/** Puts words in the place of spans of a paragraph; they look as the first letter did that they take the place of. */
function replacedIn(
  content: readonly RichNode[],
  spans: readonly (readonly [number, number])[],
  by: string,
): readonly RichNode[] {
  if (spans.length === 0) return content;
  let at = 0;
  return content.flatMap((node): readonly RichNode[] => {
    const text = signOf(node);
    const [from, to] = [at, at + text.length];
    at = to;
    if (node.type !== "text") return [node];
    let out = "";
    let position = from;
    for (const [start, end] of spans) {
      if (end <= from || start >= to) continue;
      out += text.slice(position - from, Math.max(start, from) - from);
      if (start >= from) out += by;
      position = Math.min(end, to);
    }
    out += text.slice(position - from);
    return out === text ? [node] : out === "" ? [] : [{ ...node, text: out }];
  });
}

type TextAt = { readonly path: Path; readonly label: string; readonly value: string | RichNode };

/** Every text of a part by its place: those of its lists and tables as well. */
function* textsOf(
  fields: readonly Field[],
  props: Readonly<Record<string, Json>>,
  above: Path = [],
): Generator<TextAt> {
  for (const field of fields) {
    const value = entryOf(props, field.key);
    const path = [...above, field.key];
    const { label } = field;
    if (field.type === "line" || field.type === "text" || field.type === "rich") {
      if (typeof value === "string") yield { path, label, value };
      else if (field.type === "rich" && value) yield { path, label, value: value as unknown as RichNode };
    } else if (field.type === "list" && Array.isArray(value)) {
      for (const [i, item] of value.entries())
        yield* textsOf(field.fields, item as Readonly<Record<string, Json>>, [...path, i]);
    } else if (field.type === "table" && Array.isArray(value)) {
      for (const [row, cells] of (value as readonly (readonly Json[])[]).entries())
        for (const [column, cell] of cells.entries())
          if (typeof cell === "string") yield { path: [...path, row, column], label, value: cell };
    }
  }
}

const idOf = (document: string, node: Part, { path }: TextAt): string => `${document} ${node.id} ${path.join(".")}`;

/** What a page says of itself to search engines and in lists. */
const OF_PAGES = [
  ["searchTitle", "Title for search engines"],
  ["description", "Description for search engines"],
  ["summary", "Summary"],
  ["author", "Author"],
] as const;

/** The place of what a page is called; it is no value of a part. */
const TITLE = "title";

function* textsOfDraft({ documents }: Draft): Generator<{ document: string; node: Part; where: string; at: TextAt }> {
  const ownWords = ownFieldsOf(documents).filter((field) => field.sort === "words");
  for (const document of Object.values(documents)) {
    const { id, kind, root, title } = document;
    if (kind === "page")
      yield { document: id, node: root, where: "Title", at: { path: [TITLE], label: "Title", value: title } };
    for (const [key, label] of OF_PAGES) {
      const value = kind === "page" ? entryOf(root.props, key) : undefined;
      if (typeof value === "string")
        yield { document: id, node: root, where: label, at: { path: [key], label, value } };
    }
    for (const { id: field, name: label } of kind === "page" ? ownWords : []) {
      const value = entryOf(ownValuesOf(document), field);
      if (value) yield { document: id, node: root, where: label, at: { path: ["own", field], label, value } };
    }
    for (const node of walk(root)) {
      const definition = kindOf(node)?.definition;
      if (node === root || !definition) continue;
      for (const at of textsOf(definition.fields, node.props))
        yield { document: id, node, where: `${nameOf(node)}, ${at.label.toLowerCase()}`, at };
    }
  }
}

/** Everything in which the words stand, in the order of pages. `most`: so many texts at most. */
export function findWords(draft: Draft, sought: Sought, most = 2000): readonly FoundText[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  const found: FoundText[] = [];
  for (const { document, node, where, at } of textsOfDraft(draft)) {
    const texts =
      typeof at.value === "string" ? [at.value] : [...paragraphsOf(at.value)].map((p) => p.map(signOf).join(""));
    // Paragraphs are told apart by an end of line, over which nothing reaches.
    let text = "";
    const spans: (readonly [number, number])[] = [];
    for (const each of texts) {
      if (text) text += "\n";
      for (const [from, to] of spansIn(each, pattern)) spans.push([text.length + from, text.length + to]);
      text += each;
    }
    if (spans.length === 0) continue;
    found.push({ id: idOf(document, node, at), document, part: node.id, path: at.path, where, text, spans });
    if (found.length >= most) break;
  }
  return found;
}

/** A text with other words in the place of those that were found in it; undefined where there are none. */
function rewritten(value: string | RichNode, pattern: RegExp, by: string): Json | undefined {
  if (typeof value === "string") {
    const next = value.replace(pattern, () => by);
    return next === value ? undefined : next;
  }
  const next = mapParagraphs(value, (content) =>
    replacedIn(content, spansIn(content.map(signOf).join(""), pattern), by),
  );
  return next === value ? undefined : (storedOf(next as Extract<Rich, object>) as unknown as Json);
}

/**
 * Puts other words in the place of those that are found, as one step. `only`: the places in which that is done, by `FoundText.id`; what was
 * found elsewhere stays.
 */
export function replaceWords(draft: Draft, sought: Sought, by: string, only: ReadonlySet<string>): Outcome {
  const pattern = patternOf(sought);
  if (!pattern) return refuse("Write what to look for first.");
  const operations: Operation[] = [];
  for (const { document, node, at } of textsOfDraft(draft)) {
    if (!only.has(idOf(document, node, at))) continue;
    const after = rewritten(at.value, pattern, by);
    if (after === undefined) continue;
    if (node === entryOf(draft.documents, document)?.root && at.path[0] === TITLE) {
      if (!String(after).trim()) return refuse(`The page “${String(at.value)}” would be left without a title.`);
      operations.push({ type: "setTitle", document, before: String(at.value), after: String(after) });
      continue;
    }
    operations.push({
      type: "setProp",
      document,
      node: node.id,
      path: [...at.path],
      before: held(at.value as unknown as Json),
      after: held(after),
    });
  }
  if (operations.length === 0) return refuse("It stands nowhere any more.");
  return transaction("replaceWords", `“${sought.words.trim()}” replaced by “${by.trim()}”`, operations);
}
