import type { Rich, RichNode } from "./rich";
import { isInline, storedOf } from "./rich";

// Words looked for in a text, and put in place of each other. What is found is found as it is read: letters that differ within a sentence
// are no border.

export type Sought = {
  readonly words: string;
  /** Capitals count. */
  readonly matchCase: boolean;
  /** Not within longer words. */
  readonly whole: boolean;
};

/** What is typed, as a pattern; undefined for nothing. Only letters and digits make words (Unicode categories L and N). */
export function patternOf({ words, matchCase, whole }: Sought): RegExp | undefined {
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

/** So many texts are found at once; words that stand in more of them are replaced a part at a time. */
export const MOST_FOUND = 2000;

/** A text as it is read, and where in it words stand: each from, to. */
export type Found = { readonly text: string; readonly spans: readonly (readonly [from: number, to: number])[] };

/** Where words stand in a text; undefined where they don't. */
export function foundIn(value: Rich, pattern: RegExp): Found | undefined {
  // Most of many texts have nothing in them.
  if (typeof value === "string" && value.search(pattern) < 0) return undefined;
  const texts = typeof value === "string" ? [value] : [...paragraphsOf(value)].map((p) => p.map(signOf).join(""));
  // Paragraphs are told apart by an end of line, over which nothing reaches.
  let text = "";
  const spans: (readonly [number, number])[] = [];
  for (const each of texts) {
    if (text) text += "\n";
    for (const [from, to] of spansIn(each, pattern)) spans.push([text.length + from, text.length + to]);
    text += each;
  }
  return spans.length ? { text, spans } : undefined;
}

/** A text with other words in the place of those that were found in it; undefined where there are none. */
export function rewritten(value: Rich, pattern: RegExp, by: string): Rich | undefined {
  if (typeof value === "string") {
    const next = value.replace(pattern, () => by);
    return next === value ? undefined : next;
  }
  const next = mapParagraphs(value, (content) =>
    replacedIn(content, spansIn(content.map(signOf).join(""), pattern), by),
  );
  return next === value ? undefined : storedOf(next as Extract<Rich, object>);
}
