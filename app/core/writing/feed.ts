import type { Element, Root } from "xast";
import { fromXml } from "xast-util-from-xml";
import { fromHtml } from "hast-util-from-html";
import { clockIn, type PostIn } from "./post";
import { richOf } from "./rich-of";

/** Posts of one file at most. */
export const MOST_POSTS_IN = 2000;

const elements = (node: Root | Element): readonly Element[] =>
  [...node.children].filter((child): child is Element => child.type === "element");
/** Names without their prefix: feeds write them in several ways. */
const localName = ({ name }: Element) => name.replace(/^.*:/, "").toLowerCase();
const named = (node: Root | Element, ...names: string[]): Element | undefined => {
  for (const name of names) {
    const found = elements(node).find((each) => localName(each) === name);
    if (found) return found;
  }
  return undefined;
};
const textIn = (node: Element | undefined): string =>
  node?.children
    .map((child) =>
      child.type === "text" || child.type === "cdata" ? child.value : child.type === "element" ? textIn(child) : "",
    )
    .join("")
    .trim() ?? "";

/** The markup within an element that holds it as elements (RFC 4287, 3.1.1.3), as text. */
function markupIn(node: Element): string {
  const escaped = (text: string) => text.replace(/&/g, "&amp;").replace(/</g, "&lt;");
  return node.children
    .map((child) => {
      if (child.type === "text" || child.type === "cdata") return escaped(child.value);
      if (child.type !== "element") return "";
      const attributes = Object.entries(child.attributes)
        .map(([name, value]) => ` ${name}="${escaped(value ?? "").replace(/"/g, "&quot;")}"`)
        .join("");
      return `<${localName(child)}${attributes}>${markupIn(child)}</${localName(child)}>`;
    })
    .join("");
}

/** HTML of an entry: as text that was escaped, or as elements of the feed itself. */
const htmlIn = (node: Element | undefined): string =>
  node === undefined ? "" : node.attributes.type === "xhtml" || elements(node).length ? markupIn(node) : textIn(node);

const linkOf = (entry: Element): string => {
  const links = elements(entry).filter((each) => localName(each) === "link");
  const own = links.find((link) => !link.attributes.rel || link.attributes.rel === "alternate");
  return own?.attributes.href ?? textIn(own);
};
const lastPart = (address: string) => address.split(/[?#]/)[0]!.split("/").filter(Boolean).at(-1) ?? "";

const plain = (html: string) => {
  const words: string[] = [];
  const visit = (node: { type: string; value?: string; children?: readonly unknown[] }) => {
    if (node.type === "text") words.push(node.value!);
    for (const child of node.children ?? []) visit(child as { type: string });
  };
  visit(fromHtml(html, { fragment: true }));
  return words.join("").replace(/\s+/g, " ").trim();
};

function postOf(entry: Element): PostIn {
  const whole = named(entry, "encoded", "content") ?? named(entry, "description", "summary");
  const brief =
    named(entry, "summary") ?? (named(entry, "encoded", "content") ? named(entry, "description") : undefined);
  const author = named(entry, "author", "creator");
  const name = author && (textIn(named(author, "name")) || textIn(author));
  const tags = elements(entry)
    .filter((each) => localName(each) === "category")
    .map((each) => (each.attributes.label ?? each.attributes.term ?? textIn(each)).trim());
  return {
    title: plain(htmlIn(named(entry, "title"))) || "Without a title",
    slug: lastPart(linkOf(entry)),
    at: clockIn(textIn(named(entry, "published", "pubdate", "date", "updated"))),
    author: name ?? "",
    tags: [...new Set(tags.filter(Boolean))],
    summary: plain(htmlIn(brief)),
    isDraft: textIn(named(entry, "draft")) === "yes",
    text: richOf(fromHtml(htmlIn(whole), { fragment: true })),
  };
}

/** The posts in a feed (Atom, RFC 4287; RSS 2.0), in its order; undefined for what is none. */
export function postsFromFeed(xml: string): readonly PostIn[] | undefined {
  let tree: Root;
  try {
    tree = fromXml(xml.replace(/^\ufeff/, ""));
  } catch {
    return undefined;
  }
  const top = elements(tree)[0];
  const holder = top && (localName(top) === "feed" ? top : named(top, "channel"));
  if (!holder) return undefined;
  // RSS 1.0 has its items beside the channel.
  const entries = [...elements(holder), ...(holder === top ? [] : elements(top))];
  return entries
    .filter((each) => ["entry", "item"].includes(localName(each)))
    .slice(0, MOST_POSTS_IN)
    .map(postOf);
}
