import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  COMMON_RATIOS,
  dragLine,
  LEAST_SHARE,
  ratioOf,
  sharesOf,
  sharesWith,
  sharesWithout,
  widthsOf,
  withShare,
} from ".";

const seed = 40;
const proportions = fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 6 });
const shares = proportions.map(sharesOf).filter((s) => s.every((share) => share >= LEAST_SHARE));
const total = (all: readonly number[]) => all.reduce((sum, s) => sum + s, 0);

describe("shares of a width", () => {
  it("add up to 100 whatever is done to them, and none is lost", () => {
    fc.assert(
      fc.property(shares, fc.nat(5), fc.double({ min: -80, max: 180, noNaN: true }), (all, pick, amount) => {
        const index = pick % all.length;
        expect(total(all)).toBeCloseTo(100, 6);
        expect(total(withShare(all, index, amount))).toBeCloseTo(100, 6);
        expect(Math.min(...withShare(all, index, amount))).toBeGreaterThanOrEqual(LEAST_SHARE - 0.05);
        if (all.length < 6) expect(total(sharesWith(all, index))).toBeCloseTo(100, 6);
        if (all.length > 1) {
          expect(total(sharesWithout(all, index))).toBeCloseTo(100, 6);
          const dragged = dragLine(all, index % (all.length - 1), amount, 1.5);
          expect(total(dragged.shares)).toBeCloseTo(100, 1);
          expect(Math.min(...dragged.shares)).toBeGreaterThan(0);
        }
      }),
      { seed, numRuns: 300 },
    );
  });

  it("dragging a line changes the two at it and nothing else, and back again", () => {
    const start = sharesOf([1, 1, 2]);
    const there = dragLine(start, 0, 7, 0, true);
    expect(there.shares).toEqual([32, 18, 50]);
    expect(dragLine(there.shares, 0, -7, 0, true).shares).toEqual(start);
  });

  it("snaps to common ratios of the two at the line, within reach, and not when told not to", () => {
    expect(dragLine([50, 50], 0, 16, 1.5)).toEqual({ shares: [66.67, 33.33], snapped: "2 : 1" });
    expect(dragLine([50, 50], 0, 16, 1.5, true)).toEqual({ shares: [66, 34], snapped: undefined });
    expect(dragLine([50, 50], 0, 13, 1.5).snapped).toBeUndefined();
    // Of three columns, the ratio is that of the two neighbours.
    expect(dragLine([25, 25, 50], 0, 8, 1).snapped).toBe("2 : 1");
    expect(dragLine([25, 25, 50], 0, 8, 1).shares[2]).toBe(50);
  });

  it("never lets a column vanish", () => {
    expect(dragLine([50, 50], 0, 500, 1).shares).toEqual([92, 8]);
    expect(withShare([50, 50], 0, 99)).toEqual([92, 8]);
    expect(withShare([100], 0, 20)).toEqual([100]);
  });

  it("know their ratio by name", () => {
    for (const [name, left] of COMMON_RATIOS) expect(ratioOf(left, 1 - left)).toBe(name);
    expect(ratioOf(57, 43)).toBe("4 : 3");
    expect(ratioOf(62, 38)).toBeUndefined();
  });

  it("come out as widths that fill the room left by the gaps (CSS Flexbox 1, 9.7: free space by grow factors)", () => {
    expect(widthsOf([50, 50], 1000, 40)).toEqual([480, 480]);
    expect(widthsOf([25, 75], 1000, 0)).toEqual([250, 750]);
    fc.assert(
      fc.property(shares, fc.integer({ min: 200, max: 2000 }), fc.integer({ min: 0, max: 30 }), (all, width, gap) => {
        expect(total(widthsOf(all, width, gap)) + gap * (all.length - 1)).toBeCloseTo(width, 6);
      }),
      { seed, numRuns: 100 },
    );
  });
});
