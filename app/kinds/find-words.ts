import { entryOf, ownFieldsOf, ownValuesOf, walk, type Draft, type Json, type Part } from "~/core/document";
import { transaction, refuse, type Outcome } from "~/core/commands";
import { held, type Operation, type Path } from "~/core/operations";
import { foundIn, MOST_FOUND, patternOf, rewritten, type Found, type Rich, type Sought } from "~/core/rich";
import type { Field } from "./definition";
import { kindOf, nameOf } from ".";

// Words looked for in everything that a seller has written on pages, posts, layouts, menus and shared sections, and put in place of
// each other. What is found is found as it is read: letters that differ within a sentence are no border.

/** One text in which something was found. */
export type FoundText = Found & {
  /** Unlike that of any other place: of document, part and path. */
  readonly id: string;
  readonly document: string;
  /** The part; the root of a document for what the document says of itself. */
  readonly part: string;
  readonly path: Path;
  /** What it is called: "Hero, Heading". */
  readonly where: string;
};

type TextAt = { readonly path: Path; readonly label: string; readonly value: Rich };

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
      else if (field.type === "rich" && value) yield { path, label, value: value as unknown as Rich };
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
export function findWords(draft: Draft, sought: Sought, most = MOST_FOUND): readonly FoundText[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  const found: FoundText[] = [];
  for (const { document, node, where, at } of textsOfDraft(draft)) {
    const here = foundIn(at.value, pattern);
    if (!here) continue;
    found.push({ ...here, id: idOf(document, node, at), document, part: node.id, path: at.path, where });
    if (found.length >= most) break;
  }
  return found;
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
      after: held(after as unknown as Json),
    });
  }
  if (operations.length === 0) return refuse("It stands nowhere any more.");
  return transaction("replaceWords", `“${sought.words.trim()}” replaced by “${by.trim()}”`, operations);
}
