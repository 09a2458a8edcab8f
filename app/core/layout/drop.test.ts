import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { alignmentsOf, distanceTo, placeIn, slotAt, type DropSlot, type Rect } from ".";

const rect = (left: number, top: number, width: number, height: number): Rect => ({ left, top, width, height });
const column: DropSlot = {
  parent: "c1",
  slot: "widgets",
  rect: rect(0, 0, 200, 300),
  flow: "column",
  inside: [
    { id: "a", rect: rect(0, 0, 200, 100) },
    { id: "b", rect: rect(0, 120, 200, 80) },
  ],
};
const group: DropSlot = {
  parent: "g",
  slot: "inside",
  rect: rect(0, 120, 200, 80),
  flow: "row",
  inside: [
    { id: "x", rect: rect(0, 130, 60, 40) },
    { id: "y", rect: rect(80, 130, 60, 40) },
  ],
};

describe("the slot that is meant", () => {
  it("is the innermost one under the pointer, else the nearest one within reach", () => {
    expect(slotAt([column, group], { x: 50, y: 150 })?.parent).toBe("g");
    expect(slotAt([column, group], { x: 50, y: 50 })?.parent).toBe("c1");
    expect(slotAt([column, group], { x: 260, y: 50 })?.parent).toBe("c1");
    expect(slotAt([column, group], { x: 500, y: 50 })).toBeUndefined();
    expect(distanceTo(column.rect, { x: 203, y: 304 })).toBe(5);
  });
});

describe("the place in a slot", () => {
  it("is before what has its middle further on", () => {
    const at = (y: number) => placeIn(column, { x: 10, y }).index;
    expect([0, 49, 51, 159, 161, 290].map(at)).toEqual([0, 0, 1, 1, 2, 2]);
  });
  it("is along the row in a row, and in the line that is pointed at when it has wrapped", () => {
    const at = (x: number, y = 150) => placeIn(group, { x, y }).index;
    expect([10, 40, 100, 150].map((x) => at(x))).toEqual([0, 1, 1, 2]);
    const wrapped: DropSlot = { ...group, inside: [...group.inside, { id: "z", rect: rect(0, 180, 60, 40) }] };
    expect(placeIn(wrapped, { x: 10, y: 200 }).index).toBe(2);
    expect(placeIn(wrapped, { x: 100, y: 200 }).index).toBe(3);
    expect(placeIn(wrapped, { x: 190, y: 150 }).index).toBe(2);
  });
  it("is drawn as a line between its neighbours, at the ends, and in the middle of an empty one", () => {
    expect(placeIn(column, { x: 10, y: 110 }).line).toEqual(rect(0, 108, 200, 4));
    expect(placeIn(column, { x: 10, y: 0 }).line.top).toBe(-2);
    expect(placeIn(column, { x: 10, y: 299 }).line.top).toBe(198);
    expect(placeIn({ ...column, inside: [] }, { x: 10, y: 20 })).toMatchObject({
      index: 0,
      line: rect(0, 148, 200, 4),
    });
    expect(placeIn(group, { x: 70, y: 150 }).line).toEqual(rect(68, 130, 4, 40));
  });
});

describe("whatever the sizes", () => {
  it("a place in a column is the number of things whose middle is passed, and a thing held over itself stays", () => {
    const heights = fc.array(fc.integer({ min: 4, max: 300 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(
        heights,
        fc.integer({ min: 0, max: 40 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (all, gap, share) => {
          let top = 0;
          const inside = all.map((height, i) => {
            const one = { id: String(i), rect: rect(0, top, 200, height) };
            top += height + gap;
            return one;
          });
          const slot: DropSlot = { parent: "c", slot: "widgets", rect: rect(0, 0, 200, top), flow: "column", inside };
          const y = share * top;
          const passed = inside.filter(({ rect: r }) => r.top + r.height / 2 <= y).length;
          expect(placeIn(slot, { x: 5, y }).index).toBe(passed);
          inside.forEach(({ rect: r }, i) => {
            expect([i, i + 1]).toContain(placeIn(slot, { x: 5, y: r.top + r.height / 2 }).index);
          });
        },
      ),
      { seed: 8, numRuns: 200 },
    );
  });
});

describe("alignment", () => {
  it("is found between edges and middles, with how far the two are apart", () => {
    const found = alignmentsOf(rect(100, 0, 50, 20), [rect(100, 60, 80, 20)]);
    expect(found).toEqual([{ axis: "x", at: 100, from: 0, to: 80, distance: 40 }]);
    // Middles: 125 and 125.
    expect(alignmentsOf(rect(100, 0, 50, 20), [rect(105, 60, 40, 20)])).toMatchObject([{ axis: "x", at: 125 }]);
    expect(alignmentsOf(rect(0, 0, 10, 10), [rect(33, 47, 11, 13)])).toEqual([]);
  });
});
