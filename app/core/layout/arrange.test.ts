import { describe, expect, it } from "vitest";
import type { Part, StyleValue } from "../document";
import { arrangeForPhone, type PhoneFacts } from ".";

let ids = 0;
const node = (kind: string, more: Partial<Part> = {}): Part => ({
  id: `n${++ids}`,
  kind,
  props: {},
  style: {},
  conditions: [],
  shown: true,
  slots: {},
  ...more,
});
const column = (...widgets: Part[]) => node("column", { slots: widgets.length ? { widgets } : {} });
const section = (...columns: Part[]) => node("freehand", { slots: { columns } });

/** Proposals for one section; `rows` as it is on phones, and what is measured there. */
function proposals(
  of: Part,
  facts: Readonly<Record<string, PhoneFacts>> = {},
  rows: StyleValue = 1,
  usual: Readonly<Record<string, StyleValue>> = {},
) {
  return arrangeForPhone({
    sections: [of],
    facts: new Map(Object.entries(facts)),
    now: (n, property) =>
      n.style.phone?.[property] ??
      n.style.all?.[property] ??
      (n.kind === "freehand" && property === "rows" ? rows : usual[property]),
    has: () => true,
    nameOf: (n) => n.kind,
    is: (n, what) =>
      ({ picture: ["picture", "small"], product: ["small"], heading: ["words"] })[n.kind]?.includes(what) ??
      n.kind === what,
  });
}
const changes = (
  of: Part,
  ...rest: [Readonly<Record<string, PhoneFacts>>?, StyleValue?, Readonly<Record<string, StyleValue>>?]
) => proposals(of, ...rest).flatMap((p) => p.changes.map((c) => [c.property, c.value]));

describe("arranging for a phone", () => {
  it("puts columns below each other where they are too narrow, and leaves them where they are not", () => {
    const [a, b] = [column(node("words")), column(node("words"))];
    const page = section(a, b);
    const wide = { [a.id]: { width: 170, height: 10 }, [b.id]: { width: 170, height: 10 } };
    const narrow = { [a.id]: { width: 90, height: 10 }, [b.id]: { width: 250, height: 10 } };
    expect(changes(page, wide, 0)).toEqual([]);
    expect(changes(page, narrow, 0)).toEqual([["rows", 1]]);
    expect(proposals(page, narrow, 0)[0]!.why).toContain("90 px");
  });

  it("puts small things two in a row, where there are four of them", () => {
    const four = section(...[1, 2, 3, 4].map(() => column(node("product"))));
    expect(changes(four, {}, 1)).toEqual([["rows", 2]]);
    const facts = Object.fromEntries(four.slots.columns!.map((c) => [c.id, { width: 80, height: 1 }]));
    expect(changes(four, facts, 0)).toEqual([["rows", 2]]);
    expect(changes(section(...[1, 2, 3].map(() => column(node("product")))), {}, 1)).toEqual([]);
  });

  it("shows the picture before the words that speak of it, once", () => {
    const page = section(column(node("heading"), node("words")), column(node("picture")));
    expect(changes(page)).toEqual([
      ["order", 1],
      ["order", 2],
    ]);
    expect(proposals(page)[0]!.changes[0]!.id).toBe(page.slots.columns![1]!.id);
    const ordered = section(column(node("words")), { ...column(node("picture")), style: { phone: { order: 1 } } });
    expect(changes(ordered)).toEqual([]);
    expect(changes(section(column(node("picture")), column(node("words"))))).toEqual([]);
  });

  it("hides what only makes room or parts columns", () => {
    expect(changes(section(column(node("words")), column()))).toEqual([["hidden", true]]);
    expect(changes(section(column(node("words"), node("rule")), column(node("words"))))).toEqual([["hidden", true]]);
  });

  it("makes heads smaller until their longest word fits and four lines hold them", () => {
    const head = node("heading");
    const page = section(column(head));
    const usual = { headSize: 6 };
    expect(changes(page, { [head.id]: { width: 300, height: 90, lines: 2, longestWord: 280 } }, 1, usual)).toEqual([]);
    expect(changes(page, { [head.id]: { width: 300, height: 90, lines: 2, longestWord: 320 } }, 1, usual)).toEqual([
      ["headSize", 5],
    ]);
    expect(changes(page, { [head.id]: { width: 300, height: 90, lines: 6, longestWord: 200 } }, 1, usual)).toEqual([
      ["headSize", 4],
    ]);
  });

  it("lets written line breaks go where they leave short ends", () => {
    const head = node("heading");
    const facts = { width: 300, height: 90, longestWord: 100, writtenLines: 2 };
    expect(changes(section(column(head)), { [head.id]: { ...facts, lines: 3 } }, 1, { headSize: 3 })).toEqual([
      ["breaks", "flow"],
    ]);
    expect(changes(section(column(head)), { [head.id]: { ...facts, lines: 2 } }, 1, { headSize: 3 })).toEqual([]);
  });

  it("takes exact amounts that were meant for wide screens back to steps", () => {
    const word = node("words", {
      style: { all: { size: "11px", wide: "40%", align: "end", above: "120px", pad: "60px" } },
    });
    expect(Object.fromEntries(changes(section(column(word))) as [string, StyleValue][])).toEqual({
      size: 0,
      align: "start",
      wide: "fill",
      above: 5,
      pad: 3,
    });
    const picture = node("picture", { style: { all: { shape: "16/9" } } });
    expect(changes(section(column(picture)), { [picture.id]: { width: 350, height: 197 } })).toEqual([
      ["shape", "4/3"],
    ]);
  });
});
