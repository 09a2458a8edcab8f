import { entryOf, walk, type Draft, type PageDocument, type Part } from "~/core/document";
import { plainOf, type Rich } from "~/core/rich";
import { KINDS, kindOf } from ".";
import { blankIn } from "./page-designs";

/** Shorter words are labels, which are as good as a seller's own. */
const LEAST = 12;

const textOf = (value: unknown): string =>
  typeof value === "string" || Array.isArray(value) || (typeof value === "object" && value !== null)
    ? plainOf(value as Rich).trim()
    : "";

let known: ReadonlySet<string> | undefined;

/** Every sentence that the studio puts onto pages by itself. */
function studiosWords(): ReadonlySet<string> {
  if (known) return known;
  const words = new Set<string>();
  const note = (value: unknown) => {
    const text = textOf(value);
    if (text.length >= LEAST) words.add(text);
  };
  for (const { definition } of KINDS.values()) {
    for (const key of definition.placeholders ?? []) note(entryOf(definition.defaults, key));
    for (const start of definition.starts ?? []) {
      const { slots = {} } = start.build({ picture: null, product: null, link: { to: "nowhere" } });
      for (const part of Object.values(slots).flat())
        for (const { props } of walk(part)) for (const key of ["text", "heading"]) note(entryOf(props, key));
    }
  }
  return (known = words);
}

export type Placeholder = { readonly document: PageDocument; readonly part: Part; readonly words: string };

/** Words of a draft that shoppers would see and that are still the studio's. */
export function placeholdersIn(draft: Draft): readonly Placeholder[] {
  const own = studiosWords();
  const found: Placeholder[] = [];
  const look = (document: PageDocument, part: Part): void => {
    if (!part.shown) return;
    const blank = blankIn(part);
    if (blank !== undefined) found.push({ document, part, words: blank });
    for (const field of kindOf(part)?.definition.fields ?? []) {
      if (field.type !== "line" && field.type !== "text" && field.type !== "rich") continue;
      const words = textOf(entryOf(part.props, field.key));
      if (own.has(words)) found.push({ document, part, words });
    }
    for (const children of Object.values(part.slots)) for (const child of children) look(document, child);
  };
  for (const document of Object.values(draft.documents)) look(document, document.root);
  return found;
}
