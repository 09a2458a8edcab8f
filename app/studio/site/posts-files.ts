import { strToU8, unzip, zip, type Zippable } from "fflate";
import { addPages, LONGEST_PAGE_TITLE, type Outcome } from "~/core/commands";
import { newId, type Draft, type Part } from "~/core/document";
import type { SitePage } from "~/core/addresses";
import { fitRich, plainOf, storedOf, type RichNode } from "~/core/rich";
import type { Link } from "~/core/schema";
import type { PostIn } from "~/core/writing";
import { LONGEST_AUTHOR, LONGEST_SUMMARY, LONGEST_TAG, makeNode, MOST_TAGS } from "~/kinds";

// Posts as files: Markdown with front matter, one by one or in an archive, and feeds. What reads and writes them is fetched when
// somebody wants it.

/** A post of a file, and what is worth knowing before it comes in. */
export type Found = PostIn & { readonly file: string; readonly why?: string };
export type FoundIn = { readonly posts: readonly Found[]; readonly problems: readonly string[] };

/** What one file, and all files of an archive, may hold at most, in bytes; and files of an archive. */
const MOST_FILE = 20 * 1024 * 1024;
const MOST_TEXT = 2 * 1024 * 1024;
const MOST_FILES = 2000;
/** The longest text of one section; a longer post has several. */
const MOST_TEXT_OF_SECTION = 6000;

const isMarkdown = (name: string) => /\.(?:md|markdown|mdown)$/i.test(name) && !/(?:^|\/)(?:__MACOSX|\.)/.test(name);

function unpacked(bytes: Uint8Array): Promise<Record<string, Uint8Array>> {
  let files = 0;
  let size = 0;
  return new Promise((done, fail) =>
    unzip(
      bytes,
      {
        filter: ({ name, originalSize }) => {
          if (!isMarkdown(name) || originalSize > MOST_TEXT) return false;
          size += originalSize;
          return ++files <= MOST_FILES && size <= MOST_FILE;
        },
      },
      (error, found) => (error ? fail(error) : done(found)),
    ),
  );
}

/** The posts in the files that somebody chose; what can't be read is said, file by file. */
export async function postsIn(files: readonly File[]): Promise<FoundIn> {
  const { postFromMarkdown, postsFromFeed } = await import("~/core/writing");
  const posts: Found[] = [];
  const problems: string[] = [];
  const text = (bytes: Uint8Array) => new TextDecoder().decode(bytes);
  for (const file of files) {
    if (file.size > MOST_FILE) {
      problems.push(`${file.name} is larger than ${MOST_FILE / 1024 / 1024} MB.`);
      continue;
    }
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
      try {
        const found = Object.entries(await unpacked(bytes));
        if (found.length === 0) problems.push(`There is no Markdown file in ${file.name}.`);
        for (const [name, each] of found) posts.push({ ...postFromMarkdown(text(each), name), file: name });
      } catch {
        problems.push(`${file.name} can’t be unpacked.`);
      }
    } else if (isMarkdown(file.name) || /\.txt$/i.test(file.name)) {
      if (file.size > MOST_TEXT) problems.push(`${file.name} is too long for one post.`);
      else posts.push({ ...postFromMarkdown(text(bytes), file.name), file: file.name });
    } else {
      const found = postsFromFeed(text(bytes));
      if (found === undefined) problems.push(`${file.name} is neither Markdown nor a feed.`);
      else if (found.length === 0) problems.push(`There is no post in ${file.name}.`);
      else posts.push(...found.map((post) => ({ ...post, file: file.name })));
    }
  }
  return { posts: posts.toSorted((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0)), problems };
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

/** What a post says, cut to what posts can say. */
export function bringIn(draft: Draft, journal: string, posts: readonly Found[], isHidden: boolean): Outcome {
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
export function staysOut({ text, why }: Found): string {
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
