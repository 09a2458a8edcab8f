import { homeOf, siteOf, type SitePage } from "~/core/addresses";
import { entryOf, freeze, layoutProps, pageProps, spread, walk, type Draft, type PageDocument } from "~/core/document";
import { journalOf, journalsOf, openPosts, postsOf, tagSlug } from "~/core/journal";
import { plainOf, type Rich } from "~/core/rich";
import { kindOf } from "~/kinds";
import type { JournalPosts, PostEntry } from "~/kinds/parts";
import { DESCRIPTION_LENGTH, firstPicture, firstWords, plainText } from "./sharing";

type Documents = Draft["documents"];

/** The kind in whose place a post's own sections stand on the layout of posts. */
export const POST_BODY = "post-body";
const LAYOUT = "post";

const composed = new WeakMap<PageDocument, { readonly layout: PageDocument; readonly whole: PageDocument }>();

/** A post as it is drawn: its own sections where the layout of posts has their place, or after all of it. */
export function withPostLayout(documents: Documents, post: PageDocument): PageDocument {
  const stored = entryOf(documents, LAYOUT);
  if (!stored || !layoutProps(stored)) return post;
  const layout = spread(documents, stored);
  const known = composed.get(post);
  if (known?.layout === layout) return known.whole;
  const around = layout.root.slots.main ?? [];
  const own = post.root.slots.main ?? [];
  const at = around.findIndex((part) => part.kind === POST_BODY);
  const main = at < 0 ? [...around, ...own] : around.toSpliced(at, 1, ...own);
  const whole = freeze({ ...post, root: { ...post.root, slots: { ...post.root.slots, main } } });
  composed.set(post, { layout, whole });
  return whole;
}

/**
 * Words that are read silently in a minute: 238 for what is not a novel (Brysbaert, "How many words do we read per minute?",
 * Journal of Memory and Language 109, 2019; from memory).
 */
const WORDS_A_MINUTE = 238;

const minutesOf = new WeakMap<PageDocument, number>();

/** How many minutes it takes to read a page; at least one. */
export function readingTime(page: PageDocument): number {
  let minutes = minutesOf.get(page);
  if (minutes === undefined) {
    let words = 0;
    for (const section of page.root.slots.main ?? [])
      for (const part of section.shown ? walk(section) : [])
        for (const field of kindOf(part)?.definition.fields ?? []) {
          if (field.type !== "line" && field.type !== "text" && field.type !== "rich") continue;
          words +=
            plainOf((entryOf(part.props, field.key) ?? "") as unknown as Rich).match(/[\p{L}\p{N}]+/gu)?.length ?? 0;
        }
    minutesOf.set(page, (minutes = Math.max(1, Math.round(words / WORDS_A_MINUTE))));
  }
  return minutes;
}

/** What lists say of a post: in the seller's words, or how it begins. */
export function postSummary(documents: Documents, post: PageDocument): string {
  const { summary, description } = pageProps(post);
  return summary || description || plainText(firstWords(spread(documents, post)) ?? "", DESCRIPTION_LENGTH);
}

function entryFor(documents: Documents, { document, address, props }: SitePage): PostEntry {
  const whole = () => spread(documents, document);
  return {
    id: document.id,
    title: document.title,
    address,
    at: props.at,
    author: props.author,
    tags: props.tags.map((name) => ({ name, slug: tagSlug(name) })),
    own: { picture: props.picture, summary: props.summary },
    picture: () => props.picture ?? firstPicture(whole()),
    summary: () => postSummary(documents, document),
    minutes: () => readingTime(whole()),
  };
}

/** The post that a page is, and its place in its journal; undefined for what is no post. */
export function postEntry(documents: Documents, id: string): PostEntry | undefined {
  const page = siteOf(documents).byId.get(id);
  return page && journalOf(documents, id) ? entryFor(documents, page) : undefined;
}

/** The journal that is meant on a page: the one that is named, that of the page, or the shop's first. */
const journalFor = (documents: Documents, wished: string | null, here: string | undefined): SitePage | undefined => {
  const { byId } = siteOf(documents);
  const named = byId.get(wished ?? "");
  if (wished !== null) return named?.props.journal ? named : undefined;
  const own = here === undefined ? undefined : byId.get(here);
  if (own?.props.journal) return own;
  return (here === undefined ? undefined : journalOf(documents, here)) ?? journalsOf(documents)[0];
};

/** The posts of a journal that are out on a day, latest first. `here`: the page that asks. */
export function journalPosts(
  documents: Documents,
  wished: string | null,
  here: string | undefined,
  day: string,
): JournalPosts | undefined {
  const journal = journalFor(documents, wished, here);
  if (!journal) return undefined;
  const posts = openPosts(documents, journal.document.id, day);
  const { document, address } = journal;
  return {
    id: document.id,
    title: document.title,
    address: homeOf(documents) === document.id ? "/" : address,
    isHere: document.id === here,
    slice: (from, to, tag) =>
      (tag === undefined ? posts : posts.filter((p) => p.props.tags.some((t) => tagSlug(t) === tag)))
        .slice(from, to)
        .map((p) => entryFor(documents, p)),
    pages: posts,
  };
}

/** The posts before and after one in time: the next earlier, and the next later. */
export function besidePost(
  documents: Documents,
  id: string,
  day: string,
): { readonly earlier?: PostEntry | undefined; readonly later?: PostEntry | undefined } {
  const journal = journalOf(documents, id);
  if (!journal) return {};
  const all = postsOf(documents, journal.document.id);
  const at = all.findIndex((p) => p.document.id === id);
  // It may be one that is not out yet itself; those beside it are.
  const open = new Set(openPosts(documents, journal.document.id, day));
  const entry = (page: SitePage | undefined) => page && entryFor(documents, page);
  return {
    earlier: entry(all.slice(at + 1).find((p) => open.has(p))),
    later: entry(all.slice(0, at).findLast((p) => open.has(p))),
  };
}
