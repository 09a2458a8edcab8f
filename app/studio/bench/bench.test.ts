import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contentWith, everySection } from "~/render/fixtures/content";
import { createStudioStore } from "../keeping";
import { dropIndex, sectionDropWords, edgeScroll, sillAt } from "./drop";
import { placeForNew, siblingsOf, standings } from "./sections";
import { fieldAt, pathOf } from "../words";
import { writeWords } from "./words";
import { KINDS } from "~/kinds";

const extents = [
  { start: 0, end: 100 },
  { start: 100, end: 300 },
  { start: 300, end: 340 },
];

describe("dropping", () => {
  it("goes before the first section whose middle lies beyond", () => {
    expect([0, 49, 51, 199, 201, 319, 321, 999].map((p) => dropIndex(extents, p))).toEqual([0, 0, 1, 1, 2, 2, 3, 3]);
  });

  it("is at home where it came from: over itself, a section stays", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 400 }), { minLength: 1, maxLength: 12 }),
        fc.nat(11),
        (heights, pick) => {
          let y = 0;
          const all = heights.map((h) => ({ start: y, end: (y += h) }));
          const i = pick % all.length;
          const middle = (all[i]!.start + all[i]!.end) / 2;
          expect([i, i + 1]).toContain(dropIndex(all, middle));
          expect(sectionDropWords(all.map(String), i, dropIndex(all, middle))).toBe("Stays here");
        },
      ),
      { seed: 4 },
    );
  });

  it("draws its sill between the neighbours, and at the ends", () =>
    expect([0, 1, 2, 3].map((i) => sillAt(extents, i))).toEqual([0, 100, 300, 340]));

  it("says what will happen before it does", () => {
    const names = ["Hero", "Goods", "Text"];
    expect([0, 1, 2, 3].map((i) => sectionDropWords(names, 0, i))).toEqual([
      "Stays here",
      "Stays here",
      "Between Goods and Text",
      "Last on the page",
    ]);
    expect(sectionDropWords(names, 2, 0)).toBe("First on the page");
  });

  it("scrolls faster the nearer to the edge, and not in the middle", () => {
    expect(edgeScroll(300, 600)).toBe(0);
    expect(edgeScroll(30, 600)).toBeLessThan(0);
    expect(edgeScroll(5, 600)).toBeLessThan(edgeScroll(30, 600));
    expect(edgeScroll(590, 600)).toBeGreaterThan(0);
  });
});

const main = everySection.filter((s) => s.slot === "main").map((s) => s.node);
const store = () => {
  const { draft, goods, pictures, currency, locale } = contentWith(main);
  return createStudioStore({
    shop: { id: "s", host: "s", address: "", currency, locale, timeZone: "Europe/London", moneyFormat: "en-GB" },
    goods,
    pictures,
    published: undefined,
    draft,
    seq: 0,
    log: [],
  });
};

describe("the page on the bench", () => {
  it("stands in reading order between what every page has", () => {
    const all = standings(contentWith(main).draft, "home");
    expect(all.slice(0, 3).map((s) => s.name)).toEqual(["Notice strip", "Header", "Hero"]);
    expect(all.at(-1)!.name).toBe("Footer");
    expect(siblingsOf(contentWith(main).draft, "home", all[0]!.node.id)!.siblings).toHaveLength(2);
  });

  it("takes new sections after the selected one, else at its end", () => {
    const { draft } = contentWith(main);
    expect(placeForNew(draft, "home", main[1]!.id)).toBe(2);
    expect(placeForNew(draft, "home", null)).toBe(main.length);
    expect(placeForNew(draft, "home", draft.documents.frame!.root.slots.top![0]!.id)).toBe(main.length);
  });
});

describe("words in place", () => {
  it("know the field they belong to, in lists too", () => {
    const { fields } = KINDS.get("collection-tiles")!.definition;
    expect(pathOf("tiles.0.words")).toEqual(["tiles", 0, "words"]);
    expect(fieldAt(fields, pathOf("tiles.0.words"))).toMatchObject({ label: "Other name", most: 60 });
    expect(fieldAt(fields, pathOf("heading"))).toMatchObject({ label: "Heading" });
  });

  it("are kept as typed, one line where there is one, and no longer than allowed", () => {
    const s = store();
    const id = main.find((n) => n.kind === "hero")!.id;
    const said = (key: string) =>
      s.getState().draft.documents.home!.root.slots.main!.find((n) => n.id === id)!.props[key];
    writeWords(s, id, "heading", "Two\nlines");
    expect(said("heading")).toBe("Two\nlines");
    writeWords(s, id, "button", "Buy\nnow");
    expect(said("button")).toBe("Buy now");
    writeWords(s, id, "button", "x".repeat(100));
    expect(said("button")).toBe("x".repeat(40));
    expect(s.getState().said?.text).toContain("40 characters");
  });

  it("are refused with the reason where a kind needs them", () => {
    const s = store();
    const id = main.find((n) => n.kind === "sign-up")!.id;
    writeWords(s, id, "button", "");
    expect(s.getState().said?.text).toBe("The button needs words.");
    expect(s.getState().pending).toEqual([]);
  });
});
