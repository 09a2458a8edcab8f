import { describe, expect, it } from "vitest";
import type { Pixels, Stroke } from "../pictures";
import { blurred } from "./find";
import { boxOf, cutOut, findThing, judge, maskOf, type Finish } from ".";
import { agreement, halfOf, sceneOf, type GroundName, type Scene, type ShapeName } from "./scenes";

const AS_IT_IS: Finish = { soft: 0, shadow: false };

function cutFrom(scene: Scene, strokes: readonly Stroke[] = [], holes = false, finish = AS_IT_IS) {
  const small = halfOf(scene.pixels);
  const found = findThing(small);
  const mask = maskOf(small, found, strokes, holes);
  return { small, found, mask, out: cutOut(scene.pixels, small, found, mask, finish) };
}

const tap = (way: Stroke["way"], x = 0.5, y = 0.5, size = 0.01): Stroke => ({ way, size, points: [[x, y]] });

/** The thing laid over a colour, as a page would show it. */
const laidOver = (out: ArrayLike<number>, at: number, ground: readonly number[]): number[] =>
  [0, 1, 2].map((c) => (out[at * 4 + c]! * out[at * 4 + 3]! + ground[c]! * (255 - out[at * 4 + 3]!)) / 255);

describe("a thing on a plain or graded ground", () => {
  const cases: readonly (readonly [GroundName, ShapeName, number, boolean])[] = [
    ["paper", "blob", 1, false],
    ["paper", "board", 2, true],
    ["teal", "blob", 2, true],
    ["graded", "board", 3, true],
    ["graded", "blob", 1, false],
    ["vignette", "blob", 3, true],
  ];
  it.each(cases)("on %s: a %s (%i), shadow: %s, is found by itself", (ground, shape, seed, shadow) => {
    const scene = sceneOf(shape, ground, { seed, shadow, side: 320 });
    const { found, out, mask, small } = cutFrom(scene);
    expect(found.sort).toBe(ground === "paper" || ground === "teal" ? "plain" : "graded");
    expect(agreement(out, scene.truth)).toBeGreaterThan(0.97);
    expect(judge(small, mask).weak).toBeLessThan(0.05);
    expect(judge(small, mask).touches).toEqual([]);
  });

  it("has the edge that was painted, without a rim of the old ground", () => {
    const scene = sceneOf("blob", "teal", { seed: 3, side: 320, noise: 1 });
    const { out } = cutFrom(scene);
    let off = 0;
    let rim = 0;
    let count = 0;
    for (let at = 0; at < scene.truth.length; at++) {
      const part = scene.truth[at]!;
      if (part <= 0.02 || part >= 0.98) continue;
      count++;
      off += Math.abs(out[at * 4 + 3]! / 255 - part);
      // On white, a rim of the dark ground would be seen as something darker than the thing's own share of the pixel.
      const [, green] = laidOver(out, at, [255, 255, 255]);
      rim += Math.max(0, 255 - part * 255 - green!) / 255;
    }
    expect(off / count).toBeLessThan(0.05);
    expect(rim / count).toBeLessThan(0.05);
  });

  it("keeps its shadow where that is wanted: on the old ground it looks as before", () => {
    const scene = sceneOf("board", "paper", { seed: 2, shadow: true, side: 320, noise: 1 });
    const plain = cutFrom(scene).out;
    const { out, found } = cutFrom(scene, [], false, { soft: 0, shadow: true });
    expect(found.shadow).not.toBeNull();
    const off = (pixels: ArrayLike<number>) => {
      let sum = 0;
      for (let at = 0; at < scene.truth.length; at++) {
        const [r] = laidOver(pixels, at, [244, 242, 236]);
        sum += Math.abs(r! - scene.pixels.data[at * 4]!);
      }
      return sum / scene.truth.length;
    };
    expect(off(out)).toBeLessThan(2.5);
    expect(off(plain)).toBeGreaterThan(5);
    // A shadow is no thing.
    expect(agreement(plain, scene.truth)).toBeGreaterThan(0.97);
  });

  it("opens what shows the ground, when it is asked to or touched", () => {
    const lit = sceneOf("ring", "paper", { seed: 1, side: 320 });
    const closed = cutFrom(lit);
    expect(closed.found.holeCount).toBe(1);
    expect(agreement(closed.out, lit.truth)).toBeLessThan(0.8);
    expect(agreement(cutFrom(lit, [], true).out, lit.truth)).toBeGreaterThan(0.97);
    const shaded = sceneOf("ring", "vignette", { seed: 2, shadow: true, side: 320 });
    expect(agreement(cutFrom(shaded, [tap("take")]).out, shaded.truth)).toBeGreaterThan(0.97);
  });

  it("changes around the brush alone, and what is under it is certain", () => {
    const scene = sceneOf("blob", "paper", { seed: 1, side: 320 });
    const before = cutFrom(scene).mask;
    const { mask } = cutFrom(scene, [tap("keep", 0.08, 0.08, 0.03)]);
    expect(mask[13 * 160 + 13]).toBe(1);
    let far = 0;
    for (let at = 0; at < mask.length; at++)
      if (mask[at] !== before[at] && Math.hypot((at % 160) - 13, Math.floor(at / 160) - 13) > 22) far++;
    expect(far).toBe(0);
  });
});

describe("a thing on a busy ground", () => {
  it.each([
    ["leaves", "blob", 1],
    ["leaves", "ring", 2],
    ["planks", "board", 2],
    ["planks", "blob", 3],
  ] as const)("on %s: a %s (%i), with a few strokes", (ground, shape, seed) => {
    const scene = sceneOf(shape, ground, { seed, side: 320, noise: 4 });
    const { found, out } = cutFrom(scene, shape === "ring" ? [tap("take")] : scene.strokes);
    expect(found.sort).toBe("busy");
    expect(agreement(out, scene.truth)).toBeGreaterThan(0.9);
  });

  it("of its ground's own colours is found once the strokes say where it is", () => {
    const scene = sceneOf("board", "planks", { seed: 5, side: 320, noise: 4, thing: "timber" });
    expect(agreement(cutFrom(scene, scene.strokes).out, scene.truth)).toBeGreaterThan(0.9);
  });
});

describe("what can't be cut out", () => {
  const even = (colour: readonly number[]): Pixels => ({
    data: Uint8ClampedArray.from({ length: 80 * 60 * 4 }, (_u, i) => (i % 4 === 3 ? 255 : colour[i % 4]!)),
    width: 80,
    height: 60,
  });

  it("is judged as nothing", () => {
    const pixels = even([200, 190, 180]);
    const found = findThing(pixels);
    expect(judge(pixels, maskOf(pixels, found, [], false)).share).toBe(0);
  });

  it("is left alone when it was cut out before", () => {
    const scene = sceneOf("blob", "paper", { seed: 1, side: 200 });
    const { out } = cutFrom(scene);
    const again: Scene = { ...scene, pixels: { data: out, width: 200, height: 200 } };
    const { found, out: same } = cutFrom(again);
    expect(found.sort).toBe("clear");
    expect(same).toEqual(out);
  });

  it("says which sides of the picture end within the thing, and how much of its edge is a guess", () => {
    const scene = sceneOf("board", "paper", { seed: 1, side: 320 });
    const small = halfOf(scene.pixels);
    const half = new Uint8Array(160 * 160).fill(1, 80 * 160);
    expect(judge(small, half).touches).toEqual(["bottom", "left", "right"]);
    // A straight line through paper parts nothing.
    const nowhere = new Uint8Array(160 * 160);
    for (let y = 0; y < 14; y++) nowhere.fill(1, y * 160, y * 160 + 160);
    expect(judge(small, nowhere).weak).toBeGreaterThan(0.9);
  });

  it("has no box where nothing is to be seen", () => {
    expect(boxOf({ data: new Uint8ClampedArray(4 * 4 * 4), width: 4, height: 4 })).toBeNull();
    const data = new Uint8ClampedArray(4 * 4 * 4);
    data[(1 * 4 + 2) * 4 + 3] = 255;
    data[(3 * 4 + 3) * 4 + 3] = 255;
    expect(boxOf({ data, width: 4, height: 4 })).toEqual({ left: 2, top: 1, width: 2, height: 3 });
  });
});

describe("a box blur", () => {
  it("is the mean of what lies within reach, at the edges of what there is", () => {
    const values = Float32Array.of(0, 9, 3, 6, 0, 30, 1, 2, 4, 8);
    for (const reach of [1, 2, 7]) {
      const mean = (x: number, y: number) => {
        let [sum, count] = [0, 0];
        for (let v = 0; v < 2; v++)
          for (let u = 0; u < 5; u++)
            if (Math.abs(u - x) <= reach && Math.abs(v - y) <= reach) {
              sum += values[v * 5 + u]!;
              count++;
            }
        return sum / count;
      };
      const soft = blurred(values, 5, 2, reach);
      for (let at = 0; at < 10; at++) expect(soft[at]).toBeCloseTo(mean(at % 5, Math.floor(at / 5)), 4);
    }
  });
});
