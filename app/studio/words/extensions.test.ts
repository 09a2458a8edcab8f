// @vitest-environment jsdom
import { Editor, type JSONContent } from "@tiptap/core";
import { DOMSerializer } from "@tiptap/pm/model";
import { describe, expect, it } from "vitest";
import { cleanPasted } from "./clean-paste";
import { extensionsFor } from "./extensions";
import { fittedText } from "./fitted";

const editorWith = (content: JSONContent | string) =>
  new Editor({
    extensions: extensionsFor({
      picture: () => undefined,
      live: () => ({
        say: ({ field }) => (field === "percent" ? "15%" : "Larkspindle"),
        nameOf: ({ field }) => field,
        meant: (typed) => (typed === "{percent}" ? { field: "percent", offer: "k2" } : undefined),
      }),
      onProblem: () => undefined,
      most: 6000,
      onFull: () => undefined,
      keys: {},
    }),
    content,
  });
const text = (words: string, ...marks: { type: string; attrs?: Record<string, unknown> }[]): JSONContent => ({
  type: "text",
  text: words,
  ...(marks.length ? { marks } : {}),
});

/** What an editor puts on the clipboard of all that it holds, after it was cleaned like anything that is pasted. */
function copied(editor: Editor): string {
  const holder = document.createElement("div");
  holder.append(DOMSerializer.fromSchema(editor.schema).serializeFragment(editor.state.doc.content));
  return cleanPasted(holder.innerHTML);
}

describe("what is copied from one text into another", () => {
  it("is what it was: links within the shop, letters, live fields, footnotes, call-outs, pictures, alignment", () => {
    const stored = {
      type: "doc",
      content: [
        {
          type: "heading",
          attrs: { level: 3, align: "end" },
          content: [text("Kites")],
        },
        { type: "figure", attrs: { picture: "abc", side: "start", width: "third", caption: "A “loft”" } },
        {
          type: "callout",
          attrs: { tone: "accent" },
          content: [
            {
              type: "paragraph",
              content: [
                text("See ", { type: "letters", attrs: { ink: "sale", back: "new" } }),
                text("the Skua", { type: "link", attrs: { link: { to: "product", id: "skua" } } }),
                { type: "footnote", attrs: { text: 'From "18" <knots>' } },
                { type: "liveField", attrs: { field: "percent", offer: "k2" } },
              ],
            },
          ],
        },
        { type: "film", attrs: { film: "a.mp4", width: "whole" } },
        { type: "paragraph", content: [text("End")] },
      ],
    };
    const html = copied(editorWith(stored));
    expect(fittedText(editorWith(html), { most: 6000, isFigured: true }, () => undefined)).toEqual(stored);
  });

  it("is nothing else than what a text can hold, whoever wrote the clipboard", () => {
    const hostile = [
      `<p><span data-letters='{"ink":"url(javascript:x)"}'>a</span></p>`,
      `<p><a data-link='{"to":"web","address":"javascript:alert(1)"}' href="javascript:alert(1)">b</a></p>`,
      `<div data-figure='{"picture":{"x":1}}'></div><div data-film='not JSON'></div>`,
      `<div data-callout='{"tone":"\\" onload=x"}'><p>c</p></div>`,
    ].join("");
    expect(fittedText(editorWith(cleanPasted(hostile)), { most: 6000, isFigured: true }, () => undefined)).toBe(
      "a\n\nb\n\nc",
    );
  });
});
