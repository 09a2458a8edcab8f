import { parse, type DefaultTreeAdapterTypes } from "parse5";

// A page as somebody sees it who has no browser: what stands on it, where it leads, and which forms can be sent from it.

type Node = DefaultTreeAdapterTypes.Node;
type Element = DefaultTreeAdapterTypes.Element;

const isElement = (node: Node): node is Element => "tagName" in node;
const childrenOf = (node: Node): readonly Node[] => ("childNodes" in node ? node.childNodes : []);

export const attributeOf = (element: Element, name: string): string | undefined =>
  element.attrs.find((each) => each.name === name)?.value;

/** Every element at or below a node that isn’t hidden, in reading order; what only browsers without a script see as well. */
export function* elementsIn(node: Node): Generator<Element> {
  if (isElement(node)) {
    if (attributeOf(node, "hidden") !== undefined) return;
    yield node;
  }
  for (const child of childrenOf(node)) yield* elementsIn(child);
}

export function textOf(node: Node): string {
  if ("value" in node && node.nodeName === "#text") return node.value;
  return childrenOf(node).map(textOf).join("");
}
/** What a link is called: its words, and what its pictures show. */
const calledBy = (node: Node): string =>
  isElement(node) && node.tagName === "img"
    ? ` ${attributeOf(node, "alt") ?? ""} `
    : "value" in node && node.nodeName === "#text"
      ? node.value
      : childrenOf(node).map(calledBy).join("");
const plain = (text: string) => text.replace(/\s+/g, " ").trim();

export type PageForm = {
  readonly action: string;
  readonly method: "get" | "post";
  /** What is sent with it as it stands, by name. */
  readonly values: ReadonlyMap<string, string>;
  /** Values that can be chosen instead: of radio buttons and lists. */
  readonly choices: ReadonlyMap<string, readonly string[]>;
  /** The buttons that send it, with what each of them says besides. */
  readonly buttons: readonly { readonly words: string; readonly name: string; readonly value: string }[];
};

export type SeenPage = {
  readonly title: string;
  readonly headings: readonly string[];
  /** `words`: null for one that is there for the pointer alone. */
  readonly links: readonly { readonly to: string; readonly words: string | null }[];
  readonly images: readonly string[];
  readonly ids: ReadonlySet<string>;
  readonly forms: readonly PageForm[];
  readonly text: string;
};

const FIELDS: ReadonlySet<string> = new Set(["input", "select", "textarea"]);

function formOf(form: Element, all: readonly Element[]): PageForm {
  const id = attributeOf(form, "id");
  const inside = new Set(elementsIn(form));
  const own = all.filter((each) =>
    attributeOf(each, "form") === undefined ? inside.has(each) : id !== undefined && attributeOf(each, "form") === id,
  );
  const values = new Map<string, string>();
  const choices = new Map<string, string[]>();
  const buttons: { words: string; name: string; value: string }[] = [];
  for (const each of own) {
    if (attributeOf(each, "disabled") !== undefined) continue;
    const name = attributeOf(each, "name") ?? "";
    const type = attributeOf(each, "type") ?? "";
    if (each.tagName === "button" && (type === "" || type === "submit"))
      buttons.push({ words: plain(textOf(each)), name, value: attributeOf(each, "value") ?? "" });
    if (!FIELDS.has(each.tagName) || name === "") continue;
    if (each.tagName === "select") {
      const options = [...elementsIn(each)].filter(({ tagName }) => tagName === "option");
      const valueOf = (option: Element) => attributeOf(option, "value") ?? plain(textOf(option));
      const chosen = options.find((option) => attributeOf(option, "selected") !== undefined) ?? options[0];
      if (chosen) values.set(name, valueOf(chosen));
      choices.set(name, options.map(valueOf));
      continue;
    }
    const value = each.tagName === "textarea" ? textOf(each) : (attributeOf(each, "value") ?? "");
    if (type === "radio" || type === "checkbox") {
      choices.set(name, [...(choices.get(name) ?? []), value || "on"]);
      if (attributeOf(each, "checked") !== undefined) values.set(name, value || "on");
    } else if (type === "submit") buttons.push({ words: value, name, value });
    else values.set(name, value);
  }
  const method = (attributeOf(form, "method") ?? "get").toLowerCase() === "post" ? "post" : "get";
  return { action: attributeOf(form, "action") ?? "", method, values, choices, buttons };
}

/** Reads a page. */
export function readPage(html: string): SeenPage {
  const document = parse(html);
  const all = [...elementsIn(document)];
  const named = (...tags: readonly string[]) => all.filter(({ tagName }) => tags.includes(tagName));
  const body = named("body")[0];
  return {
    title: plain(textOf(named("title")[0] ?? document)),
    headings: named("h1").map((each) => plain(textOf(each))),
    links: named("a").flatMap((each) => {
      const to = attributeOf(each, "href");
      if (to === undefined) return [];
      // Whoever hears the page doesn't hear of it.
      const isSilent = attributeOf(each, "aria-hidden") === "true";
      return [{ to, words: isSilent ? null : plain(calledBy(each)) || (attributeOf(each, "aria-label") ?? "") }];
    }),
    images: [
      ...named("img").flatMap((each) => attributeOf(each, "src") ?? []),
      ...named("video", "source").flatMap((each) => attributeOf(each, "src") ?? []),
    ],
    ids: new Set(all.flatMap((each) => attributeOf(each, "id") ?? [])),
    forms: named("form").map((form) => formOf(form, all)),
    text: body ? plain(textOf(body)) : "",
  };
}
