import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { reworkSchema } from "../schema";
import { AS_IT_IS, isAsItIs, MOST_LEAN, reworkMatrix, sizeOfReworked, turnedBy, type Rework } from "./rework";

const sizes = fc.record({ width: fc.integer({ min: 1, max: 3000 }), height: fc.integer({ min: 1, max: 3000 }) });
const turns = fc.constantFrom<Rework["turn"]>(0, 90, 180, 270);
const reworks = fc.record({
  turn: turns,
  lean: fc.double({ min: -MOST_LEAN, max: MOST_LEAN, noNaN: true }),
  mirror: fc.boolean(),
});

type Matrix = ReturnType<typeof reworkMatrix>;
const through = ([a, b, c, d, e, f]: Matrix, x: number, y: number) => [a * x + c * y + e, b * x + d * y + f] as const;
const back = ([a, b, c, d, e, f]: Matrix, x: number, y: number) => {
  const whole = a * d - b * c;
  return [(d * (x - e) - c * (y - f)) / whole, (a * (y - f) - b * (x - e)) / whole] as const;
};

describe("a picture that is turned and straightened", () => {
  it("fills its frame: each corner lies within the picture", () => {
    fc.assert(
      fc.property(sizes, reworks, (size, rework) => {
        const frame = sizeOfReworked(size, rework);
        const matrix = reworkMatrix(size, rework);
        for (const [x, y] of [
          [0, 0],
          [frame.width, 0],
          [0, frame.height],
          [frame.width, frame.height],
        ] as const) {
          const [px, py] = back(matrix, x, y);
          expect(px).toBeGreaterThan(-0.01);
          expect(px).toBeLessThan(size.width + 0.01);
          expect(py).toBeGreaterThan(-0.01);
          expect(py).toBeLessThan(size.height + 0.01);
        }
      }),
    );
  });

  it("keeps its shape, and no larger frame of that shape would be filled", () => {
    fc.assert(
      fc.property(sizes, reworks, (size, rework) => {
        const { width, height } = sizeOfReworked(size, rework);
        const [w, h] = rework.turn % 180 ? [size.height, size.width] : [size.width, size.height];
        expect(width / height / (w / h)).toBeCloseTo(1, 6);
        const angle = (Math.abs(rework.lean) * Math.PI) / 180;
        const needed = [
          (width * Math.cos(angle) + height * Math.sin(angle)) / w,
          (width * Math.sin(angle) + height * Math.cos(angle)) / h,
        ];
        expect(Math.max(...needed)).toBeCloseTo(1, 6);
      }),
    );
  });

  it("goes where it should: the top left corner, by quarters and mirrored", () => {
    const size = { width: 300, height: 200 };
    const at = (rework: Partial<Rework>) =>
      through(reworkMatrix(size, { ...AS_IT_IS, ...rework }), 0, 0).map((v) => Math.round(v) + 0);
    expect(at({})).toEqual([0, 0]);
    expect(at({ turn: 90 })).toEqual([200, 0]);
    expect(at({ turn: 180 })).toEqual([300, 200]);
    expect(at({ turn: 270 })).toEqual([0, 300]);
    expect(at({ mirror: true })).toEqual([300, 0]);
    expect(at({ turn: 90, mirror: true })).toEqual([0, 0]);
  });

  it("turns as it is seen, mirrored or not, and four quarters are none", () => {
    fc.assert(
      fc.property(reworks, fc.constantFrom<1 | -1>(1, -1), (rest, way) => {
        const size = { width: 300, height: 200 };
        const rework = { ...rest, lean: 0, cut: null };
        const frame = sizeOfReworked(size, rework);
        const [x, y] = through(reworkMatrix(size, rework), 40, 30);
        const [tx, ty] = through(reworkMatrix(size, turnedBy(rework, way)), 40, 30);
        // A quarter to the right: what was at the left edge is at the top.
        const expected = way === 1 ? [frame.height - y, x] : [y, frame.width - x];
        expect(tx).toBeCloseTo(expected[0]!, 6);
        expect(ty).toBeCloseTo(expected[1]!, 6);
        const four = [1, 2, 3, 4].reduce((r) => turnedBy(r, way), rework);
        expect(four.turn).toBe(rework.turn);
      }),
    );
  });

  it("is as it is only where nothing was done", () => {
    expect(isAsItIs(AS_IT_IS)).toBe(true);
    expect(isAsItIs({ ...AS_IT_IS, lean: 0.1 })).toBe(false);
    expect(isAsItIs({ ...AS_IT_IS, mirror: true })).toBe(false);
  });

  it("is refused where it could not have been made here", () => {
    expect(reworkSchema.safeParse(AS_IT_IS).success).toBe(true);
    expect(reworkSchema.safeParse({ ...AS_IT_IS, turn: 45 }).success).toBe(false);
    expect(reworkSchema.safeParse({ ...AS_IT_IS, lean: 16 }).success).toBe(false);
    expect(reworkSchema.safeParse({ ...AS_IT_IS, more: 1 }).success).toBe(false);
  });
});
