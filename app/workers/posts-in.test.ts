import { strToU8, zipSync } from "fflate";
import { expect, it } from "vitest";
import { POSTS_LIMITS, postsIn } from "./posts-in";

const file = (name: string, text: string) => ({ name, bytes: strToU8(text) });
const titles = (found: ReturnType<typeof postsIn>) => found.posts.map((post) => post.title);

it("reads single files and archives, the latest first, and says what it can't read", () => {
  const archive = zipSync({
    "posts/old.md": strToU8("---\ntitle: Old\ndate: 2020-01-01\n---\nText"),
    "posts/.hidden.md": strToU8("# Hidden"),
    "__MACOSX/posts/old.md": strToU8("# Shadow"),
    "posts/picture.png": strToU8("no text"),
  });
  const found = postsIn([
    { name: "all.zip", bytes: archive },
    file("new.md", "---\ntitle: New\ndate: 2026-01-01\n---\nText"),
    file("note.txt", "# Note\n\nText"),
    file("letter.docx", "nothing"),
    { name: "broken.zip", bytes: strToU8("PK no archive at all") },
    { name: "empty.zip", bytes: zipSync({ "a.png": strToU8("x") }) },
    file("feed.xml", "<feed></feed>"),
    file("long.md", "x".repeat(POSTS_LIMITS.text + 1)),
  ]);
  expect(titles(found)).toEqual(["New", "Old", "Note"]);
  expect(found.problems).toEqual([
    "letter.docx is neither Markdown nor a feed.",
    "broken.zip can’t be unpacked.",
    "There is no Markdown file in empty.zip.",
    "There is no post in feed.xml.",
    "long.md is too long for one post.",
  ]);
});

it("takes no more out of an archive than it may, and unpacks nothing that is too large", () => {
  const many = Object.fromEntries(
    Array.from({ length: POSTS_LIMITS.files + 5 }, (_, i) => [`${i}.md`, strToU8(`# ${i}`)]),
  );
  const large = zipSync({ "large.md": new Uint8Array(POSTS_LIMITS.text + 1), "small.md": strToU8("# Small") });
  expect(postsIn([{ name: "many.zip", bytes: zipSync(many, { level: 0 }) }]).posts).toHaveLength(POSTS_LIMITS.files);
  expect(titles(postsIn([{ name: "large.zip", bytes: large }]))).toEqual(["Small"]);
});
