import { generate, parse, walk, type CssNode } from "css-tree";
import { Parser } from "htmlparser2";

// Themes and kinds are written whole; a page is sent only what it can use. Rules are taken apart once, and for each page
// those are kept whose selectors speak only of elements, classes and colour sets that the page has.

type Selector = {
  readonly text: string;
  readonly tags: readonly string[];
  readonly classes: readonly string[];
  /** Attributes of ours: `data-in`, `data-in=rise`. */
  readonly data: readonly string[];
};
type SelectorPart =
  | { readonly type: "rule"; readonly selectors: readonly Selector[]; readonly body: string }
  | { readonly type: "keyframes"; readonly name: string; readonly css: string }
  | { readonly type: "group"; readonly head: string; readonly parts: readonly SelectorPart[] }
  | { readonly type: "plain"; readonly css: string };

/**
 * What a page has: names of elements, of classes, of attributes of ours (by themselves and with their values), and of colour
 * sets that something wears.
 */
export type Vocabulary = {
  readonly tags: ReadonlySet<string>;
  readonly classes: ReadonlySet<string>;
  readonly data: ReadonlySet<string>;
  readonly sets: ReadonlySet<string>;
};

function selectorOf(node: CssNode): Selector {
  const tags: string[] = [];
  const classes: string[] = [];
  const data: string[] = [];
  // What stands inside of :not() need not be there, and of :is() or :where() any one will do.
  let depth = 0;
  walk(node, {
    enter(inner: CssNode) {
      if (inner.type === "PseudoClassSelector" && ["not", "is", "where"].includes(inner.name)) depth++;
      if (depth) return;
      if (inner.type === "TypeSelector" && inner.name !== "*") tags.push(inner.name);
      if (inner.type === "ClassSelector") classes.push(inner.name);
      if (inner.type === "AttributeSelector" && inner.name.name.startsWith("data-")) {
        const value = inner.value && (inner.value.type === "Identifier" ? inner.value.name : inner.value.value);
        data.push(inner.name.name + (value ? `=${value}` : ""));
      }
    },
    leave(inner: CssNode) {
      if (inner.type === "PseudoClassSelector" && ["not", "is", "where"].includes(inner.name)) depth--;
    },
  });
  return { text: generate(node), tags, classes, data };
}

/** At-rules that hold rules like any others, for when something is so. */
const GROUPS: ReadonlySet<string> = new Set(["media", "supports", "container"]);

function partsOf(nodes: Iterable<CssNode>): readonly SelectorPart[] {
  const parts: SelectorPart[] = [];
  for (const node of nodes) {
    if (node.type === "Rule" && node.prelude.type === "SelectorList") {
      const selectors = [...node.prelude.children].map(selectorOf);
      parts.push({ type: "rule", selectors, body: generate(node.block) });
    } else if (node.type === "Atrule" && node.block && GROUPS.has(node.name)) {
      const head = `@${node.name} ${node.prelude ? generate(node.prelude) : ""}`;
      parts.push({ type: "group", head, parts: partsOf(node.block.children) });
    } else if (node.type === "Atrule" && node.name === "keyframes" && node.prelude) {
      parts.push({ type: "keyframes", name: generate(node.prelude), css: generate(node) });
    } else parts.push({ type: "plain", css: generate(node) });
  }
  return parts;
}

const taken = new Map<string, readonly SelectorPart[]>();

function takeApart(css: string): readonly SelectorPart[] {
  const known = taken.get(css);
  if (known) return known;
  const tree = parse(css);
  const parts = tree.type === "StyleSheet" ? partsOf(tree.children) : [];
  if (taken.size > 100) taken.clear();
  taken.set(css, parts);
  return parts;
}

function write(parts: readonly SelectorPart[], has: Vocabulary): string {
  let css = "";
  for (const part of parts) {
    if (part.type === "plain") css += part.css;
    // Only once everything else is written is it known which of them are asked for.
    else if (part.type === "keyframes") continue;
    else if (part.type === "group") {
      const inner = write(part.parts, has);
      if (inner) css += `${part.head}{${inner}}`;
    } else {
      const kept = part.selectors.filter(
        (s) =>
          s.tags.every((t) => has.tags.has(t)) &&
          s.classes.every((c) => has.classes.has(c)) &&
          s.data.every((d) => has.data.has(d)),
      );
      if (kept.length) css += kept.map((s) => s.text).join(",") + part.body;
    }
  }
  return css;
}

/** What a page's markup has. */
export function vocabularyOf(html: string): Vocabulary {
  const tags = new Set(["html", "body"]);
  const classes = new Set<string>();
  const data = new Set<string>();
  const sets = new Set<string>();
  const parser = new Parser({
    onopentag(name, attributes) {
      tags.add(name);
      for (const [attribute, value] of Object.entries(attributes)) {
        if (attribute === "class") for (const each of value.split(/\s+/)) classes.add(each);
        if (!attribute.startsWith("data-")) continue;
        data.add(attribute).add(`${attribute}=${value}`);
        if (attribute === "data-set") sets.add(value);
      }
    },
  });
  parser.end(html);
  return { tags, classes, data, sets };
}

/** The rules of `css` that a page with this vocabulary can use, in their order. */
export function prune(css: string, has: Vocabulary): string {
  const parts = takeApart(css);
  const written = write(parts, has);
  const moves = parts.filter(
    (p) => p.type === "keyframes" && new RegExp(`animation[^;}]*\\b${p.name}\\b`).test(written),
  );
  return written + moves.map((p) => (p.type === "keyframes" ? p.css : "")).join("");
}
