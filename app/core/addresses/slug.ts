import { withoutEnd, withoutEnds } from "../document";

/** The longest slug, in characters. */
export const LONGEST_SLUG = 80;

/** Latin letters that Unicode does not take apart into a letter and a mark. */
const PLAIN: ReadonlyMap<string, string> = new Map([
  ["ß", "ss"],
  ["ł", "l"],
  ["ø", "o"],
  ["đ", "d"],
  ["æ", "ae"],
  ["œ", "oe"],
  ["þ", "th"],
  ["ð", "d"],
  ["ı", "i"],
]);

/**
 * The part of an address that is made from a name: small letters and digits of any script, with hyphens between words. Marks on
 * Latin letters are left away (“Café” → `cafe`); letters of other scripts stay as they are, as an IRI may have them (RFC 3987).
 * Empty where the name has neither letters nor digits.
 */
export function slugOfName(name: string): string {
  const plain = name
    .normalize("NFKD")
    .toLowerCase()
    // Only of Latin letters: elsewhere a mark can make another letter, as in Cyrillic й.
    .replace(/(\p{Script=Latin})[\u0300-\u036f]+/gu, "$1")
    .normalize("NFC")
    .replace(/[ßłøđæœþðı]/g, (letter) => PLAIN.get(letter)!)
    .replace(/['’]/g, "")
    .replace(/[^\p{L}\p{N}\p{M}]+/gu, "-");
  // By whole letters: half of one is none.
  const cut = [...withoutEnds(plain, "-")].slice(0, LONGEST_SLUG).join("");
  const slug = withoutEnd(cut, "-");
  // A mark that stands on nothing is no word.
  return /^[\p{L}\p{N}]/u.test(slug) ? slug : "";
}

const SLUG = /^[\p{L}\p{N}][\p{L}\p{N}\p{M}]*(?:-[\p{L}\p{N}\p{M}]+)*$/u;

/** Why something can't be a slug, in words; undefined where it can. */
export function slugProblem(slug: string): string | undefined {
  if (slug === "") return "An address needs at least one letter or digit.";
  if ([...slug].length > LONGEST_SLUG) return `Keep it to ${LONGEST_SLUG} characters.`;
  if (slug !== slug.normalize("NFC").toLowerCase() || !SLUG.test(slug))
    return "Use small letters, digits and hyphens between them, like our-workshop.";
  return undefined;
}

/** First parts of addresses that are the shop's own, so that no page at the top can have them. */
export const TAKEN_SLUGS: ReadonlySet<string> = new Set([
  "account",
  "assets",
  "cart",
  "checkout",
  "collections",
  "fonts",
  "gift-cards",
  "health",
  "media",
  "order",
  "orders",
  "pages",
  "products",
  "search",
  "sign-in",
  "sign-out",
  "sign-up",
]);
