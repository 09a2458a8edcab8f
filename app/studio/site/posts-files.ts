import { strToU8, zip, type Zippable } from "fflate";
import { addPages, LONGEST_PAGE_TITLE, type Outcome } from "~/core/commands";
import { newId, type Draft, type Part } from "~/core/document";
import type { SitePage } from "~/core/addresses";
import { fitRich, plainOf, storedOf, type RichNode } from "~/core/rich";
import type { Link } from "~/core/schema";
import { LONGEST_AUTHOR, LONGEST_SUMMARY, LONGEST_TAG, makeNode, MOST_TAGS } from "~/kinds";
import { POSTS_LIMITS, type FoundPost, type FoundPosts } from "~/workers/posts-in";

// Posts as files: Markdown with front matter, one by one or in an archive, and feeds. What reads and writes them is fetched when
// somebody wants it.

/** The longest text of one section; a longer post has several. */
const MOST_TEXT_OF_SECTION = 6000;

/** The posts in the files that somebody chose; what can't be read is said, file by file. Reading is done in a worker. */
export async function readPosts(files: readonly File[]): Promise<FoundPosts> {
  const fitting = files.filter((file) => file.size <= POSTS_LIMITS.file);
  const large = files
    .filter((file) => file.size > POSTS_LIMITS.file)
    .map((file) => `${file.name} is larger than ${POSTS_LIMITS.file / 1024 / 1024} MB.`);
  const given = await Promise.all(
    fitting.map(async (file) => ({ name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) })),
  );
  const worker = new Worker(new URL("../../workers/posts.worker.ts", import.meta.url), { type: "module" });
  return new Promise<FoundPosts>((done) => {
    worker.addEventListener(
      "message",
      ({ data: { posts, problems } }: MessageEvent<FoundPosts>) => done({ posts, problems: [...large, ...problems] }),
      { once: true },
    );
    worker.addEventListener("error", () => done({ posts: [], problems: ["That could not be read."] }), { once: true });
    worker.postMessage(given);
  }).finally(() => worker.terminate());
}

/** Sections of text that hold the blocks of a post, none longer than a section can be; between blocks, where that is possible. */
export function sectionsOf(blocks: readonly RichNode[]): readonly Part[] {
  const runs: RichNode[][] = [[]];
  let room = MOST_TEXT_OF_SECTION;
  for (const block of blocks) {
    const length = plainOf({ type: "doc", content: [block] }).length + 2;
    if (length > room && runs.at(-1)!.length) {
      runs.push([]);
      room = MOST_TEXT_OF_SECTION;
    }
    runs.at(-1)!.push(block);
    room -= length;
  }
  return runs.map((content) =>
    makeNode(
      "text",
      {
        arrangement: "plain",
        heading: "",
        text: storedOf(fitRich({ type: "doc", content }, MOST_TEXT_OF_SECTION).tree) as never,
      },
      { style: { all: { width: "narrow", align: "start", spaceTop: 2, spaceBottom: 2 } } },
    ),
  );
}

/** Posts that come in with one change. Some hundreds of long ones are more than a browser keeps until they are saved. */
export const POSTS_AT_ONCE = 100;

/** Makes posts of the shop, cut to what posts can say; those of one change. */
export function bringIn(draft: Draft, journal: string, posts: readonly FoundPost[], isHidden: boolean): Outcome {
  return addPages(
    draft,
    journal,
    posts.map(({ title, slug, at, author, tags, summary, isDraft, text }) => ({
      id: newId(),
      title: title.replace(/\s+/g, " ").trim().slice(0, LONGEST_PAGE_TITLE) || "Without a title",
      slug,
      main: sectionsOf(text.tree.content ?? []),
      props: {
        at,
        author: author.slice(0, LONGEST_AUTHOR),
        tags: [...new Set(tags.map((tag) => tag.slice(0, LONGEST_TAG).trim()).filter(Boolean))].slice(0, MOST_TAGS),
        summary: summary.slice(0, LONGEST_SUMMARY),
        hidden: isHidden || isDraft,
      },
    })),
  );
}

/** What of a post stays out, in words; empty: nothing. */
export function staysOut({ text, why }: FoundPost): string {
  const count = (n: number, one: string, many: string) => (n === 0 ? [] : [n === 1 ? `1 ${one}` : `${n} ${many}`]);
  const left = [
    ...count(text.pictures, "picture", "pictures"),
    ...count(text.others, "frame or film", "frames or films"),
    ...count(text.links, "link within the old site", "links within the old site"),
  ];
  return [...(why ? [why] : []), ...(left.length ? [`Stays out: ${left.join(", ")}.`] : [])].join(" ");
}

/** An archive of Markdown files, one for each post. */
export async function archiveOf(
  posts: readonly SitePage[],
  blocksOf: (post: SitePage) => readonly RichNode[],
  href: (link: Link) => string | undefined,
): Promise<Uint8Array<ArrayBuffer>> {
  const { markdownFile } = await import("~/core/writing");
  const files: Zippable = {};
  for (const post of posts) {
    const { document, props } = post;
    const { slug, at, author, tags, summary, hidden } = props;
    const out = { title: document.title, slug, at, author, tags, summary, isDraft: hidden, blocks: blocksOf(post) };
    files[`${at ? `${at.slice(0, 10)}-` : ""}${slug}.md`] = strToU8(markdownFile(out, href));
  }
  return new Promise((done, fail) => zip(files, (error, bytes) => (error ? fail(error) : done(bytes))));
}
