import { siteOf, slugOfName, type SitePage } from "../addresses";
import { freeze, type Draft, type PageDocument } from "../document";
import { momentIn } from "../situation";

// A journal is a page whose pages beneath it are posts: they have a date, and stand latest first. All else that pages have (an
// address, search data, being hidden, versions) posts have as well.

type Documents = Draft["documents"];

/** The journals of a shop, in reading order of its pages. */
export const journalsOf = (documents: Documents): readonly SitePage[] =>
  siteOf(documents).pages.filter((page) => page.props.journal);

/** The journal that a page is a post of; undefined for what is no post. */
export function journalOf(documents: Documents, id: string): SitePage | undefined {
  const { byId } = siteOf(documents);
  const above = byId.get(byId.get(id)?.parent ?? "");
  return above?.props.journal ? above : undefined;
}

const sorted = new WeakMap<Documents, Map<string, readonly SitePage[]>>();

/** The posts of a journal, latest first; those of one moment, and those without a date, which stand last, in the order of the pages. */
export function postsOf(documents: Documents, journal: string): readonly SitePage[] {
  let known = sorted.get(documents);
  if (!known) sorted.set(documents, (known = new Map<string, readonly SitePage[]>()));
  let posts = known.get(journal);
  if (!posts) {
    const page = siteOf(documents).byId.get(journal);
    const latestFirst = (a: SitePage, b: SitePage) => (a.props.at < b.props.at ? 1 : a.props.at > b.props.at ? -1 : 0);
    posts = page?.props.journal ? page.children.toSorted(latestFirst) : [];
    known.set(journal, posts);
  }
  return posts;
}

/** The tag as part of an address. */
export const tagSlug = (tag: string): string => slugOfName(tag) || "tag";

export type Tag = { readonly name: string; readonly slug: string; readonly count: number };

const counted = new WeakMap<readonly SitePage[], readonly Tag[]>();

/** The tags of posts with how many have each, most used first. Tags that are the same in an address are one. */
export function tagsOf(posts: readonly SitePage[]): readonly Tag[] {
  let all = counted.get(posts);
  if (!all) counted.set(posts, (all = countTags(posts)));
  return all;
}

function countTags(posts: readonly SitePage[]): readonly Tag[] {
  const tags = new Map<string, { name: string; slug: string; count: number }>();
  for (const { props } of posts)
    for (const name of new Set(props.tags)) {
      const slug = tagSlug(name);
      const known = tags.get(slug);
      if (known) known.count++;
      else tags.set(slug, { name, slug, count: 1 });
    }
  return [...tags.values()].sort((a, b) => b.count - a.count || (a.name < b.name ? -1 : 1));
}

/** Posts that have a tag, by its name in an address. */
export const withTag = (posts: readonly SitePage[], slug: string): readonly SitePage[] =>
  posts.filter(({ props }) => props.tags.some((tag) => tagSlug(tag) === slug));

/** Which part of a journal's list is looked at: a tag by its name in an address, and a page of it, counted from 1. */
export type JournalPart = { readonly tag?: string | undefined; readonly number: number };

/** The address of a part of a journal's list. */
export function partAddress(journal: string, { tag, number }: JournalPart): string {
  const base = journal === "/" ? "" : journal;
  const tagged = tag === undefined ? base : `${base}/tag/${encodeURIComponent(tag)}`;
  return (number > 1 ? `${tagged}/page/${number}` : tagged) || "/";
}

const PART = /^(.*?)(?:\/tag\/([^/]+))?(?:\/page\/([1-9]\d{0,4}))?$/;

/** The journal and the part of its list that an address in letters leads to; undefined where it is no such address. */
export function journalPartAt(
  documents: Documents,
  path: string,
): { readonly journal: SitePage; readonly part: JournalPart } | undefined {
  const [, base, tag, number] = PART.exec(path) ?? [];
  if (base === undefined || (tag === undefined && number === undefined)) return undefined;
  const journal = siteOf(documents).byAddress.get(base || "/");
  if (!journal?.props.journal || journal.props.hidden) return undefined;
  return { journal, part: { tag, number: Number(number ?? 1) } };
}

/** The address of a journal's feed. */
export const feedAddress = (journal: string): string => `${journal === "/" ? "" : journal}/feed.xml`;

/** The journal whose feed stands at an address in letters. */
export function journalOfFeed(documents: Documents, path: string): SitePage | undefined {
  if (!path.endsWith("/feed.xml")) return undefined;
  const journal = siteOf(documents).byAddress.get(path.slice(0, -"/feed.xml".length) || "/");
  return journal?.props.journal && !journal.props.hidden ? journal : undefined;
}

/** A post with the date from which it is out. */
export type Ahead = { readonly page: PageDocument; readonly at: string };
const scheduled = new WeakMap<Documents, readonly Ahead[]>();

/** Posts that have a date and are not hidden, earliest first. */
function scheduledIn(documents: Documents): readonly Ahead[] {
  let all = scheduled.get(documents);
  if (!all) {
    all = journalsOf(documents)
      .flatMap((journal) => journal.children)
      .filter(({ props }) => props.at !== "" && !props.hidden)
      .map(({ document, props }) => ({ page: document, at: props.at }))
      .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
    scheduled.set(documents, all);
  }
  return all;
}

/** Posts that are out at a time, as clocks of the shop show it: how many, which a page can be kept under, and when the next one is. */
export function postsOut(documents: Documents, clock: string): { readonly count: number; readonly next?: string } {
  const all = scheduledIn(documents);
  // Of thousands the most are out long since.
  let [from, to] = [0, all.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (all[middle]!.at <= clock) from = middle + 1;
    else to = middle;
  }
  return from < all.length ? { count: from, next: all[from]!.at } : { count: from };
}

/** The moment at which the next post is out, in ms since 1970; Infinity where none is ahead. */
export function nextPost(documents: Documents, clock: string, timeZone: string): number {
  const { next } = postsOut(documents, clock);
  return next === undefined ? Infinity : (momentIn(next, timeZone) ?? Infinity);
}

const outOn = new WeakMap<Documents, Map<string, readonly SitePage[]>>();

/** The posts of a journal that shoppers see on a day, latest first. The same list for the same documents and day. */
export function openPosts(documents: Documents, journal: string, day: string): readonly SitePage[] {
  let known = outOn.get(documents);
  if (!known) outOn.set(documents, (known = new Map<string, readonly SitePage[]>()));
  const key = `${journal} ${day}`;
  let posts = known.get(key);
  if (!posts) {
    posts = postsOf(documents, journal).filter(({ props }) => !props.hidden && props.at.slice(0, 10) <= day);
    known.set(key, posts);
  }
  return posts;
}

const shownAt = new WeakMap<Draft, { readonly count: number; readonly draft: Draft }>();

/** A draft as shoppers see it at a time: posts that are ahead are hidden. The same object for as long as no post comes out. */
export function draftAt(draft: Draft, clock: string): Draft {
  const { documents } = draft;
  const { count } = postsOut(documents, clock);
  const ahead = scheduledIn(documents).slice(count);
  if (ahead.length === 0) return draft;
  const known = shownAt.get(draft);
  if (known?.count === count) return known.draft;
  const hidden = ahead.map(({ page }) => {
    const props = { ...page.root.props, hidden: true };
    return [page.id, { ...page, root: { ...page.root, props } }] as const;
  });
  const made = freeze({ ...draft, documents: { ...documents, ...Object.fromEntries(hidden) } });
  shownAt.set(draft, { count, draft: made });
  return made;
}

/** Posts that are ahead of a time, as clocks of the shop show it, the next one first. */
export const postsAhead = (documents: Documents, clock: string): readonly Ahead[] =>
  scheduledIn(documents).slice(postsOut(documents, clock).count);
