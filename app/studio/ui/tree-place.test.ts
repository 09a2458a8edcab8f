import { describe, expect, it } from "vitest";
import { gapWithout, placeAt, placeByKey, type TreeRow } from "./tree-place";

/** a; b with c, which has d; e. */
const rows: readonly TreeRow[] = [
  { id: "a", parent: null, depth: 0 },
  { id: "b", parent: null, depth: 0 },
  { id: "c", parent: "b", depth: 1 },
  { id: "d", parent: "c", depth: 2 },
  { id: "e", parent: null, depth: 0 },
];
const at = (id: string, gap: number, depth: number, levels = 3) => {
  const place = placeAt(rows, id, gap, depth, levels);
  return place && [place.parent, place.before];
};

describe("where a row that is dragged would go", () => {
  it.each([
    // Between a and b: at the top, or, further to the right, into a.
    ["e", 1, 0, [null, "b"]],
    ["e", 1, 1, ["a", undefined]],
    ["e", 1, 7, ["a", undefined]],
    // Below d, everything that it stands in is within reach.
    ["a", 3, 0, [null, "e"]],
    ["a", 3, 1, ["b", undefined]],
    ["a", 3, 2, ["c", undefined]],
    // Between b and c it can only be beneath b.
    ["a", 1, 0, ["b", "c"]],
    // First of all.
    ["e", 0, 3, [null, "a"]],
    ["e", -4, 0, [null, "a"]],
  ] as const)("%s, above row %i, at depth %i", (id, gap, depth, place) => expect(at(id, gap, depth)).toEqual(place));

  it("is nowhere too deep, with all that it takes along, nor anywhere for what is not there", () => {
    expect(at("b", 1, 1)).toEqual([null, "e"]);
    expect(at("b", 1, 1, 4)).toEqual(["a", undefined]);
    expect(at("x", 0, 0)).toBeUndefined();
    // Beneath c there is room for one level, and c is what would have to take two.
    const deep = [...rows.slice(0, 4), { id: "f", parent: "d", depth: 3 }];
    expect(placeAt(deep, "b", 1, 0, 2)).toBeUndefined();
  });
});

describe("where a key moves a row", () => {
  const by = (id: string, key: string, levels = 3) => {
    const place = placeByKey(rows, id, key, levels);
    return place && [place.parent, place.before];
  };
  it.each([
    ["e", "ArrowUp", [null, "b"]],
    ["a", "ArrowDown", [null, "e"]],
    ["b", "ArrowDown", [null, undefined]],
    ["e", "ArrowRight", ["b", undefined]],
    ["d", "ArrowLeft", ["b", undefined]],
    ["c", "ArrowLeft", [null, "e"]],
  ] as const)("%s by %s", (id, key, place) => expect(by(id, key)).toEqual(place));

  it("is nowhere at an end, at the left edge, and where it would be too deep", () => {
    for (const [id, key] of [
      ["a", "ArrowUp"],
      ["e", "ArrowDown"],
      ["a", "ArrowLeft"],
      ["a", "ArrowRight"],
      ["b", "ArrowRight"],
      ["x", "ArrowUp"],
    ] as const)
      expect(by(id, key), `${id} ${key}`).toBeUndefined();
    expect(by("b", "ArrowRight", 4)).toEqual(["a", undefined]);
  });
});

it("a row can be let go anywhere from the very top to the very end, whatever it takes along", () => {
  // b takes c and d along: below them, three rows fewer stand above.
  expect([0, 1, 2, 3, 4, 5].map((gap) => gapWithout(rows, "b", gap))).toEqual([0, 1, 1, 1, 1, 2]);
  expect([0, 1, 5].map((gap) => gapWithout(rows, "a", gap))).toEqual([0, 0, 4]);
  expect(at("a", gapWithout(rows, "a", 5), 0)).toEqual([null, undefined]);
});
