import type { Root, RootContent } from "hast";
import { fromHtml } from "hast-util-from-html";
import { sanitize, type Schema } from "hast-util-sanitize";
import { originIn, type OwnCode } from "./frame";

// HTML that a seller sets straight into a page: read as browsers read it (the parser of the HTML standard), kept by a list of what may
// be there, and drawn as elements. No text of it is ever written into a page as markup.

const TEXT = ["p", "br", "hr", "h2", "h3", "h4", "h5", "h6", "blockquote", "pre", "address"];
const GROUPS = ["div", "section", "article", "aside", "header", "footer", "figure", "figcaption", "details", "summary"];
const WORDS = [
  ...["a", "abbr", "b", "bdi", "bdo", "cite", "code", "data", "del", "dfn", "em", "i", "ins", "kbd", "mark", "q", "rp"],
  ...["rt", "ruby", "s", "samp", "small", "span", "strong", "sub", "sup", "time", "u", "var", "wbr", "img"],
];
const LISTS = ["ul", "ol", "li", "dl", "dt", "dd"];
const TABLES = ["table", "caption", "colgroup", "col", "thead", "tbody", "tfoot", "tr", "th", "td"];

const SCHEMA: Schema = {
  tagNames: [...TEXT, ...GROUPS, ...WORDS, ...LISTS, ...TABLES],
  attributes: {
    "*": ["className", "dir", "lang", "title"],
    a: ["href"],
    // A shop's page shows pictures of the shop alone.
    img: [["src", /^\/media\/[0-9a-f]{64}(?:-[\w.-]{1,80})?\.(?:webp|jpg|svg)$/], "alt", "width", "height"],
    td: ["colSpan", "rowSpan"],
    th: ["colSpan", "rowSpan", ["scope", "col", "row"]],
    col: ["span"],
    ol: ["start", "reversed"],
    li: ["value"],
    time: ["dateTime"],
    data: ["value"],
    abbr: ["title"],
    details: ["open"],
  },
  protocols: { href: ["http", "https", "mailto", "tel"] },
  required: {},
  // What stands in these is no text to be read.
  strip: ["script", "style", "noscript", "template", "iframe", "object", "embed", "svg", "math", "textarea", "title"],
  ancestors: Object.fromEntries([
    ["li", ["ol", "ul"]],
    ["summary", ["details"]],
    ...["dt", "dd"].map((tag) => [tag, ["dl"]]),
    ...TABLES.slice(1).map((tag) => [tag, ["table"]]),
  ]) as Record<string, string[]>,
  clobber: [],
};

/** What of a piece of HTML may stand in a page, as a tree (hast). */
export const cleanMarkup = (html: string): Root => sanitize(fromHtml(html, { fragment: true }), SCHEMA) as Root;

/** How often each thing stands in a tree: elements as `<b>`, their attributes as `b title`. */
function countedIn(tree: Root): Map<string, number> {
  const counts = new Map<string, number>();
  const add = (name: string) => counts.set(name, (counts.get(name) ?? 0) + 1);
  const visit = (node: Root | RootContent) => {
    if (node.type === "element") {
      add(`<${node.tagName}>`);
      for (const name of Object.keys(node.properties)) add(`${name} ${node.tagName}`);
    }
    if ("children" in node) node.children.forEach(visit);
  };
  visit(tree);
  return counts;
}

const WHY: readonly (readonly [name: RegExp, why: string])[] = [
  [/^<script>$/, "A script can’t stand here: take “Own code”, which runs in a frame of its own."],
  [/^<style>$/, "Write the style under CSS, below: there it reaches this part alone."],
  [/^<(?:iframe|object|embed)>$/, "A frame can’t stand here: take “Own code”, which may hold one."],
  [/^<(?:form|input|button|select|textarea)>$/, "A form can’t stand here: there is a section for it, “Form”."],
  [/^(?:<img>|src img)$/, "Only pictures of this shop can be shown (/media/…). There is a widget for it, “Picture”."],
  [/^<h1>$/, "A page has one first heading, which is its own: begin with h2."],
  [/^style /, "Styles can’t be set on single elements: write them under CSS, below."],
  [/^href /, "A link can lead to http, https, mailto and tel, and to places of the shop."],
];

/** What of a piece of HTML is left out, each thing once, in sentences. */
export function leftOutOf(html: string): readonly string[] {
  const given = countedIn(fromHtml(html, { fragment: true }));
  const kept = countedIn(cleanMarkup(html));
  const said = new Set<string>();
  const others = new Set<string>();
  for (const [name, count] of given) {
    if ((kept.get(name) ?? 0) >= count) continue;
    const why = WHY.find(([pattern]) => pattern.test(name))?.[1];
    if (why) said.add(why);
    // What an element had goes with it.
    else if (name.startsWith("<")) others.add(name);
    else if (kept.get(`<${name.split(" ")[1]}>`)) others.add(name.split(" ")[0]!.replace(/^on([A-Z])/, "on$1"));
  }
  return [...said, ...(others.size ? [`Left out: ${[...others].slice(0, 8).join(", ")}.`] : [])];
}

/** Addresses of vocabularies look like others, and nothing is fetched from them. */
const VOCABULARIES = new Set(["https://www.w3.org", "https://schema.org"]);

/** The origins that code names as something to load; where its links lead is not among them. */
export function namedIn({ html, css, script }: OwnCode): readonly string[] {
  const texts: string[] = [];
  const visit = (node: Root | RootContent, within = "") => {
    if (node.type === "element" && node.tagName !== "a")
      texts.push(...Object.values(node.properties).map((value) => String(value)));
    if (node.type === "text" && (within === "script" || within === "style")) texts.push(node.value);
    if ("children" in node)
      for (const child of node.children) visit(child, node.type === "element" ? node.tagName : within);
  };
  visit(fromHtml(html, { fragment: true }));
  const found = new Set<string>();
  for (const [address] of [...texts, css, script].join("\n").matchAll(/https:\/\/[^\s"'`<>()\\]+/g)) {
    const origin = originIn(address);
    if (origin && !VOCABULARIES.has(origin)) found.add(origin);
  }
  return [...found];
}

/** Whether there is nothing to run or to see: comments are neither. */
export const isNoCode = ({ html, script }: OwnCode): boolean =>
  script.trim() === "" &&
  fromHtml(html, { fragment: true }).children.every(
    (node) => node.type === "comment" || (node.type === "text" && node.value.trim() === ""),
  );
