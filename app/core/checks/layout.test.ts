import { describe, expect, it } from "vitest";
import { layoutFindings, type MeasuredPart } from ".";

const words = (
  left: number,
  top: number,
  width: number,
  height: number,
  more: Partial<MeasuredPart> = {},
): MeasuredPart => ({
  node: `${left} ${top}`,
  kind: "words",
  says: "words",
  rect: { left, top, width, height },
  fontSize: 16,
  ...more,
});
const target = (
  left: number,
  top: number,
  width: number,
  height = width,
  more: Partial<MeasuredPart> = {},
): MeasuredPart => ({
  node: `${left} ${top}`,
  kind: "target",
  says: "link",
  rect: { left, top, width, height },
  ...more,
});
const rules = (all: readonly MeasuredPart[], width = 390) => layoutFindings(all, width).map((f) => f.rule);

describe("targets (WCAG 2.2, 2.5.8 Target Size (Minimum))", () => {
  it.each([
    ["24 by 24 is enough, however close", [target(0, 0, 24), target(24, 0, 24)], []],
    [
      "20 by 20 fails when the next one is 20 px away from middle to middle",
      [target(0, 0, 20), target(20, 0, 20)],
      ["small-target", "small-target"],
    ],
    // Understanding 2.5.8, spacing: circles of 24 px across the middles must not touch.
    ["20 by 20 with 4 px between passes", [target(0, 0, 20), target(24, 0, 20)], []],
    [
      "a small one beside a large one fails within 12 px of its middle",
      [target(0, 0, 16), target(18, 0, 60)],
      ["small-target"],
    ],
    ["and passes further off", [target(0, 0, 16), target(21, 0, 60)], []],
    ["alone it passes", [target(0, 0, 10)], []],
    ["in a sentence it is excepted", [target(0, 0, 10, 10, { inSentence: true }), target(11, 0, 40)], []],
    [
      "flat ones count as well: 100 by 18",
      [target(0, 0, 100, 18), target(0, 20, 100, 18)],
      ["small-target", "small-target"],
    ],
  ] as const)("%s", (_what, all, found) => expect(rules(all)).toEqual(found));
});

describe("words", () => {
  it("must not be under 12 px", () => {
    expect(rules([words(0, 0, 100, 20, { fontSize: 11.5 }), words(0, 40, 100, 20, { fontSize: 12 })])).toEqual([
      "small-text",
    ]);
  });
  it("must not run in lines past 90 characters", () => {
    expect(rules([words(0, 0, 300, 90, { lineLength: 96 }), words(0, 100, 300, 90, { lineLength: 74 })])).toEqual([
      "long-line",
    ]);
  });
  it("must not lie on others, unless they are part of them", () => {
    const all = [words(0, 0, 200, 40), words(10, 20, 100, 40)];
    expect(layoutFindings(all, 390)).toMatchObject([{ rule: "overlap", why: "Lies on “words”." }]);
    expect(rules([all[0]!, { ...all[1]!, inside: 0 }])).toEqual([]);
    expect(rules([words(0, 0, 200, 40), words(0, 38, 200, 40)])).toEqual([]);
    expect(rules([words(0, 0, 200, 40), words(10, 20, 100, 40, { clipped: true })])).toEqual([]);
    // The box of a paragraph goes on behind the picture that its lines flow around.
    expect(rules([words(0, 0, 200, 40, { flow: 0 }), words(10, 20, 100, 40, { flow: 0 })])).toEqual([]);
    expect(rules([words(0, 0, 200, 40, { flow: 0 }), words(10, 20, 100, 40, { flow: 1 })])).toEqual(["overlap"]);
  });
});

describe("signs and pictures in the header", () => {
  const sign = (left: number, more: Partial<MeasuredPart> = {}) =>
    target(left, 0, 44, 44, { solid: true, says: "", ...more });
  it("must not lie on one another, nor on the name", () => {
    expect(rules([sign(0), sign(60)])).toEqual([]);
    expect(layoutFindings([sign(0), sign(20)], 390)).toMatchObject([
      { rule: "overlap", why: "Lies on what stands beside it." },
    ]);
    expect(rules([words(0, 0, 240, 40, { says: "A long name" }), sign(220)])).toEqual(["overlap"]);
  });
  it("may lie in a link that lies in another part, however deep", () => {
    const all = [sign(0), words(0, 0, 100, 40, { inside: 0 }), words(10, 5, 60, 30, { inside: 1 })];
    expect(rules(all)).toEqual([]);
  });
  it("may lie on what is no words elsewhere on the page", () => {
    expect(rules([target(0, 0, 44), target(20, 0, 44)])).toEqual([]);
  });
});

describe("heads", () => {
  it("must not be broken within a word", () => {
    expect(layoutFindings([words(0, 0, 200, 90, { broken: "Kitemaking" })], 390)).toMatchObject([
      { rule: "broken-word", why: expect.stringContaining("“Kitemaking”") },
    ]);
  });
});

describe("contrast (WCAG 2.2, 1.4.3 Contrast (Minimum))", () => {
  it.each([
    [4.5, 4.5, []],
    [4.44, 4.5, ["unreadable"]],
    [3.2, 3, []],
    [2.9, 3, ["unreadable"]],
  ] as const)("%f where %f is needed", (reached, needed, found) =>
    expect(rules([words(0, 0, 200, 20, { contrast: { reached, needed } })])).toEqual(found),
  );
});

describe("the edge of the screen", () => {
  it("is passed on either side, but not by what scrolls by itself or by a hair", () => {
    expect(rules([words(300, 0, 100, 20), words(-8, 40, 50, 20), words(290, 80, 100.6, 20)])).toEqual([
      "overflow",
      "overflow",
    ]);
    expect(rules([words(300, 0, 400, 20, { clipped: true })])).toEqual([]);
    expect(layoutFindings([words(300, 0, 100, 20)], 390)[0]!.why).toContain("10 px");
  });
});

it("one finding of a rule for a part is enough", () => {
  const same = { node: "one", fontSize: 9 };
  expect(rules([words(0, 0, 50, 10, same), words(0, 20, 50, 10, same)])).toEqual(["small-text"]);
});
