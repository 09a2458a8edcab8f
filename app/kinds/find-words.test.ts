import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { walk, type Draft, type Part } from "~/core/document";
import { applyAll, invertAll } from "~/core/operations";
import { plainOf, type Rich } from "~/core/rich";
import { starterDraft } from "~/server/shops/starter";
import { findWords, replaceWords } from "./find-words";
import { makeNode } from ".";

const tree = {
  type: "doc",
  content: [
    {
      type: "paragraph",
      content: [
        { type: "text", text: "Made for " },
        { type: "text", text: "win", marks: [{ type: "bold" }] },
        { type: "text", text: "d, not for show." },
      ],
    },
    {
      type: "bulletList",
      content: [
        { type: "listItem", content: [{ type: "paragraph", content: [{ type: "text", text: "Wind from the sea" }] }] },
      ],
    },
  ],
} as unknown as Part["props"][string];

const draftWith = (...main: readonly Part[]): Draft => {
  const draft = starterDraft("Kites");
  const home = draft.documents.home!;
  return {
    ...draft,
    documents: { home: { ...home, title: "Home wind", root: { ...home.root, slots: { main } } } },
  };
};
const draft = draftWith(
  makeNode("hero", { heading: "Windward", text: tree, button: "To the wind" }),
  makeNode("questions", { questions: [{ group: "", question: "Which wind?", answer: "Any WIND at all" }] }),
  makeNode("table", {
    rows: [
      ["Wind", "Kite"],
      ["3", "Delta"],
    ],
  }),
);
const plain = { matchCase: false, whole: false };
const all = (d: Draft, words: string) => new Set(findWords(d, { words, ...plain }).map(({ id }) => id));
const done = (d: Draft, words: string, by: string, how = plain, only = all(d, words)): Draft => {
  const outcome = replaceWords(d, { words, ...how }, by, only);
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(d, outcome.transaction.operations);
  if (!applied.ok) throw new Error(applied.code);
  return applied.draft;
};
const home = (d: Draft) => [...walk(d.documents.home!.root)];

describe("finding", () => {
  it("reads across letters that differ, within lists and tables, and in titles", () => {
    const found = findWords(draft, { words: "wind", ...plain });
    expect(found.map(({ where, spans }) => [where, spans.length])).toEqual([
      ["Title", 1],
      ["Hero, heading", 1],
      ["Hero, text", 2],
      ["Hero, button", 1],
      ["Questions, question", 1],
      ["Questions, answer", 1],
      ["Table, table", 1],
    ]);
    for (const { text, spans } of found)
      for (const [from, to] of spans) expect(text.slice(from, to).toLowerCase()).toBe("wind");
  });

  it("heeds capitals and whole words, and takes signs as they are", () => {
    const count = (words: string, how: Partial<typeof plain>) => findWords(draft, { words, ...plain, ...how }).length;
    expect(count("wind", { whole: true })).toBe(6);
    expect(count("WIND", { matchCase: true })).toBe(1);
    expect(count("w.nd", {})).toBe(0);
    expect(count("(", {})).toBe(0);
    expect(count("  ", {})).toBe(0);
  });
});

describe("replacing", () => {
  it("keeps how the first letter looked, and everything around it", () => {
    const [, hero] = home(done(draft, "wind", "a breeze"));
    const text = hero!.props.text as unknown as Rich;
    expect(plainOf(text)).toContain("Made for a breeze, not for show.");
    expect(JSON.stringify(text)).toContain('{"type":"text","text":"a breeze","marks":[{"type":"bold"}]}');
    expect(hero!.props).toMatchObject({ heading: "a breezeward", button: "To the a breeze" });
  });

  it("is one step, taken back whole, and only where it was asked for", () => {
    const one = findWords(draft, { words: "wind", ...plain })[3]!;
    const next = done(draft, "wind", "gale", plain, new Set([one.id]));
    expect(home(next)[1]!.props).toMatchObject({ heading: "Windward", button: "To the gale" });
    const outcome = replaceWords(draft, { words: "wind", ...plain }, "gale", all(draft, "wind"));
    if (!outcome.ok) throw new Error();
    const applied = applyAll(draft, outcome.transaction.operations);
    if (!applied.ok) throw new Error();
    const back = applyAll(applied.draft, invertAll(outcome.transaction.operations));
    expect(back.ok && back.draft).toEqual(draft);
  });

  it("leaves no page without a title, and puts in what is typed as it is", () => {
    expect(replaceWords(draft, { words: "Home wind", ...plain }, "", all(draft, "home wind"))).toMatchObject({
      ok: false,
    });
    expect(home(done(draft, "Windward", "$& $1 \\n"))[1]!.props.heading).toBe("$& $1 \\n");
  });

  it("reaches what footnotes say and what stands beneath pictures, and leaves no footnote that says nothing", () => {
    const value = {
      type: "doc",
      content: [
        { type: "figure", attrs: { picture: "p", caption: "In the wind" } },
        {
          type: "paragraph",
          content: [
            { type: "text", text: "Up" },
            { type: "footnote", attrs: { text: "wind" } },
          ],
        },
      ],
    };
    const d = draftWith(makeNode("text", { heading: "", text: value as unknown as Part["props"][string] }));
    const textOf = (draft: Draft) => JSON.stringify(home(draft)[1]!.props.text);
    expect(textOf(done(d, "wind", "breeze"))).toBe(JSON.stringify(value).replaceAll("wind", "breeze"));
    expect(textOf(done(d, "wind", ""))).toBe(JSON.stringify(value).replace("In the wind", "In the "));
  });

  it("does to any text what replacing in the plain text does", () => {
    const letters = fc.array(fc.constantFrom("a", "b", "ab", " "), { minLength: 1, maxLength: 8 });
    const marks = fc.constantFrom(undefined, [{ type: "bold" }], [{ type: "italic" }]);
    const node = fc
      .tuple(letters, marks)
      .map(([text, m]) => ({ type: "text", text: text.join(""), ...(m ? { marks: m } : {}) }));
    fc.assert(
      fc.property(
        fc.array(node, { minLength: 1, maxLength: 6 }),
        fc.constantFrom<string>("", "X", "ba"),
        (content, by) => {
          const value = { type: "doc", content: [{ type: "paragraph", content }] } as unknown as Part["props"][string];
          const d = draftWith(makeNode("hero", { heading: "", text: value, button: "Go" }));
          const before = plainOf(value as unknown as Rich);
          fc.pre(before.includes("ab") && before.replaceAll("ab", by).trim() !== "");
          const [, hero] = home(done(d, "ab", by));
          expect(plainOf(hero!.props.text as unknown as Rich)).toBe(before.replaceAll("ab", by));
        },
      ),
    );
  });
});
