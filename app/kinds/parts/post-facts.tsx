import type { ReactNode } from "react";
import { dayWords } from "~/core/goods";
import { partAddress } from "~/core/journal";
import { useEnv, type PostEntry } from "./env";

/** What is said of a post besides its title; `false`: that not. */
export type PostShows = { readonly date: boolean; readonly author: boolean; readonly time: boolean };

/** When a post is from, who wrote it, and how long it takes to read. */
export function PostFacts({ post, shows }: { post: PostEntry; shows: PostShows }): ReactNode {
  const { locale } = useEnv();
  const day = post.at.slice(0, 10);
  const date = shows.date && day !== "";
  const author = shows.author && post.author !== "";
  if (!date && !author && !shows.time) return null;
  return (
    <p className="post-facts">
      {date ? <time dateTime={day}>{dayWords(day, locale, true)}</time> : null}
      {author ? <span>{post.author}</span> : null}
      {shows.time ? <span>{post.minutes()} min read</span> : null}
    </p>
  );
}

/** The tags of a post, each a way to all that have it. `journal`: the address of the list. */
export function PostTags({ post, journal }: { post: PostEntry; journal: string }): ReactNode {
  if (post.tags.length === 0) return null;
  return (
    <ul className="post-tags" aria-label="Tags">
      {post.tags.map(({ name, slug }) => (
        <li key={slug}>
          <a href={partAddress(journal, { tag: slug, number: 1 })}>{name}</a>
        </li>
      ))}
    </ul>
  );
}

export const POST_CSS = `
.post-facts{display:flex;flex-wrap:wrap;gap:.15rem 1.1rem;font-size:var(--t-1);color:var(--soft)}
.post-facts>*+*::before{content:"";display:inline-block;width:.28em;height:.28em;border-radius:50%;background:currentColor;margin-inline:-.7rem .55rem;vertical-align:middle}
.post-tags{display:flex;flex-wrap:wrap;gap:.4rem}
.post-tags a{display:inline-flex;align-items:center;min-height:2rem;padding:.1rem .8rem;border:max(1px,var(--rule)) solid var(--field-line);border-radius:var(--badge-corners);font-size:var(--t-1);text-decoration:none}
.post-tags a:hover{border-color:currentColor}
.post-tags a[aria-current]{background:var(--ink);border-color:var(--ink);color:var(--page)}
`;
