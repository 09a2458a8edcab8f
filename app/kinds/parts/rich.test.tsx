import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { Rich as RichValue, RichDocument, RichMark, RichNode } from "~/core/rich";
import { envOf } from "~/render";
import { contentWith } from "~/render/fixtures/content";
import { EnvProvider, NodeIdProvider, Rich } from ".";

const content = contentWith([]);
const drawn = (text: RichValue, studio?: { editing: null }) =>
  renderToStaticMarkup(
    <EnvProvider value={envOf(content, content.draft, studio)}>
      <NodeIdProvider value="n">
        <Rich at="text" text={text} className="lead" hint="Text" />
      </NodeIdProvider>
    </EnvProvider>,
  );
const doc = (...blocks: RichNode[]): RichDocument => ({ type: "doc", content: blocks });
const paragraph = (...inline: RichNode[]): RichNode => ({ type: "paragraph", content: inline });
const text = (words: string, ...marks: RichMark[]): RichNode => ({
  type: "text",
  text: words,
  ...(marks.length ? { marks } : {}),
});
const inside = (html: string) => html.replace(/^<div class="rich lead">/, "").replace(/<\/div>$/, "");

describe("running text in the shop", () => {
  it("of plain words is paragraphs and line breaks, and nothing when there are none", () => {
    expect(drawn("One\nTwo\n\nThree & <four>")).toBe(
      '<div class="rich lead"><p>One<br/>Two</p><p>Three &amp; &lt;four&gt;</p></div>',
    );
    expect(drawn("")).toBe("");
    expect(drawn(doc({ type: "paragraph" }))).toBe("");
    // In the studio an empty place says what belongs there.
    expect(drawn("", { editing: null })).toBe('<div class="rich lead" data-rich-at="text" data-hint="Text"></div>');
  });

  it.each<readonly [string, RichNode, string]>([
    [
      "marks nest the same way whatever their order",
      paragraph(text("a", { type: "italic" }, { type: "bold" })),
      "<p><strong><em>a</em></strong></p>",
    ],
    [
      "letters are classes of ours",
      paragraph(text("a", { type: "letters", attrs: { size: 2, face: "heads", ink: "sale" } })),
      '<p><span class="size-2 in-heads ink-sale">a</span></p>',
    ],
    [
      "highlights are marks",
      paragraph(text("a", { type: "letters", attrs: { back: "new" } })),
      '<p><mark class="back back-new">a</mark></p>',
    ],
    [
      "links lead to things by name",
      paragraph(text("a", { type: "link", attrs: { link: { to: "product", id: "plain" } } })),
      '<p><a class="rich-link" href="/products/plain">a</a></p>',
    ],
    [
      "a link to what is gone leaves its words",
      paragraph(text("a", { type: "link", attrs: { link: { to: "page", id: "no" } } })),
      "<p>a</p>",
    ],
    ["live fields are filled in", paragraph({ type: "liveField", attrs: { field: "shop" } }), "<p>Test &amp; Sons</p>"],
    [
      "heads carry their level",
      { type: "heading", attrs: { level: 3, align: "center" }, content: [text("a")] },
      '<h3 class="rich-h rich-3 to-center">a</h3>',
    ],
    ["an empty paragraph keeps its line", { type: "paragraph" }, "<p><br/></p>"],
    [
      "lists start where they say",
      { type: "orderedList", attrs: { start: 3 }, content: [{ type: "listItem", content: [paragraph(text("a"))] }] },
      '<ol class="rich-list rich-numbers" start="3"><li><p>a</p></li></ol>',
    ],
    [
      "heads of tables say whose they are",
      {
        type: "table",
        content: [
          { type: "tableRow", content: [{ type: "tableHeader", content: [paragraph(text("a"))] }] },
          { type: "tableRow", content: [{ type: "tableHeader", content: [paragraph(text("b"))] }] },
        ],
      },
      '<table class="rich-table"><tbody><tr><th scope="col"><p>a</p></th></tr><tr><th scope="row"><p>b</p></th></tr></tbody></table>',
    ],
    [
      "call-outs are notes",
      { type: "callout", attrs: { tone: "brand" }, content: [paragraph(text("a"))] },
      '<div class="rich-callout of-brand" role="note"><p>a</p></div>',
    ],
    ["a picture that is gone is nothing", { type: "figure", attrs: { picture: "no" } }, ""],
    [
      "films have the browser’s controls, and say what they are",
      { type: "film", attrs: { film: "f.mp4", width: "whole", caption: "Up & away" } },
      '<figure class="rich-figure at-middle is-whole"><video controls="" playsInline="" preload="metadata" src="/media/f.mp4" aria-label="Up &amp; away"></video><figcaption>Up &amp; away</figcaption></figure>',
    ],
  ])("%s", (_what, block, html) => expect(inside(drawn(doc(block, paragraph(text("z")))))).toBe(`${html}<p>z</p>`));

  it("has footnotes after it, in the order in which they are met, each with a way there and a way back", () => {
    const note = (said: string): RichNode => ({ type: "footnote", attrs: { text: said } });
    const html = inside(drawn(doc(paragraph(text("a"), note("First & last")), paragraph(text("b"), note("Second")))));
    expect(html).toContain(
      '<p>a<sup class="rich-note" id="n-text-from-1"><a href="#n-text-note-1" role="doc-noteref" aria-label="Note 1">1</a></sup></p>',
    );
    expect(html.match(/<li id="[^"]+">[^<]+/g)).toEqual([
      '<li id="n-text-note-1">First &amp; last ',
      '<li id="n-text-note-2">Second ',
    ]);
    for (const [, id] of html.matchAll(/href="#([^"]+)"/g)) expect(html).toContain(`id="${id}"`);
  });

  it("shows a picture beside its words, with what it shows and what is written beneath it", () => {
    const html = inside(
      drawn(doc({ type: "figure", attrs: { picture: "wide", side: "start", width: "third", caption: "The loft" } })),
    );
    expect(html).toMatch(/^<figure class="rich-figure at-start is-third"><div class="pic"><img [^>]*alt="[^"]+"/);
    expect(html).toMatch(/<figcaption>The loft<\/figcaption><\/figure>$/);
  });
});
