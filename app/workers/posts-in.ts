import { unzipSync } from "fflate";
import { postFromMarkdown, postsFromFeed, type PostIn } from "~/core/writing";

/** A post of a file, and what is worth knowing before it comes in. */
export type FoundPost = PostIn & { readonly file: string; readonly why?: string };
export type FoundPosts = { readonly posts: readonly FoundPost[]; readonly problems: readonly string[] };
export type GivenFile = { readonly name: string; readonly bytes: Uint8Array };

/** What one file may hold at most, and all texts of an archive together, in bytes; one text; and files of an archive. */
export const POSTS_LIMITS = { file: 20 * 1024 * 1024, text: 2 * 1024 * 1024, files: 2000 } as const;

const isMarkdown = (name: string) =>
  /\.(?:md|markdown|mdown)$/i.test(name) && !name.startsWith("__MACOSX/") && !name.split("/").at(-1)!.startsWith(".");
const textOf = (bytes: Uint8Array) => new TextDecoder().decode(bytes);

/** The Markdown files of an archive. How large each will be is looked at before it is unpacked. Throws where it is none. */
function markdownIn(bytes: Uint8Array): readonly (readonly [name: string, bytes: Uint8Array])[] {
  let [count, sum] = [0, 0];
  const found = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      if (!isMarkdown(name) || originalSize > POSTS_LIMITS.text) return false;
      if (count >= POSTS_LIMITS.files || sum + originalSize > POSTS_LIMITS.file) return false;
      count++;
      sum += originalSize;
      return true;
    },
  });
  return Object.entries(found);
}

/** The posts in files, the latest first; what can't be read is said, file by file. */
export function postsIn(files: readonly GivenFile[]): FoundPosts {
  const posts: FoundPost[] = [];
  const problems: string[] = [];
  for (const { name, bytes } of files) {
    if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
      try {
        const found = markdownIn(bytes);
        if (found.length === 0) problems.push(`There is no Markdown file in ${name}.`);
        for (const [path, each] of found) posts.push({ ...postFromMarkdown(textOf(each), path), file: path });
      } catch {
        problems.push(`${name} can’t be unpacked.`);
      }
    } else if (isMarkdown(name) || /\.txt$/i.test(name)) {
      if (bytes.length > POSTS_LIMITS.text) problems.push(`${name} is too long for one post.`);
      else posts.push({ ...postFromMarkdown(textOf(bytes), name), file: name });
    } else {
      const found = postsFromFeed(textOf(bytes));
      if (found === undefined) problems.push(`${name} is neither Markdown nor a feed.`);
      else if (found.length === 0) problems.push(`There is no post in ${name}.`);
      else posts.push(...found.map((post) => ({ ...post, file: name })));
    }
  }
  return { posts: posts.toSorted((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0)), problems };
}
