import { parseDocument } from "htmlparser2";

/** Whether a file begins like a drawing: declarations and comments, and then an `svg` element. Looks at its first 4 KB, once. */
export function looksLikeSvg(bytes: Buffer): boolean {
  const text = bytes
    .subarray(0, 4096)
    .toString("utf8")
    .replace(/^\ufeff/, "");
  let at = 0;
  const skipTo = (end: string) => {
    const found = text.indexOf(end, at);
    at = found < 0 ? text.length : found + end.length;
  };
  while (at < text.length) {
    if (/\s/.test(text[at]!)) at++;
    else if (text.startsWith("<?", at)) skipTo("?>");
    else if (text.startsWith("<!--", at)) skipTo("-->");
    else if (/^<!doctype/i.test(text.slice(at, at + 9))) {
      // Declarations of its own stand in square brackets.
      const open = text.indexOf("[", at);
      const close = text.indexOf(">", at);
      if (open >= 0 && open < close) skipTo("]");
      skipTo(">");
    } else return /^<svg[\s>]/i.test(text.slice(at, at + 5));
  }
  return false;
}

/** How many shapes a drawing may come to when all its references are followed, and how deep they may lead. */
const MOST_DRAWN = 20_000;
const MOST_DEPTH = 60;

type XmlNode = ReturnType<typeof parseDocument>["children"][number];
type Element = Extract<XmlNode, { attribs: unknown }>;

const isElement = (node: XmlNode): node is Element => "attribs" in node;

/** Ids inside of the drawing that an element refers to: by `href`, and by `url(#…)` in any of its attributes. */
function* referencesOf({ attribs }: Element): Generator<string> {
  for (const [name, value] of Object.entries(attribs)) {
    if (/(?:^|:)href$/i.test(name) && value.trim().startsWith("#")) yield value.trim().slice(1);
    for (const [, id] of value.matchAll(/url\(\s*["']?#([^"')\s]+)/gi)) yield id!;
  }
}

/**
 * Why a drawing can't be used: elements stand too deep in each other, refer to themselves, or come to too many when everything
 * that is used several times is counted each time (eight lines can ask for a million shapes). Undefined where it can.
 */
export function problemWithDrawing(svg: string): string | undefined {
  const tooMuch = "This drawing is too complicated to be drawn quickly. Simplify it, or upload it as a PNG.";
  const document = parseDocument(svg, { xmlMode: true });
  const byId = new Map<string, Element>();
  const todo: { node: XmlNode; depth: number }[] = document.children.map((node) => ({ node, depth: 1 }));
  for (let next = todo.pop(); next; next = todo.pop()) {
    const { node, depth } = next;
    if (!isElement(node)) continue;
    if (depth > MOST_DEPTH) return tooMuch;
    if (node.attribs.id && !byId.has(node.attribs.id)) byId.set(node.attribs.id, node);
    for (const child of node.children) todo.push({ node: child, depth: depth + 1 });
  }
  const sizes = new Map<Element, number>();
  const open = new Set<Element>();
  /** Undefined: it leads back to itself, or too deep. */
  const sizeOf = (element: Element): number | undefined => {
    const known = sizes.get(element);
    if (known !== undefined) return known;
    if (open.has(element) || open.size > 2 * MOST_DEPTH) return undefined;
    open.add(element);
    let size = 1;
    const parts = element.children.filter(isElement);
    for (const id of referencesOf(element)) {
      const target = byId.get(id);
      if (target) parts.push(target);
    }
    for (const part of parts) {
      const more = sizeOf(part);
      if (more === undefined) return undefined;
      size = Math.min(size + more, MOST_DRAWN + 1);
    }
    open.delete(element);
    sizes.set(element, size);
    return size;
  };
  let drawn = 0;
  for (const node of document.children) {
    if (!isElement(node)) continue;
    const size = sizeOf(node);
    if (size === undefined) return tooMuch;
    drawn += size;
  }
  return drawn > MOST_DRAWN ? tooMuch : undefined;
}
