import { entryOf, markOf, pageProps, walk, type Draft, type Look, type PageDocument, type Part } from "~/core/document";
import { plainOf, type Rich } from "~/core/rich";
import { KINDS, kindOf, type Field } from ".";
import { blankIn, PAGE_DESIGNS, SECTION_DESIGNS, STARTS, TRADES } from "./designs";

/** Shorter words are labels, which are as good as a seller's own. */
const LEAST = 12;

const textOf = (value: unknown): string =>
  typeof value === "string" || Array.isArray(value) || (typeof value === "object" && value !== null)
    ? plainOf(value as Rich).trim()
    : "";

/** The words that a part says itself, each with where they stand: `heading`, `steps.2.text`. */
function* wordsOf(
  fields: readonly Field[],
  props: Readonly<Record<string, unknown>>,
  above = "",
): Generator<{ readonly key: string; readonly words: string }> {
  for (const field of fields) {
    const value = entryOf(props, field.key);
    // Lines in lists are labels: names of tabs, heads of parts.
    if ((field.type === "line" && above === "") || field.type === "text" || field.type === "rich")
      yield { key: above + field.key, words: textOf(value) };
    else if (field.type === "list" && Array.isArray(value))
      for (const [i, item] of value.entries())
        yield* wordsOf(field.fields, item as Readonly<Record<string, unknown>>, `${above}${field.key}.${i}.`);
  }
}

/** Whether a part says what its kind says by itself. */
export const saysAsUsual = (part: Part, key: string): boolean => {
  const usual = entryOf((kindOf(part)?.definition.defaults ?? {}) as Part["props"], key);
  return usual !== undefined && textOf(entryOf(part.props, key)) === textOf(usual);
};

/** What of a part's own words are sentences; the others are labels. */
const SENTENCES: ReadonlySet<string> = new Set(["text", "heading", "note", "caption"]);

/** Stands for the shop's name, which is in some of the studio's sentences, while they are gathered. */
const SHOP = "\uE000";

let gathered: ReadonlySet<string> | undefined;

/** Every sentence that the studio puts onto pages by itself, with `SHOP` where the shop's name will be. */
function allWords(): ReadonlySet<string> {
  if (gathered) return gathered;
  const words = new Set<string>();
  const note = (value: unknown) => void words.add(textOf(value));
  // Sentences, those in lists as well, and no labels. What a kind says by itself is asked about only where the kind says so.
  const noteAll = (parts: readonly Part[]) => {
    for (const part of parts.flatMap((each) => [...walk(each)]))
      for (const { key, words: said } of wordsOf(kindOf(part)?.definition.fields ?? [], part.props))
        if (key.includes(".") || (SENTENCES.has(key) && !saysAsUsual(part, key))) note(said);
  };
  for (const { definition } of KINDS.values()) {
    for (const { key, words } of wordsOf(definition.fields, definition.defaults))
      // What lists begin with is the studio's as well.
      if (key.includes(".") || definition.placeholders?.includes(key)) note(words);
    for (const start of definition.starts ?? []) {
      const { slots = {}, props = {} } = start.build({
        picture: null,
        pictures: [],
        product: null,
        link: { to: "nowhere" },
      });
      noteAll(Object.values(slots).flat());
      for (const { words: said } of wordsOf(definition.fields, props)) note(said);
    }
  }
  for (const trade of TRADES) {
    const given = { shop: SHOP, trade, picture: () => null, product: () => null, collections: [] };
    for (const design of PAGE_DESIGNS) noteAll(design.build(given));
    for (const design of SECTION_DESIGNS) noteAll([design.build(given)]);
    for (const { home, story, product } of STARTS)
      for (const build of [home, story, product]) noteAll(build({ ...given, about: { to: "home" } }));
  }
  gathered = words;
  return words;
}

let known: { readonly shop: string; readonly words: ReadonlySet<string> } | undefined;

/** The same in a shop of this name. */
function studiosWords(shop: string): ReadonlySet<string> {
  if (known?.shop === shop) return known.words;
  const words = [...allWords()].map((each) => each.replaceAll(SHOP, () => shop)).filter((each) => each.length >= LEAST);
  known = { shop, words: new Set(words) };
  return known.words;
}

/** `isBlank`: a fact that only the seller knows is lacking; the part is left out of the shop until it is there. */
export type Placeholder = {
  readonly document: PageDocument;
  readonly part: Part;
  /** Which of its values says it, as a path joined by dots; undefined for a blank, which may stand in any. */
  readonly key: string | undefined;
  readonly words: string;
  readonly isBlank: boolean;
};

/** Words of a document that are still the studio's and that the seller has not found to be true, and its blanks; what is not shown yet is not looked at. */
export function placeholdersOf(document: PageDocument, { identity, accepted }: Look): readonly Placeholder[] {
  const own = studiosWords(identity.name);
  const isTrue = new Set(accepted);
  const found: Placeholder[] = [];
  const look = (part: Part): void => {
    if (!part.shown) return;
    const blank = blankIn(part);
    if (blank !== undefined) found.push({ document, part, key: undefined, words: blank, isBlank: true });
    // What has a blank is written anew anyway.
    else
      for (const { key, words } of wordsOf(kindOf(part)?.definition.fields ?? [], part.props))
        if (own.has(words) && !isTrue.has(markOf(words))) found.push({ document, part, key, words, isBlank: false });
    for (const children of Object.values(part.slots)) children.forEach(look);
  };
  look(document.root);
  return found;
}

/** The same for all that shoppers could see of a draft. */
export const placeholdersIn = ({ look, documents }: Draft): readonly Placeholder[] =>
  Object.values(documents)
    .filter((d) => d.kind !== "piece" && !(d.kind === "page" && pageProps(d).hidden))
    .flatMap((d) => placeholdersOf(d, look));
