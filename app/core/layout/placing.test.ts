import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { placeAt, spotOf, widened, type Rect } from ".";

const frame = { width: 1200, height: 480 };
const size = fc.record({ width: fc.integer({ min: 20, max: 1300 }), height: fc.integer({ min: 10, max: 600 }) });
const rect: fc.Arbitrary<Rect> = fc.record({
  left: fc.integer({ min: 0, max: 1000 }),
  top: fc.integer({ min: 0, max: 400 }),
  width: fc.integer({ min: 10, max: 200 }),
  height: fc.integer({ min: 10, max: 80 }),
});
const middle = fc.record({ x: fc.integer({ min: -400, max: 1600 }), y: fc.integer({ min: -400, max: 900 }) });
/** A tenth of a percent of the frame, in px: as exactly as places are kept. */
const EXACT = 1.2;

describe("placing on a frame", () => {
  it("never lets anything stand beyond the frame that fits on it", () => {
    fc.assert(
      fc.property(middle, size, fc.array(rect, { maxLength: 5 }), fc.nat(20), (held, own, neighbours, reach) => {
        const { spot } = placeAt(held, own, frame, neighbours, reach);
        for (const [percent, extent, room] of [
          [spot.x, own.width, frame.width],
          [spot.y, own.height, frame.height],
        ] as const) {
          const at = (percent / 100) * room;
          if (extent > room) expect(at).toBeCloseTo(room / 2, 0);
          else {
            expect(at - extent / 2).toBeGreaterThanOrEqual(-EXACT);
            expect(at + extent / 2).toBeLessThanOrEqual(room + EXACT);
          }
        }
      }),
      { seed: 8 },
    );
  });

  it("is drawn to the middle, to margins and to neighbours, within reach and no further", () => {
    const own = { width: 300, height: 60 };
    const beside: Rect = { left: 100, top: 300, width: 240, height: 40 };
    const at = (x: number, y: number, reach = 8) => placeAt({ x, y }, own, frame, [beside], reach);
    expect(at(605, 130)).toMatchObject({ spot: { x: 50 }, guides: [{ axis: "x", at: 600, words: "in the middle" }] });
    // Left edges in line with the neighbour's.
    expect(at(253, 130).spot.x).toBeCloseTo(((100 + 150) / 1200) * 100, 1);
    expect(at(253, 130).guides[0]).toMatchObject({ axis: "x", at: 100, words: "in line", from: 100, to: 340 });
    // Its lower edge on the margin below: 6 % of the shorter side.
    expect(at(700, 480 - 28.8 - 30 + 5).guides).toMatchObject([{ axis: "y", words: "lower margin" }]);
    expect(at(615, 130).guides).toEqual([]);
    expect(at(605, 130, 0).spot.x).toBeCloseTo(50.4, 1);
  });

  it("says the same place on a frame of any size", () => {
    fc.assert(
      fc.property(rect, fc.double({ min: 0.2, max: 3, noNaN: true }), (thing, scale) => {
        const large = (r: Rect): Rect => ({
          left: r.left * scale,
          top: r.top * scale,
          width: r.width * scale,
          height: r.height * scale,
        });
        const whole: Rect = { left: 40, top: 90, width: 1200, height: 480 };
        const [a, b] = [spotOf(thing, whole), spotOf(large(thing), large(whole))];
        expect(b.x).toBeCloseTo(a.x, 6);
        expect(b.y).toBeCloseTo(a.y, 6);
      }),
      { seed: 9 },
    );
  });

  it("widens by the right edge: the left one stays, and nothing reaches beyond the frame", () => {
    const whole: Rect = { left: 10, top: 0, ...frame };
    const thing: Rect = { left: 110, top: 100, width: 300, height: 50 };
    const wider = widened(thing, whole, 120);
    expect(wider.width).toBeCloseTo((420 / 1200) * 100, 1);
    expect((wider.x / 100) * 1200 - ((wider.width / 100) * 1200) / 2).toBeCloseTo(100, 0);
    expect(widened(thing, whole, 5000).width).toBeCloseTo((1100 / 1200) * 100, 1);
    expect(widened(thing, whole, -5000).width).toBe(4);
  });
});
