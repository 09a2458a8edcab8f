import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { applyLight, findThing, frameAround, lightsFor, paperOf } from ".";
import { sceneOf } from "./scenes";

const boxes = fc.record({
  left: fc.integer({ min: 0, max: 500 }),
  top: fc.integer({ min: 0, max: 500 }),
  width: fc.integer({ min: 1, max: 2000 }),
  height: fc.integer({ min: 1, max: 2000 }),
});
const frames = fc.record({
  ratio: fc.double({ min: 0.3, max: 3, noNaN: true }),
  fill: fc.double({ min: 0.3, max: 1, noNaN: true }),
  stand: fc.boolean(),
});

describe("the frame around a thing", () => {
  it("has the shape that is asked for, and the thing fills as much of it as is asked for", () => {
    fc.assert(
      fc.property(boxes, frames, (box, frame) => {
        const { width, height, x, y } = frameAround(box, frame);
        expect(width / height).toBeCloseTo(frame.ratio, 6);
        expect(Math.max(box.width / width, box.height / height)).toBeCloseTo(frame.fill, 6);
        // It lies within the frame, in its middle from side to side.
        const [left, top] = [box.left + x, box.top + y];
        expect(left).toBeCloseTo(width - left - box.width, 4);
        expect(top).toBeGreaterThan(-0.001);
        expect(top + box.height).toBeLessThan(height + 0.001);
      }),
    );
  });
  it("has all things stand on one line where they are to, however high they are", () => {
    fc.assert(
      fc.property(boxes, boxes, frames, (a, b, frame) => {
        const line = (box: typeof a) => {
          const { height, y } = frameAround(box, { ...frame, stand: true });
          return (box.top + box.height + y) / height;
        };
        expect(line(a)).toBeCloseTo(line(b), 6);
      }),
    );
  });
  it("just holds a thing where no shape is asked for", () => {
    const { width, height, x, y } = frameAround(
      { left: 10, top: 20, width: 200, height: 100 },
      { ratio: null, fill: 0.9, stand: false },
    );
    expect([width, height]).toEqual([220, 120].map((v) => expect.closeTo(v, 6)));
    expect([x, y]).toEqual([0, -10].map((v) => expect.closeTo(v, 6)));
  });
});

describe("the light on things", () => {
  it("is told from pale grounds alone", () => {
    const paper = (ground: Parameters<typeof sceneOf>[1]) =>
      paperOf(findThing(sceneOf("blob", ground, { side: 160 }).pixels));
    expect(paper("paper")).toEqual([244, 242, 236].map((v) => expect.closeTo(v, -0.7)));
    expect(paper("teal")).toBeNull();
    expect(paper("leaves")).toBeNull();
  });

  it("becomes that of most pictures: a grey card that was photographed too blue is grey as the others", () => {
    // Cards as they come from a camera under different light; the third one is bluish and dark.
    const cards: [number, number, number][] = [
      [200, 200, 200],
      [202, 200, 199],
      [180, 188, 199],
      [200, 201, 200],
    ];
    const lights = lightsFor([...cards, null]);
    expect(lights[0]).toBeNull();
    expect(lights[4]).toBeNull();
    const data = Uint8ClampedArray.of(...cards[2]!, 255);
    applyLight(data, lights[2]!);
    for (const c of [0, 1, 2]) expect(Math.abs(data[c]! - 200)).toBeLessThanOrEqual(1);
    expect(data[3]).toBe(255);
  });

  it("is not guessed from one picture, and never changed beyond bearing", () => {
    expect(lightsFor([[240, 240, 240]])).toEqual([null]);
    const lights = lightsFor([
      [240, 240, 240],
      [240, 240, 240],
      [60, 60, 60],
    ]);
    expect(lights[2]).toEqual([1.3, 1.3, 1.3]);
  });
});
