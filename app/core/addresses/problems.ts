import { entryOf, type Draft } from "../document";
import { decodeAddress, siteOf } from "./site";
import { slugProblem, TAKEN_SLUGS } from "./slug";

/** The most pages that one stands beneath, one beneath the other. */
export const DEEPEST = 5;

/**
 * Why the pages of a shop can't be as they are, in words; undefined where they can. Two tabs that each made a sound change may make an
 * unsound one together, so this is asked of the whole, whoever changes a page's place, slug or existence.
 * @param changed only what is wrong with one of these is said; absent: with any
 */
export function pageProblem(documents: Draft["documents"], changed?: ReadonlySet<string>): string | undefined {
  const site = siteOf(documents);
  if (!site.byId.has(site.home)) return "A shop has a home page. Make another page the home page first.";
  // A page that moves takes along what stands beneath it; pages come after the one that they stand beneath.
  const asked = new Set(changed);
  for (const { document, props, parent, depth, address } of site.pages) {
    if (parent !== null && asked.has(parent)) asked.add(document.id);
    const isAsked = !changed || asked.has(document.id);
    const plain = decodeAddress(address)!;
    const first = site.byAddress.get(plain)!;
    if (first.document.id !== document.id && (isAsked || asked.has(first.document.id)))
      return `“${first.document.title}” has the address ${plain} already. Choose another one for “${document.title}”.`;
    if (!isAsked) continue;
    const why = slugProblem(props.slug);
    if (why) return why;
    if (props.parent !== parent && document.id !== site.home)
      return entryOf(documents, props.parent ?? "")
        ? `“${document.title}” can’t stand beneath itself.`
        : `The page beneath which “${document.title}” was to stand is no longer there.`;
    if (document.id === site.home && props.hidden) return "The home page is always in the shop.";
    if (depth > DEEPEST) return `“${document.title}” would stand beneath more than ${DEEPEST} pages.`;
    const isAtTop = plain.split("/").length === 2;
    if (isAtTop && document.id !== site.home && TAKEN_SLUGS.has(props.slug))
      return `/${props.slug} is an address of the shop itself. Choose another one.`;
  }
  return undefined;
}
