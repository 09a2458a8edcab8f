import { entryOf } from "~/core/document";
import { RICH_LIMITS } from "~/core/rich";

// Text pasted from office programs and web pages brings its looks along. What it means is kept (heads, lists, bold, links,
// tables), what it looks like is not: how words look is the shop's to say.

/** The attribute of a footnote on the clipboard: what it says. */
export const FOOTNOTE = "data-footnote";
/** What the editor itself says on the clipboard of what HTML has no word for, as JSON; whoever reads it checks it. */
export const OWN_WORDS = {
  letters: "data-letters",
  link: "data-link",
  liveField: "data-live",
  figure: "data-figure",
  film: "data-film",
  callout: "data-callout",
  align: "data-align",
} as const;
const KEPT: ReadonlySet<string> = new Set([
  ...["href", "colspan", "rowspan", "start", FOOTNOTE],
  ...Object.values(OWN_WORDS),
  // How much of the first and the last block was copied.
  "data-pm-slice",
]);
const HEADS: Readonly<Record<string, string>> = { H1: "h2", H5: "h4", H6: "h4" };
const DROPPED = "script,style,meta,link,title,xml,img,svg,iframe,object,video,audio,button,input,select,textarea";

/** Renames an element, with what is in it. */
function rename(element: Element, tag: string): Element {
  const next = element.ownerDocument.createElement(tag);
  next.append(...element.childNodes);
  element.replaceWith(next);
  return next;
}

/** Puts marks that are only a look into the elements that mean it. */
function meanBySpans(root: HTMLElement): void {
  for (const span of root.querySelectorAll<HTMLElement>("span[style],font[style]")) {
    const { fontWeight, fontStyle, textDecorationLine, textDecoration, verticalAlign } = span.style;
    const line = textDecorationLine || textDecoration;
    const wanted = [
      Number.parseInt(fontWeight, 10) >= 600 || fontWeight.startsWith("bold") ? "strong" : "",
      fontStyle === "italic" ? "em" : "",
      line.includes("underline") && !span.closest("a") ? "u" : "",
      line.includes("line-through") ? "s" : "",
    ].filter(Boolean);
    if (verticalAlign) span.style.removeProperty("vertical-align");
    for (const tag of wanted) {
      const mark = span.ownerDocument.createElement(tag);
      mark.append(...span.childNodes);
      span.append(mark);
    }
  }
  // A wrapper that some editors put around everything: bold by name, and not meant.
  for (const bold of root.querySelectorAll<HTMLElement>("b[style],strong[style]")) {
    if (bold.style.fontWeight === "normal" || bold.style.fontWeight === "400") bold.replaceWith(...bold.childNodes);
  }
}

const MARKER = /^\s*(?:[·•o§▪–-]|\(?(?:\d{1,3}|[a-z]|[ivx]{1,5})[.)])\s+/i;

type Open = { readonly list: HTMLElement; readonly level: number };

/** Paragraphs that say in their style that they are items of a list become items of one. */
function listsFromParagraphs(root: HTMLElement): void {
  let open: Open[] = [];
  let before: Element | null = null;
  for (const paragraph of [...root.querySelectorAll<HTMLElement>("p")]) {
    const style = paragraph.getAttribute("style") ?? "";
    const listed = style.split(";").find((rule) => /^\s*mso-list:/i.test(rule));
    const level = Number(
      /level(\d)/i.exec(listed ?? "")?.[1] ?? (paragraph.className.includes("MsoListParagraph") ? 1 : 0),
    );
    if (!level) continue;
    const { ownerDocument } = paragraph;
    const text = paragraph.textContent ?? "";
    const isNumbered = /^\s*\(?(?:\d{1,3}|[a-z]|[ivx]{1,5})[.)]/i.test(text);
    for (const ignored of paragraph.querySelectorAll<HTMLElement>("span")) {
      if (/mso-list:\s*ignore/i.test(ignored.getAttribute("style") ?? "")) ignored.remove();
    }
    const first = ownerDocument.createTreeWalker(paragraph, NodeFilter.SHOW_TEXT).nextNode();
    if (first?.nodeValue) first.nodeValue = first.nodeValue.replace(MARKER, "");
    // A paragraph in between ends the list.
    if (paragraph.previousElementSibling !== before) open = [];
    while (open.length && open.at(-1)!.level > level) open.pop();
    if (open.at(-1)?.level !== level) {
      const list = ownerDocument.createElement(isNumbered ? "ol" : "ul");
      const outer = open.at(-1);
      if (outer) (outer.list.lastElementChild ?? outer.list).append(list);
      else paragraph.before(list);
      open.push({ list, level });
    }
    const item = ownerDocument.createElement("li");
    const inner = ownerDocument.createElement("p");
    inner.append(...paragraph.childNodes);
    item.append(inner);
    open.at(-1)!.list.append(item);
    paragraph.remove();
    before = open[0]!.list;
  }
}

/**
 * Notes of word processors and pages: a link that leads to a place from which another one leads back. The first of the two is where the
 * note stands; what is around the other one is what it says.
 */
function footnotesFromLinks(root: HTMLElement): void {
  // By their ids, or as old programs write it, by the name of an anchor.
  const places = new Map<string, Element>();
  for (const each of root.querySelectorAll("[id],a[name]"))
    for (const name of [each.id, each.getAttribute("name") ?? ""]) if (name) places.set(`#${name}`, each);
  for (const link of [...root.querySelectorAll<HTMLAnchorElement>('a[href^="#"]')]) {
    const href = link.getAttribute("href") ?? "";
    if (!root.contains(link) || href.length < 2) continue;
    const target = places.get(href);
    const block = target?.closest("li,p,div,aside");
    if (!target || !block || block.contains(link)) continue;
    const back = [...block.querySelectorAll<HTMLAnchorElement>('a[href^="#"]')].find((each) => {
      const from = places.get(each.getAttribute("href") ?? "");
      // The link itself, an anchor in it, or the raised figure around it: a way up to whatever holds the link is no way back to it.
      return from !== undefined && (link.contains(from) || (from.tagName === "SUP" && from === link.parentElement));
    });
    if (!back || link.compareDocumentPosition(back) & Node.DOCUMENT_POSITION_PRECEDING) continue;
    const alone = block.cloneNode(true) as Element;
    for (const each of alone.querySelectorAll("a"))
      if (each.getAttribute("href") === back.getAttribute("href")) each.remove();
    const text = (alone.textContent ?? "").replace(/\s+/g, " ").trim();
    // What is longer than a footnote stays where it is written, with nothing lost.
    if (text.length > RICH_LIMITS.footnote) continue;
    const list = block.parentElement;
    block.remove();
    // Nothing is left of the list that held them.
    if (list && list !== root && !list.textContent?.trim()) list.remove();
    const around = link.parentElement?.tagName === "SUP" ? link.parentElement : link;
    if (!text) around.remove();
    else {
      const mark = root.ownerDocument.createElement("sup");
      mark.setAttribute(FOOTNOTE, text);
      around.replaceWith(mark);
    }
  }
}

/** Pasted HTML without its looks. Never runs anything: it is parsed into a document of its own. */
export function cleanPasted(html: string): string {
  // What word processors say to certain browsers (`<![if …]>`) is a comment to all others, and goes with the comments.
  const parsed = new DOMParser().parseFromString(html, "text/html");
  const root = parsed.body;
  for (const element of root.querySelectorAll(DROPPED)) element.remove();
  const comments: ChildNode[] = [];
  for (const walker = parsed.createTreeWalker(root, NodeFilter.SHOW_COMMENT); walker.nextNode();)
    comments.push(walker.currentNode as ChildNode);
  for (const comment of comments) comment.remove();
  footnotesFromLinks(root);
  meanBySpans(root);
  listsFromParagraphs(root);
  for (const element of [...root.querySelectorAll("*")]) {
    const tag = entryOf(HEADS, element.tagName);
    const here = tag ? rename(element, tag) : element;
    const align = (here as HTMLElement).style?.textAlign;
    for (const { name } of [...here.attributes]) {
      if (!KEPT.has(name)) here.removeAttribute(name);
    }
    if (align === "center" || align === "right") (here as HTMLElement).style.textAlign = align;
    // Elements with a colon are an office program's own.
    if (here.tagName.includes(":")) here.replaceWith(...here.childNodes);
  }
  // Paragraphs that only made room.
  for (const paragraph of root.querySelectorAll("p")) {
    if (!paragraph.textContent?.replace(/\u00a0/g, " ").trim() && !paragraph.querySelector("br + br"))
      paragraph.remove();
  }
  return root.innerHTML.replace(/\u00a0/g, " ");
}
