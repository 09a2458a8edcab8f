import type { ReactNode } from "react";
import { partAddress, tagSlug, tagsOf, withTag } from "~/core/journal";
import type { ViewProps } from "../definition";
import { gridClass, innerHead, Pic, type PostEntry, PostFacts, SectionHead, useEnv, Words } from "../parts";
import type { PostsProps } from "./definition";

/** The most tags that are offered; whoever has more of them finds the rest on the posts. */
const MOST_TAGS = 16;

type PostProps = { post: PostEntry; props: PostsProps; Tag: "h2" | "h3"; sizes: string; eager?: boolean };

function Post({ post, props, Tag, sizes, eager = false }: PostProps): ReactNode {
  const picture = props.picture ? post.picture() : undefined;
  const summary = props.summary ? post.summary() : "";
  return (
    <article className="post">
      {picture === undefined ? null : <Pic picture={picture} sizes={sizes} eager={eager} alt="" />}
      <div className="post-words">
        <PostFacts post={post} shows={props} />
        <Tag className="head post-head">
          <a href={post.address}>{post.title}</a>
        </Tag>
        {summary ? <p className="post-text">{summary}</p> : null}
      </div>
    </article>
  );
}

/** Posts of one month after the other, each with its day alone. */
function Months({ posts, Tag }: { posts: readonly PostEntry[]; Tag: "h2" | "h3" }): ReactNode {
  const { locale } = useEnv();
  const months = new Map<string, PostEntry[]>();
  for (const post of posts) {
    const month = post.at.slice(0, 7);
    const those = months.get(month);
    if (those) those.push(post);
    else months.set(month, [post]);
  }
  const name = (month: string) =>
    month === ""
      ? "Without a date"
      : new Intl.DateTimeFormat(locale, { month: "long", year: "numeric", timeZone: "UTC" }).format(
          new Date(`${month}-01T00:00:00Z`),
        );
  return [...months].map(([month, those]) => (
    <div key={month} className="posts-month">
      <Tag className="head">{name(month)}</Tag>
      <ul>
        {those.map((post) => (
          <li key={post.id}>
            <article className="post">
              <span className="post-day">{post.at.slice(8, 10).replace(/^0/, "")}</span>
              <p className="head post-head">
                <a href={post.address}>{post.title}</a>
              </p>
            </article>
          </li>
        ))}
      </ul>
    </div>
  ));
}

export function View({ props, arrangement, first }: ViewProps<PostsProps>) {
  const { journal: find, shown, studio } = useEnv();
  const journal = find(props.journal);
  const part = shown?.page === "journal" && journal?.isHere ? shown.part : { number: 1, tag: undefined };
  const tag = part.tag ?? (props.tag.trim() ? tagSlug(props.tag) : undefined);
  const from = (part.number - 1) * props.most;
  const posts = journal?.slice(from, from + props.most, tag) ?? [];
  const Tag = innerHead(props.heading, first);
  if (posts.length === 0 && !studio && !journal?.isHere) return null;
  const count = journal ? (tag === undefined ? journal.pages : withTag(journal.pages, tag)).length : 0;
  const tags = journal?.isHere && props.tags ? tagsOf(journal.pages).slice(0, MOST_TAGS) : [];
  const to = (number: number) => (journal ? partAddress(journal.address, { tag: part.tag, number }) : "");
  const sizes = arrangement === "list" ? "14rem" : "(min-width:600px) 33vw, 100vw";
  return (
    <div className="in heads">
      <div className="posts-top">
        <div>
          <SectionHead heading={props.heading} text={props.text} first={first} />
        </div>
        {props.more && journal && !journal.isHere ? (
          <a className="more" href={journal.address}>
            <Words at="more" text={props.more} hint="Link to all" />
          </a>
        ) : null}
      </div>
      {tags.length > 1 && journal ? (
        <ul className="post-tags" aria-label="Tags">
          <li>
            <a href={journal.address} aria-current={part.tag === undefined ? "page" : undefined}>
              All
            </a>
          </li>
          {tags.map(({ name, slug }) => (
            <li key={slug}>
              <a
                href={partAddress(journal.address, { tag: slug, number: 1 })}
                aria-current={part.tag === slug ? "page" : undefined}
              >
                {name}
              </a>
            </li>
          ))}
        </ul>
      ) : null}
      {posts.length === 0 ? (
        studio ? (
          <p className="studio-empty">
            {journal
              ? "Posts stand here as soon as there are some: pages beneath this journal."
              : "There is no journal yet. Make a page from the design “Journal”; what stands beneath it are its posts."}
          </p>
        ) : (
          <p className="lead">There is nothing here yet.</p>
        )
      ) : arrangement === "months" ? (
        <div>
          <Months posts={posts} Tag={Tag} />
        </div>
      ) : (
        <ul
          className={arrangement === "list" ? "posts-list" : arrangement === "large" ? "grid" : gridClass(posts.length)}
        >
          {posts.map((post, i) => (
            <li key={post.id}>
              <Post
                post={post}
                props={props}
                Tag={Tag}
                sizes={arrangement === "large" && i === 0 ? "(min-width:700px) 60vw, 100vw" : sizes}
                eager={first && i === 0}
              />
            </li>
          ))}
        </ul>
      )}
      {journal?.isHere && count > props.most ? (
        <nav className="posts-pages" aria-label="Pages of posts">
          {part.number > 1 ? (
            <a className="button button-2" rel="prev" href={to(part.number - 1)}>
              Later posts
            </a>
          ) : null}
          {from + props.most < count ? (
            <a className="button button-2" rel="next" href={to(part.number + 1)}>
              Earlier posts
            </a>
          ) : null}
        </nav>
      ) : null}
    </div>
  );
}
