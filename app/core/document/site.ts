import { entryOf } from "./entry";
import { SITE, type Draft, type PageDocument } from "./types";

// What the shop as a whole says besides its pages: to search engines and browsers, and of its own words.

/** Proof that somebody owns a shop, as services ask for it in the head of its pages. */
export type Proof = { readonly name: string; readonly content: string };

/** What stands in the head of every page besides what the shop says itself; nothing of it runs. */
export type HeadAdditions = {
  readonly proofs: readonly Proof[];
  /** The colour of the browser's own bar, "#rrggbb"; null: that of the header. */
  readonly bar: string | null;
  /** Origins that browsers are to turn to early, because something of theirs is on most pages. */
  readonly early: readonly string[];
};

/** How the shop writes a word, and how it doesn't. */
export type Spelling = { readonly say: string; readonly instead: readonly string[] };

/** What a seller's own field of pages holds. */
export const OWN_SORTS = ["words", "number", "date", "picture", "link"] as const;

/** A field that the seller gave to pages or goods, to be filled in on each and shown by widgets that take what they say from it. */
export type OwnField = {
  readonly id: string;
  readonly name: string;
  readonly sort: (typeof OWN_SORTS)[number];
  /** Absent: of pages. */
  readonly of?: "product" | undefined;
};

/** How the value of a field that holds a picture begins; after it stands the picture’s id. */
export const OWN_PICTURE = "picture:";
export const MOST_OWN_FIELDS = 40;
export const LONGEST_OWN_NAME = 60;
export const LONGEST_OWN_VALUE = 2000;

export const MOST_PROOFS = 10;
export const MOST_EARLY = 6;
export const MOST_SPELLINGS = 200;

const NOTHING: HeadAdditions = { proofs: [], bar: null, early: [] };

const said = <T>(documents: Draft["documents"], key: string): T | undefined => {
  const site = entryOf(documents, SITE);
  return site && (entryOf(site.root.props, key) as T | undefined);
};

export const headAdditions = (documents: Draft["documents"]): HeadAdditions => ({
  ...NOTHING,
  ...said<Partial<HeadAdditions>>(documents, "head"),
});

export const spellingsOf = (documents: Draft["documents"]): readonly Spelling[] =>
  said<readonly Spelling[]>(documents, "spellings") ?? [];

const allOwnFields = (documents: Draft["documents"]): readonly OwnField[] =>
  said<readonly OwnField[]>(documents, "fields") ?? [];

/** The seller's own fields of pages, or of goods. */
export const ownFieldsOf = (documents: Draft["documents"], of: "page" | "product" = "page"): readonly OwnField[] =>
  allOwnFields(documents).filter((field) => (field.of ?? "page") === of);

/** What a page says in the seller's own fields, by their ids. */
export const ownValuesOf = (page: PageDocument): Readonly<Record<string, string>> =>
  (entryOf(page.root.props, "own") ?? {}) as Readonly<Record<string, string>>;

/**
 * Names of `meta` that the shop says itself or that change what a page does; somebody's proof has none of them. What is left only
 * describes.
 */
const TAKEN =
  /^(?:viewport|robots|googlebot|bingbot|referrer|theme-color|color-scheme|description|generator|application-name|format-detection|charset|refresh|content-security-policy|(?:og|twitter|article|product|fb|al):.*)$/;

/** Why a proof can't be used; undefined where it can. */
export function proofProblem({ name, content }: Proof): string | undefined {
  if (!/^[a-z0-9][a-z0-9_.:-]{1,79}$/i.test(name))
    return "The name of a proof has letters, digits, “-”, “_”, “.” and “:”.";
  if (TAKEN.test(name.toLowerCase())) return `“${name}” is something that your pages say themselves.`;
  if (content.trim() === "") return `“${name}” says nothing.`;
  if (content.length > 300) return `What “${name}” says is too long.`;
  return undefined;
}

const valueOf = (tag: string, name: string): string | undefined => {
  const found = new RegExp(`\\s${name}\\s*=\\s*(?:"([^"]*)"|'([^']*)'|([^\\s"'>]+))`, "i").exec(tag);
  return found ? (found[1] ?? found[2] ?? found[3]) : undefined;
};

/** The proof in what a service gives out to be pasted: a `meta` tag, or `name=content`; undefined where there is none. */
export function proofIn(pasted: string): Proof | undefined {
  const text = pasted.trim().slice(0, 1000);
  if (/^<meta\s/i.test(text)) {
    const name = valueOf(text, "name") ?? valueOf(text, "property");
    const content = valueOf(text, "content");
    return name === undefined || content === undefined ? undefined : { name, content };
  }
  const at = text.indexOf("=");
  return at > 0 && !text.startsWith("<")
    ? { name: text.slice(0, at).trim(), content: text.slice(at + 1).trim() }
    : undefined;
}
