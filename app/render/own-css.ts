import { find, generate, ident, lexer, parse, tokenize, tokenTypes, walk, type CssNode, type Selector } from "css-tree";

// CSS that a seller writes for one section, for one page, or for the whole shop. It is parsed, checked property by property, and
// compiled so that every selector stands below what it is for: a section's can reach nothing else on the page. Names are judged as
// a browser reads them, with their escapes undone, and what is written out is checked token by token once more.

export type OwnCssProblem = {
  /** From where to where in what was written, in characters. */
  readonly from: number;
  readonly to: number;
  readonly why: string;
};
export type OwnCss = { readonly css: string; readonly problems: readonly OwnCssProblem[] };

/** Rules of the page as a whole can't be one section's. */
const ALLOWED_AT = new Set(["media", "supports", "container"]);
/** Functions that make a browser fetch something, with or without a maker's prefix. */
const FETCHING = /^(?:-[a-z]+-)?(?:url|url-prefix|image-set|src|image|cross-fade|element|paint)$/;
/** Where a part of a section may stand: never at a place of the window. */
const POSITIONS = new Set(["static", "relative", "absolute", "sticky", "inherit", "initial", "unset", "revert"]);
/** How deep brackets may stand in each other: more than anybody writes, and less than any reader of CSS bears. */
const MOST_DEPTH = 20;
/** How many declarations and selectors a piece of CSS may hold together: each is judged, and that takes its time. */
const MOST_JUDGED = { section: 400, page: 400, shop: 1000 } as const;

/** What a piece of CSS is for, and the selector of that. */
export type CssScope = { readonly of: "section" | "page" | "shop"; readonly selector: string };

/** A name as a browser understands it: escapes undone, in small letters. */
const plain = (name: string): string => ident.decode(name).toLowerCase();

const OPENING = new Set<number>([
  tokenTypes.Function,
  tokenTypes.LeftParenthesis,
  tokenTypes.LeftSquareBracket,
  tokenTypes.LeftCurlyBracket,
]);
const CLOSING = new Set<number>([
  tokenTypes.RightParenthesis,
  tokenTypes.RightSquareBracket,
  tokenTypes.RightCurlyBracket,
]);
const BROKEN = new Set<number>([tokenTypes.BadString, tokenTypes.BadUrl, tokenTypes.CDO, tokenTypes.CDC]);

type Reading = "fine" | "fetches" | "leaves";

/** What a browser would make of a declaration's text: whether it fetches something, or ends before it ends here. */
function readingOf(text: string): Reading {
  let depth = 0;
  let reading: Reading = "fine";
  tokenize(text, (type, start, end) => {
    if (type === tokenTypes.Url) reading = "fetches";
    else if (type === tokenTypes.Function && FETCHING.test(plain(text.slice(start, end - 1)))) reading = "fetches";
    if (OPENING.has(type)) depth++;
    else if (CLOSING.has(type)) depth--;
    if (BROKEN.has(type) || depth < 0 || (depth === 0 && type === tokenTypes.Semicolon)) reading = "leaves";
  });
  return depth === 0 ? reading : "leaves";
}

/** Comments made blank, so that places stay what they are. */
function withoutComments(css: string): string {
  const spans: [number, number][] = [];
  tokenize(css, (type, start, end) => {
    if (type === tokenTypes.Comment) spans.push([start, end]);
  });
  let text = "";
  let at = 0;
  for (const [start, end] of spans) {
    text += css.slice(at, start) + css.slice(start, end).replace(/[^\n]/g, " ");
    at = end;
  }
  return text + css.slice(at);
}

const compiled = new Map<string, OwnCss>();

/**
 * Compiles CSS. Selectors are put below that of `scope`; `&` and `:scope` mean what it is for itself. Declarations without a rule are
 * its own. What can't be used is left out and reported; the rest works.
 */
export function compileOwnCss(written: string, scope: CssScope): OwnCss {
  const key = `${scope.selector} ${written}`;
  const known = compiled.get(key);
  if (known) return known;
  const result = compile(written, scope);
  if (compiled.size > 300) compiled.clear();
  compiled.set(key, result);
  return result;
}

/**
 * The selectors, below those of `scope`, of the rule in which a place of a piece of CSS stands (in letters from its beginning);
 * undefined where it stands in none that can be used.
 */
export function reachedAt(written: string, scope: CssScope, place: number): string | undefined {
  const source = withoutComments(written.replace(/[\r\f]/g, "\n").replaceAll("\0", "\ufffd"));
  const brackets = readBrackets(source);
  if (brackets.alone !== undefined || brackets.deep !== undefined) return undefined;
  const ruleIn = (text: string, offset: number): string | undefined => {
    for (const chunk of chunksOf(text, offset)) {
      const end = chunk.kind === "block" ? chunk.bodyAt + chunk.body.length + 1 : chunk.at + chunk.text.length + 1;
      if (place < chunk.at || place > end) continue;
      if (chunk.kind === "declaration") return "&";
      return chunk.prelude.startsWith("@") ? ruleIn(chunk.body, chunk.bodyAt) : chunk.prelude;
    }
    return undefined;
  };
  const prelude = ruleIn(source, 0);
  const { css } = compileOwnCss(prelude === undefined ? "" : `${prelude}{top:0}`, scope);
  return css.endsWith("{top:0}") ? css.slice(0, -"{top:0}".length) : undefined;
}

/** What stands side by side on one level: a declaration, or something with a block. `at`: where it begins. */
type Chunk =
  | { readonly kind: "declaration"; readonly text: string; readonly at: number }
  | {
      readonly kind: "block";
      readonly prelude: string;
      readonly body: string;
      readonly at: number;
      readonly bodyAt: number;
    };

/** Takes a level apart. Brackets are known to match; comments are blanked out already. */
function chunksOf(text: string, offset: number): readonly Chunk[] {
  const chunks: Chunk[] = [];
  let start = 0;
  let depth = 0;
  let open = 0;
  const declaration = (end: number) => {
    const raw = text.slice(start, end);
    const lead = raw.length - raw.trimStart().length;
    if (raw.trim()) chunks.push({ kind: "declaration", text: raw.trim(), at: offset + start + lead });
  };
  for (let i = 0; i < text.length; i++) {
    const letter = text[i]!;
    if (letter === "\\") i++;
    else if (letter === '"' || letter === "'") i = endOfString(text, i);
    else if (letter === "{" || letter === "(" || letter === "[") {
      if (depth++ === 0) open = i;
    } else if (letter === ")" || letter === "]") depth--;
    else if (letter === "}") {
      if (--depth > 0) continue;
      const raw = text.slice(start, open);
      const lead = raw.length - raw.trimStart().length;
      chunks.push({
        kind: "block",
        prelude: raw.trim(),
        body: text.slice(open + 1, i),
        at: offset + start + lead,
        bodyAt: offset + open + 1,
      });
      start = i + 1;
    } else if (letter === ";" && depth === 0) {
      declaration(i);
      start = i + 1;
    }
  }
  declaration(text.length);
  return chunks;
}

function compile(written: string, scope: CssScope): OwnCss {
  const most = MOST_JUDGED[scope.of];
  const problems: OwnCssProblem[] = [];
  const note = (from: number, length: number, why: string) =>
    void problems.push({ from, to: Math.min(written.length, from + Math.max(1, length)), why });
  const nothing = (from: number, length: number, why: string): OwnCss => {
    note(from, length, why);
    return { css: "", problems };
  };
  if (/<\/?style|<!--|<script/i.test(written)) return nothing(0, written.length, "Only CSS can stand here, no HTML.");
  // Each of these ends a line for a browser (CSS Syntax 3, 3.3), and so a string that is open.
  const source = withoutComments(written.replace(/[\r\f]/g, "\n").replaceAll("\0", "\ufffd"));
  const brackets = readBrackets(source);
  if (brackets.alone !== undefined)
    return nothing(brackets.alone, 1, "A bracket here has no partner. Nothing is used until it has.");
  if (brackets.deep !== undefined)
    return nothing(brackets.deep, 1, `Brackets can stand in each other ${MOST_DEPTH} deep at most.`);

  let judged = 0;
  const hasRoom = (at: number, length: number): boolean => {
    if (++judged === most + 1)
      note(at, length, `There is room for ${most} selectors and declarations. From here on nothing is used.`);
    return judged <= most;
  };
  const declarationOf = ({ text, at }: { readonly text: string; readonly at: number }): string[] => {
    if (text.startsWith("@")) {
      note(at, text.length, `${/^@[\w-]*/.exec(text)![0]} can’t be used here. @media, @supports and @container can.`);
      return [];
    }
    if (!hasRoom(at, text.length)) return [];
    let parsed: CssNode;
    try {
      parsed = parse(text, { context: "declaration", parseCustomProperty: true });
    } catch {
      note(at, text.length, "This can’t be read.");
      return [];
    }
    if (parsed.type !== "Declaration") return [];
    const out = generate(parsed);
    const reading = readingOf(out);
    const why =
      reading === "fetches"
        ? "Pictures and files from elsewhere can’t be used. Choose a picture in Details."
        : reading === "leaves"
          ? "This can’t be read."
          : problemOfDeclaration(parsed, scope);
    if (why) note(at, text.length, why);
    return why ? [] : [out];
  };
  const selectorsOf = (prelude: string, at: number): string[] => {
    let parsed: CssNode;
    try {
      parsed = parse(prelude, { context: "selectorList" });
    } catch {
      note(at, prelude.length, "This selector can’t be read.");
      return [];
    }
    if (parsed.type !== "SelectorList") return [];
    return [...parsed.children].flatMap((selector) => {
      if (!hasRoom(at, prelude.length)) return [];
      const scoped = selector.type === "Selector" ? scopedSelector(selector, scope) : undefined;
      if (scoped?.ok) return [generate(scoped.selector)];
      note(at, prelude.length, scoped?.why ?? "This selector can’t be read.");
      return [];
    });
  };
  const enter = (text: string, offset: number): string => {
    const own: string[] = [];
    let rules = "";
    for (const chunk of chunksOf(text, offset)) {
      if (chunk.kind === "declaration") own.push(...declarationOf(chunk));
      else if (chunk.prelude.startsWith("@")) {
        const name = /^@([\w-]*)/.exec(chunk.prelude)![1]!;
        if (!ALLOWED_AT.has(name))
          note(chunk.at, chunk.prelude.length, `@${name} can’t be used here. @media, @supports and @container can.`);
        else {
          const inner = enter(chunk.body, chunk.bodyAt);
          const prelude = atPrelude(chunk.prelude);
          if (prelude === undefined) note(chunk.at, chunk.prelude.length, "This condition can’t be read.");
          else if (inner) rules += `${prelude}{${inner}}`;
        }
      } else {
        const selectors = selectorsOf(chunk.prelude, chunk.at);
        const declarations = chunksOf(chunk.body, chunk.bodyAt).flatMap((inner) => {
          if (inner.kind === "declaration") return declarationOf(inner);
          note(inner.at, inner.prelude.length, "Rules can’t stand inside of rules here. Write the whole selector.");
          return [];
        });
        if (selectors.length && declarations.length) rules += `${selectors.join(",")}{${declarations.join(";")}}`;
      }
    }
    return (own.length ? `${scope.selector}{${own.join(";")}}` : "") + rules;
  };
  // In a page, only this could end the element that the CSS stands in; in CSS the backslash changes nothing.
  const css = enter(source, 0).replaceAll("</", "<\\/");
  return { css, problems };
}

const isItself = (node: CssNode): boolean =>
  node.type === "NestingSelector" || (node.type === "PseudoClassSelector" && plain(node.name) === "scope");

type Scoped = { readonly ok: true; readonly selector: CssNode } | { readonly ok: false; readonly why: string };

/** A selector that reaches only what it is for: what stands for that itself becomes its selector, anything else stands below it. */
function scopedSelector(selector: Selector, { of, selector: whole }: CssScope): Scoped {
  const itself = (): CssNode =>
    whole.startsWith(".") ? { type: "ClassSelector", name: whole.slice(1) } : { type: "TypeSelector", name: whole };
  const isOfPage = find(
    selector,
    (node) =>
      (node.type === "TypeSelector" && ["html", "body"].includes(plain(node.name))) ||
      (node.type === "PseudoClassSelector" && ["root", "host", "host-context"].includes(plain(node.name))),
  );
  if (isOfPage)
    return {
      ok: false,
      why: `The CSS of a ${of} reaches only the ${of}: leave out html, body and :root. “&” is the ${of} itself.`,
    };
  const { children } = selector;
  const first = children.first;
  // The first step leads from the section to something in it: what is beside or above it is none of its business.
  const step = [...children].find((node) => node.type === "Combinator");
  const isWithin = step?.type !== "Combinator" || [" ", ">"].includes(step.name);
  const isAboutItself = find(selector, isItself) !== null;
  if ((isAboutItself || first?.type === "Combinator") && !isWithin)
    return { ok: false, why: `The CSS of a ${of} reaches only what is in the ${of}, and not what is beside it.` };
  if (isAboutItself) {
    if (!first || !isItself(first)) return { ok: false, why: `“&” is the ${of} itself, and has to stand first.` };
    walk(selector, (node, item, list) => {
      if (isItself(node)) list.replace(item, list.createItem(itself()));
    });
    return { ok: true, selector };
  }
  if (first?.type !== "Combinator") children.prependData({ type: "Combinator", name: " " });
  children.prependData(itself());
  return { ok: true, selector };
}

/** The condition of an at-rule as it is written out again; undefined where it can't be read. */
function atPrelude(text: string): string | undefined {
  try {
    const parsed = parse(`${text}{}`, { context: "atrule" });
    return parsed.type === "Atrule"
      ? `@${parsed.name} ${parsed.prelude ? generate(parsed.prelude) : ""}`.trimEnd()
      : undefined;
  } catch {
    return undefined;
  }
}

function problemOfDeclaration(node: Extract<CssNode, { type: "Declaration" }>, { of }: CssScope): string | undefined {
  const value = generate(node.value);
  if (node.property.startsWith("--")) return undefined;
  // Only a plain word says for certain where something stands; a variable or a function could come to be any.
  if (of === "section" && plain(node.property) === "position" && !POSITIONS.has(plain(value)))
    return `A section stays in its place: “${value}” can’t be used.`;
  // A value with var() is known only where it is used.
  if (/var\(|env\(/.test(value)) return undefined;
  const match = lexer.matchProperty(node.property, node.value);
  if (!match.error) return undefined;
  return /Unknown property/i.test(match.error.message)
    ? `There is no property “${node.property}”.`
    : `“${value}” is not a value of ${node.property}.`;
}

type Brackets = {
  /** Where the first bracket without a partner stands. */
  readonly alone: number | undefined;
  /** Where the first one stands that is too deep in others. */
  readonly deep: number | undefined;
};

/** Reads the brackets of CSS without comments; strings are passed over. */
function readBrackets(css: string): Brackets {
  const open: number[] = [];
  let deep: number | undefined;
  const closers = new Map([
    ["{", "}"],
    ["(", ")"],
    ["[", "]"],
  ]);
  for (let i = 0; i < css.length; i++) {
    const letter = css[i]!;
    if (letter === "\\") i++;
    else if (letter === '"' || letter === "'") {
      const end = endOfString(css, i);
      if (css[end] !== letter) return { alone: i, deep };
      i = end;
    } else if (closers.has(letter)) {
      open.push(i);
      if (open.length > MOST_DEPTH) deep ??= i;
    } else if (letter === "}" || letter === ")" || letter === "]") {
      const at = open.pop();
      if (at === undefined || closers.get(css[at]!) !== letter) return { alone: i, deep };
    }
  }
  return { alone: open[0], deep };
}

/** Where a string that opens at `at` closes; the place of a line break or the end of the text where it does not. */
function endOfString(text: string, at: number): number {
  for (let i = at + 1; i < text.length; i++) {
    if (text[i] === "\\") i++;
    else if (text[i] === text[at] || text[i] === "\n") return i;
  }
  return text.length;
}
