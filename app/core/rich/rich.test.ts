import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { linksIn, plainOf, richSchema, storedOf, treeOf, type RichDocument, type RichNode } from ".";

const seed = 12;
const text = fc.stringMatching(/^[a-z ]{1,8}$/);
const mark = fc.constantFrom(
  { type: "bold" as const },
  { type: "italic" as const },
  { type: "letters" as const, attrs: { size: 2 as const, ink: "soft" as const } },
  { type: "link" as const, attrs: { link: { to: "home" as const } } },
);
const inline: fc.Arbitrary<RichNode> = fc.oneof(
  { weight: 4, arbitrary: fc.record({ type: fc.constant("text"), text }) },
  {
    weight: 2,
    arbitrary: fc.record({ type: fc.constant("text"), text, marks: fc.array(mark, { minLength: 1, maxLength: 1 }) }),
  },
  { weight: 1, arbitrary: fc.constant({ type: "hardBreak" }) },
  { weight: 1, arbitrary: fc.constant({ type: "liveField", attrs: { field: "shop" } }) },
);
const paragraph: fc.Arbitrary<RichNode> = fc
  .array(inline, { maxLength: 4 })
  .map((content) => (content.length ? { type: "paragraph", content } : { type: "paragraph" }));
const block: fc.Arbitrary<RichNode> = fc.oneof(
  { weight: 4, arbitrary: paragraph },
  {
    weight: 1,
    arbitrary: fc
      .array(inline, { minLength: 1, maxLength: 2 })
      .map((content) => ({ type: "heading", attrs: { level: 2 }, content })),
  },
  {
    weight: 1,
    arbitrary: fc
      .array(paragraph, { minLength: 1, maxLength: 3 })
      .map((items) => ({ type: "bulletList", content: items.map((p) => ({ type: "listItem", content: [p] })) })),
  },
  { weight: 1, arbitrary: fc.constant({ type: "horizontalRule" }) },
);
const tree: fc.Arbitrary<RichDocument> = fc
  .array(block, { minLength: 1, maxLength: 5 })
  .map((content) => ({ type: "doc", content }));

describe("running text", () => {
  it("comes back from storage as it was written, and is a plain string wherever that says the same", () => {
    fc.assert(
      fc.property(tree, (written) => {
        const stored = storedOf(written);
        expect(treeOf(stored)).toEqual(written);
        expect(storedOf(treeOf(stored))).toEqual(stored);
        expect(richSchema(6000).safeParse(stored).success).toBe(true);
      }),
      { seed, numRuns: 400 },
    );
  });

  it("of plain paragraphs is stored plainly", () => {
    expect(storedOf(treeOf("One.\nTwo.\n\nThree."))).toBe("One.\nTwo.\n\nThree.");
    expect(storedOf(treeOf(""))).toBe("");
  });

  it("drops attributes and marks that say nothing", () => {
    const said = (content: readonly RichNode[]) => storedOf({ type: "doc", content });
    expect(said([{ type: "paragraph", attrs: { align: null }, content: [{ type: "text", text: "a" }] }])).toBe("a");
    expect(
      said([
        {
          type: "paragraph",
          content: [{ type: "text", text: "a", marks: [{ type: "letters", attrs: { size: null } }] }],
        },
      ]),
    ).toBe("a");
  });

  it("is read as words: paragraphs apart, cells apart, fields by name", () => {
    const cells = ["a", "b"].map((t) => ({
      type: "tableCell",
      content: [{ type: "paragraph", content: [{ type: "text", text: t }] }],
    }));
    const table = {
      type: "doc",
      content: [{ type: "table", content: [{ type: "tableRow", content: cells }] }],
    } as RichDocument;
    expect(plainOf(table)).toBe("a\n\n\tb");
    expect(
      plainOf({
        type: "doc",
        content: [{ type: "paragraph", content: [{ type: "liveField", attrs: { field: "shop" } }] }],
      }),
    ).toBe("{shop}");
  });

  it("names its links with their words", () => {
    const link = { type: "link", attrs: { link: { to: "page", id: "about" } } } as const;
    const doc = {
      type: "doc",
      content: [{ type: "paragraph", content: [{ type: "text", text: "us", marks: [link] }] }],
    } as RichDocument;
    expect(linksIn(doc)).toEqual([{ words: "us", link: { to: "page", id: "about" } }]);
    expect(linksIn("plain")).toEqual([]);
  });
});

describe("what may not be stored", () => {
  const para = (inner: unknown) => ({ type: "doc", content: [{ type: "paragraph", content: [inner] }] });
  it.each([
    ["unknown nodes", { type: "doc", content: [{ type: "iframe", attrs: { src: "x" } }] }],
    ["unknown marks", para({ type: "text", text: "a", marks: [{ type: "onclick" }] })],
    ["attributes of our own making", para({ type: "text", text: "a", style: "color:red" })],
    [
      "script links",
      para({
        type: "text",
        text: "a",
        marks: [{ type: "link", attrs: { link: { to: "web", address: "javascript:alert(1)" } } }],
      }),
    ],
    ["roles that are none", para({ type: "text", text: "a", marks: [{ type: "letters", attrs: { ink: "red" } }] })],
    ["first heads", { type: "doc", content: [{ type: "heading", attrs: { level: 1 }, content: [] }] }],
    ["fields that are none", para({ type: "liveField", attrs: { field: "password" } })],
    ["too much of it", "x".repeat(101)],
    ["too much of it, shaped", para({ type: "text", text: "x".repeat(200), marks: [{ type: "bold" }] })],
  ])("%s", (_what, value) => expect(richSchema(100).safeParse(value).success).toBe(false));

  it("lists within lists without end", () => {
    let list: RichNode = { type: "bulletList", content: [{ type: "listItem", content: [{ type: "paragraph" }] }] };
    for (let i = 0; i < 4; i++)
      list = { type: "bulletList", content: [{ type: "listItem", content: [{ type: "paragraph" }, list] }] };
    expect(richSchema(100).safeParse({ type: "doc", content: [list] }).success).toBe(false);
  });
});
