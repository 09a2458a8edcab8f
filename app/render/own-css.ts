import { generate, lexer, parse, walk, type CssNode, type Rule } from "css-tree";

// CSS that a seller writes for one section. It is parsed, checked property by property, and compiled so that every selector
// stands below the section's own class: it can reach nothing else on the page.

export type OwnCssProblem = {
  /** From where to where in what was written, in characters. */
  readonly from: number;
  readonly to: number;
  readonly why: string;
};
export type OwnCss = { readonly css: string; readonly problems: readonly OwnCssProblem[] };

/** Rules of the page as a whole can't be one section's. */
const ALLOWED_AT = new Set(["media", "supports", "container"]);
const FETCHES = /url\(|image-set\(|src\(/i;

const compiled = new Map<string, OwnCss>();

/**
 * Compiles the CSS of a section. Selectors are put below `scope` (the section's class); `&` and `:scope` mean the section
 * itself. Declarations without a rule are the section's own. What can't be used is left out and reported; the rest works.
 */
export function compileOwnCss(written: string, scope: string): OwnCss {
  const key = `${scope} ${written}`;
  const known = compiled.get(key);
  if (known) return known;
  const result = compile(written, scope);
  if (compiled.size > 300) compiled.clear();
  compiled.set(key, result);
  return result;
}

function compile(written: string, scope: string): OwnCss {
  const problems: OwnCssProblem[] = [];
  // Wrapped in the section's own rule, so that plain declarations and rules can stand side by side.
  const head = `.${scope}{`;
  const note = (node: CssNode | undefined, why: string) => {
    const from = Math.max(0, (node?.loc?.start.offset ?? head.length) - head.length);
    const to = Math.max(from + 1, (node?.loc?.end.offset ?? head.length + 1) - head.length);
    problems.push({ from, to: Math.min(to, Math.max(written.length, from + 1)), why });
  };
  const unbalanced = imbalance(written);
  if (unbalanced !== undefined) {
    return {
      css: "",
      problems: [
        { from: unbalanced, to: unbalanced + 1, why: "A bracket here has no partner. Nothing is used until it has." },
      ],
    };
  }
  if (/<\/?style|<!--/i.test(written)) {
    return { css: "", problems: [{ from: 0, to: written.length, why: "Only CSS can stand here, no HTML." }] };
  }
  const tree = parse(`${head}${written}}`, {
    positions: true,
    onParseError: (error) => {
      const at = Math.max(0, error.offset - head.length);
      problems.push({ from: at, to: at + 1, why: `This can’t be read: ${error.message.toLowerCase()}.` });
    },
  });
  const rules: string[] = [];
  const own: string[] = [];
  const declarationsOf = (nodes: Iterable<CssNode>): string[] => {
    const kept: string[] = [];
    for (const node of nodes) {
      if (node.type !== "Declaration") continue;
      const why = problemOfDeclaration(node);
      if (why) note(node, why);
      else kept.push(generate(node));
    }
    return kept;
  };
  const selectorsOf = (rule: Rule): string[] =>
    rule.prelude.type !== "SelectorList"
      ? []
      : [...rule.prelude.children].flatMap((selector) => {
          const text = generate(selector);
          let isWholePage = false;
          walk(selector, (inner) => {
            if (inner.type === "TypeSelector" && ["html", "body"].includes(inner.name.toLowerCase()))
              isWholePage = true;
            if (inner.type === "PseudoClassSelector" && ["root", "host"].includes(inner.name)) isWholePage = true;
          });
          if (isWholePage) {
            note(selector, "A section’s CSS reaches only the section. Leave out html, body and :root.");
            return [];
          }
          if (/&|:scope/.test(text))
            return [text.replace(/&|:scope/g, `.${scope}`)].filter((t) => t.startsWith(`.${scope}`));
          return [`.${scope} ${text}`];
        });
  const ruleOf = (rule: Rule): string => {
    const nested = [...rule.block.children].find((n) => n.type === "Rule");
    if (nested) note(nested, "Rules can’t stand inside of rules here. Write the whole selector.");
    const selectors = selectorsOf(rule);
    const declarations = declarationsOf(rule.block.children);
    return selectors.length && declarations.length ? `${selectors.join(",")}{${declarations.join(";")}}` : "";
  };
  const enter = (nodes: Iterable<CssNode>, into: string[], isTop: boolean) => {
    const plain = declarationsOf(nodes);
    if (plain.length) (isTop ? own : into).push(isTop ? plain.join(";") : `.${scope}{${plain.join(";")}}`);
    for (const node of nodes) {
      if (node.type === "Rule") {
        const text = ruleOf(node);
        if (text) into.push(text);
      } else if (node.type === "Atrule") {
        if (!ALLOWED_AT.has(node.name) || !node.block) {
          note(node, `@${node.name} can’t be used in a section. @media, @supports and @container can.`);
          continue;
        }
        const inner: string[] = [];
        enter(node.block.children, inner, false);
        if (inner.length) into.push(`@${node.name} ${node.prelude ? generate(node.prelude) : ""}{${inner.join("")}}`);
      } else if (node.type === "Raw" && generate(node).trim()) note(node, "This can’t be read.");
    }
  };
  const wrapper = tree.type === "StyleSheet" ? tree.children.first : null;
  if (wrapper?.type === "Rule") enter(wrapper.block.children.toArray(), rules, true);
  const css = (own.length ? `.${scope}{${own.join(";")}}` : "") + rules.join("");
  return { css, problems };
}

function problemOfDeclaration(node: Extract<CssNode, { type: "Declaration" }>): string | undefined {
  const value = generate(node.value);
  if (FETCHES.test(value)) return "Pictures and files from elsewhere can’t be used. Choose a picture in Details.";
  if (node.property.startsWith("--")) return undefined;
  if (node.property === "position" && /fixed/.test(value))
    return "A section stays in its place: “fixed” can’t be used.";
  // A value with var() is known only where it is used.
  if (/var\(|env\(/.test(value)) return undefined;
  const match = lexer.matchProperty(node.property, node.value);
  if (!match.error) return undefined;
  return /Unknown property/i.test(match.error.message)
    ? `There is no property “${node.property}”.`
    : `“${value}” is not a value of ${node.property}.`;
}

/** Where the first bracket without a partner stands, strings and comments aside; undefined where all have one. */
function imbalance(css: string): number | undefined {
  const open: number[] = [];
  const closers: Readonly<Record<string, string>> = { "{": "}", "(": ")", "[": "]" };
  for (let i = 0; i < css.length; i++) {
    const letter = css[i]!;
    if (letter === "\\") i++;
    else if (css.startsWith("/*", i)) {
      const end = css.indexOf("*/", i + 2);
      if (end < 0) return i;
      i = end + 1;
    } else if (letter === '"' || letter === "'") {
      const end = css.slice(i + 1).search(new RegExp(`(?<!\\\\)${letter}|\n`));
      if (end < 0 || css[i + 1 + end] === "\n") return i;
      i += end + 1;
    } else if (letter in closers) open.push(i);
    else if (Object.values(closers).includes(letter)) {
      const at = open.pop();
      if (at === undefined || closers[css[at]!] !== letter) return i;
    }
  }
  return open[0];
}
