import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  fitRich,
  isBlank,
  plainOf,
  RICH_LIMITS,
  richSchema,
  storedOf,
  treeOf,
  type RichDocument,
  type RichNode,
} from ".";

const doc = (...content: RichNode[]): RichDocument => ({ type: "doc", content });
const words = (text: string): RichNode => ({ type: "paragraph", content: [{ type: "text", text }] });
const cell = (text: string): RichNode => ({ type: "tableCell", content: [words(text)] });
const row = (...cells: RichNode[]): RichNode => ({ type: "tableRow", content: cells });
const list = (...content: RichNode[]): RichNode => ({ type: "bulletList", content });
const item = (...content: RichNode[]): RichNode => ({ type: "listItem", content });
const MOST = 6_000;
const fits = (tree: RichDocument, most = MOST) => richSchema(most).safeParse(storedOf(tree)).success;
const count = (tree: RichNode, type: string): number =>
  (tree.type === type ? 1 : 0) + (tree.content ?? []).reduce((n, inner) => n + count(inner, type), 0);

const figure: RichNode = { type: "figure", attrs: { picture: "a", side: "start", width: "third" } };

describe("pictures and films among words", () => {
  it("stand in texts that can have them, and are left out of others, which is said", () => {
    const tree = doc(words("Before"), figure, { type: "film", attrs: { film: "f.mp4" } });
    expect(richSchema(MOST, true).safeParse(tree).success).toBe(true);
    expect(fits(tree)).toBe(false);
    expect(fitRich(tree, MOST, true)).toMatchObject({ isChanged: false, cut: [] });
    const without = fitRich(tree, MOST);
    expect([fits(without.tree), count(without.tree, "figure"), without.cut.length]).toEqual([true, 0, 1]);
  });
  it("never stand in lists, quotations and call-outs, and never with what is no picture", () => {
    const callout: RichNode = { type: "callout", attrs: { tone: "loud" }, content: [words("a"), figure] };
    const { tree, cut } = fitRich(doc(callout, { type: "figure", attrs: { picture: 4, side: "up" } }), MOST, true);
    expect(tree).toEqual(doc({ type: "callout", content: [words("a")] }));
    expect(cut).toHaveLength(1);
    expect(richSchema(MOST, true).safeParse(tree).success).toBe(true);
  });
  it("are something to show, though there is no word", () => {
    expect(isBlank(doc(figure))).toBe(false);
    expect(isBlank(doc({ type: "paragraph" }))).toBe(true);
    expect(plainOf(doc(words("a"), { ...figure, attrs: { ...figure.attrs, caption: "b" } }))).toBe("a\n\nb");
  });
});

it("footnotes are no letters of their text, and are kept where it is fitted", () => {
  const noted: RichNode = {
    type: "paragraph",
    content: [
      { type: "text", text: "ab" },
      { type: "footnote", attrs: { text: "x".repeat(600) } },
    ],
  };
  expect(fits(doc(noted), 2)).toBe(true);
  expect(plainOf(doc(noted))).toBe("ab");
  expect(count(fitRich(doc(noted, words("more than there is room for")), 2).tree, "footnote")).toBe(1);
});

describe("what is pasted from elsewhere", () => {
  it("is a table of 14 columns: 12 stay, and it is said", () => {
    const { tree, cut } = fitRich(
      doc({ type: "table", content: [row(...Array.from({ length: 14 }, (_, i) => cell(`${i}`)))] }),
      MOST,
    );
    expect(fits(tree)).toBe(true);
    expect(count(tree, "tableCell")).toBe(12);
    expect(cut).toEqual(["A table has 12 columns at most; the others were left out."]);
  });

  it("is a table of 70 rows: it becomes two tables, and nothing is left out", () => {
    const rows = Array.from({ length: 70 }, (_, i) => row(cell(`${i}`)));
    const { tree, cut } = fitRich(doc({ type: "table", content: rows }), MOST);
    expect([fits(tree), count(tree, "table"), count(tree, "tableRow"), cut]).toEqual([true, 2, 70, []]);
  });

  it("is a list 6 deep: what is deeper than 4 stands there, and nothing is left out", () => {
    let deep = list(item(words("6")));
    for (let i = 5; i > 0; i--) deep = list(item(words(`${i}`), deep));
    const { tree, cut } = fitRich(doc(deep), MOST);
    expect([fits(tree), cut]).toEqual([true, []]);
    expect(plainOf(tree).match(/\d/g)).toEqual(["1", "2", "3", "4", "5", "6"]);
  });

  it("is a list of 450 items: it becomes three, and numbers go on", () => {
    const items = Array.from({ length: 450 }, (_, i) => item(words(`${i}`)));
    const { tree, cut } = fitRich(doc({ type: "orderedList", content: items }), MOST);
    expect([fits(tree), cut]).toEqual([true, []]);
    expect(tree.content!.map((l) => l.attrs?.start)).toEqual([undefined, 201, 401]);
  });

  it("is longer than there is room for: the end is left out, and it is said", () => {
    const { tree, cut } = fitRich(doc(...Array.from({ length: 90 }, () => words("a ".repeat(100)))), MOST);
    expect(fits(tree)).toBe(true);
    expect(plainOf(tree).length).toBeGreaterThan(MOST * 0.95);
    expect(cut).toEqual(["There is room for 6,000 characters; the rest was left out."]);
  });

  it("is made of things that a text does not know: their words stay", () => {
    const { tree } = fitRich(
      doc({ type: "details", content: [{ type: "summary", content: [{ type: "text", text: "Dunes" }] }] }),
      MOST,
    );
    expect(tree).toEqual(doc(words("Dunes")));
  });

  const text = fc.stringMatching(/^[a-z ]{1,40}$/);
  const inline: fc.Arbitrary<RichNode> = fc.oneof(
    fc.record({ type: fc.constant("text"), text }),
    fc.constant({ type: "hardBreak" }),
    fc.constant({ type: "liveField", attrs: { field: "shop" } }),
  );
  const some = (inner: fc.Arbitrary<RichNode>, maxLength: number) => fc.array(inner, { maxLength });
  const paragraph = some(inline, 4).map((content): RichNode =>
    content.length ? { type: "paragraph", content } : { type: "paragraph" },
  );
  const deep = (depth: number): fc.Arbitrary<RichNode> =>
    fc
      .tuple(
        fc.constantFrom("bulletList", "orderedList"),
        some(
          some(depth ? fc.oneof(paragraph, deep(depth - 1)) : paragraph, depth ? 2 : 3).map((content) => ({
            type: "listItem",
            content,
          })),
          2,
        ),
        fc.integer({ min: -3, max: 12_000 }),
      )
      .map(([type, content, start]) => ({ type, ...(type === "orderedList" ? { attrs: { start } } : {}), content }));
  const lists = deep(6);
  const table = fc
    .tuple(fc.integer({ min: 1, max: 15 }), fc.integer({ min: 1, max: 70 }), some(fc.oneof(paragraph, lists), 3))
    .map(([columns, rows, content]): RichNode => ({
      type: "table",
      content: Array.from({ length: rows }, () => ({
        type: "tableRow",
        content: Array.from({ length: columns }, () => ({ type: "tableCell", attrs: { colspan: 40 }, content })),
      })),
    }));
  const block: fc.Arbitrary<RichNode> = fc.oneof(
    { weight: 4, arbitrary: paragraph },
    { weight: 3, arbitrary: lists },
    { weight: 1, arbitrary: some(inline, 3).map((content) => ({ type: "heading", attrs: { level: 7 }, content })) },
    { weight: 1, arbitrary: some(fc.oneof(paragraph, lists), 4).map((content) => ({ type: "blockquote", content })) },
    { weight: 1, arbitrary: table },
    { weight: 1, arbitrary: fc.constant({ type: "horizontalRule" }) },
  );

  it("fits, whatever it is, and what fits already is left as it is", () => {
    fc.assert(
      fc.property(some(block, 8), fc.integer({ min: 20, max: 3_000 }), (content, most) => {
        const once = fitRich({ type: "doc", content }, most);
        const read = richSchema(most).safeParse(storedOf(once.tree));
        expect(read.success, read.error?.message).toBe(true);
        const twice = fitRich(once.tree, most);
        expect([twice.tree, twice.isChanged]).toEqual([once.tree, false]);
      }),
      { seed: 8, numRuns: 200 },
    );
  });

  it("keeps every word that there is room for", () => {
    fc.assert(
      fc.property(some(block, 4), (content) => {
        const before: RichDocument = { type: "doc", content };
        const { tree, cut } = fitRich(before, 1_000_000);
        const letters = (d: RichDocument) => plainOf(d).replace(/\s/g, "");
        if (cut.length === 0 && content.length < RICH_LIMITS.blocks) expect(letters(tree)).toBe(letters(before));
      }),
      { seed: 9, numRuns: 150 },
    );
  });

  it("is a plain text, and stays one", () => {
    const { tree, isChanged } = fitRich(treeOf("One\n\nTwo\nlines"), 100);
    expect([storedOf(tree), isChanged]).toEqual(["One\n\nTwo\nlines", false]);
  });
});
