import * as culori from "culori";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  contrastOnPicture,
  cropOf,
  leastScrim,
  placeInPicture,
  SCRIM_COLOURS,
  SCRIM_FROM,
  SCRIM_REACH,
  SCRIM_TONES,
  scrimAlpha,
  scrimColour,
  scrimWeight,
  type Pixels,
  type WordsBox,
  type Scrim,
} from ".";

const WHOLE: WordsBox = { left: 0, top: 0, right: 1, bottom: 1 };
const NONE: Scrim = { strength: 0, from: "bottom", tone: "dark" };
const hexOf = (rgb: readonly number[]) => `#${rgb.map((v) => Math.round(v).toString(16).padStart(2, "0")).join("")}`;

/** A picture whose pixels are given by a function of their place, 0–1. */
function picture(at: (x: number, y: number) => readonly [number, number, number], width = 60, height = 40): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set([...at((x + 0.5) / width, (y + 0.5) / height), 255], (y * width + x) * 4);
  return { data, width, height };
}

const colour = fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255));
const scrim = fc.record({
  strength: fc.integer({ min: 0, max: 95 }),
  from: fc.constantFrom(...SCRIM_FROM),
  tone: fc.constantFrom(...SCRIM_TONES),
});

describe("contrast on a picture", () => {
  it("of one colour is that of a second library, through a scrim as that library mixes layers", () => {
    fc.assert(
      fc.property(colour, scrim, fc.option(colour), (rgb, { strength, tone }, shadows) => {
        const shade = shadows && hexOf(shadows);
        const tint = scrimColour({ tone, shade });
        const { words } = SCRIM_COLOURS[tone];
        const top = {
          mode: "rgb" as const,
          r: tint[0] / 255,
          g: tint[1] / 255,
          b: tint[2] / 255,
          alpha: strength / 100,
        };
        const mixed = culori.blend([hexOf(rgb), top], "normal");
        const theirs = culori.wcagContrast(mixed, words);
        const ours = contrastOnPicture(
          { pixels: picture(() => rgb, 8, 8), crop: WHOLE, words: [WHOLE] },
          { strength, from: "even", tone, shade },
        );
        expect(Math.abs(ours - theirs)).toBeLessThan(0.01);
      }),
      { seed: 5, numRuns: 200 },
    );
  });

  it("looks only under the words, and only at what the device shows of the picture", () => {
    // Black on the left, white on the right.
    const pixels = picture((x) => (x < 0.5 ? [0, 0, 0] : [255, 255, 255]));
    const left: WordsBox = { left: 0.05, right: 0.4, top: 0.2, bottom: 0.6 };
    const right: WordsBox = { left: 0.6, right: 0.95, top: 0.2, bottom: 0.6 };
    expect(contrastOnPicture({ pixels, crop: WHOLE, words: [left] }, NONE)).toBeCloseTo(21, 5);
    expect(contrastOnPicture({ pixels, crop: WHOLE, words: [right] }, NONE)).toBeCloseTo(1, 5);
    expect(contrastOnPicture({ pixels, crop: WHOLE, words: [left, right] }, NONE)).toBeCloseTo(1, 5);
    // In a crop to the black half, the same place of the box is black.
    expect(contrastOnPicture({ pixels, crop: { ...WHOLE, right: 0.5 }, words: [right] }, NONE)).toBeCloseTo(21, 5);
    expect(contrastOnPicture({ pixels, crop: WHOLE, words: [] }, NONE)).toBe(21);
  });

  it("is not decided by single specks, but by a patch", () => {
    const words = [WHOLE];
    const specks = picture((x, y) => (x < 0.02 && y < 0.5 ? [255, 255, 255] : [0, 0, 0]), 100, 100);
    const patch = picture((x) => (x < 0.1 ? [255, 255, 255] : [0, 0, 0]), 100, 100);
    expect(contrastOnPicture({ pixels: specks, crop: WHOLE, words }, NONE)).toBeGreaterThan(20);
    expect(contrastOnPicture({ pixels: patch, crop: WHOLE, words }, NONE)).toBeLessThan(1.1);
  });
});

describe("a scrim", () => {
  it("is as opaque as the gradient that a browser draws from its stops", () => {
    // CSS Images 4: linear between neighbouring stops, constant outside; each stop's opacity is clipped to 1 first.
    const of = (strength: number, y: number) => scrimAlpha({ strength, from: "bottom", tone: "dark" }, 0.5, y);
    expect(of(50, 1)).toBeCloseTo(0.55, 6);
    expect(of(50, 1 - 0.38)).toBeCloseTo(0.5, 6);
    expect(of(50, 1 - 0.19)).toBeCloseTo(0.525, 6);
    expect(of(50, 1 - 0.62)).toBeCloseTo(0.4, 6);
    expect(of(50, 0.1)).toBe(0);
    expect(of(95, 1)).toBe(1);
    expect(scrimAlpha({ strength: 40, from: "left", tone: "dark" }, 0, 0.9)).toBeCloseTo(0.44, 6);
    expect(scrimAlpha({ strength: 40, from: "even", tone: "dark" }, 0.3, 0.9)).toBe(0.4);
  });

  it("of words reaches as far above them on a tall picture as on a low one, and judges them alike", () => {
    const pixels = picture(() => [200, 210, 220], 4, 1200);
    const on = (height: number) => {
      // Words of 200 px at the lower edge of a picture of `height` px.
      const top = 1 - 200 / height;
      const boxes = { bottom: { left: 0, right: 1, top: top - (SCRIM_REACH * 200) / height, bottom: 1 } };
      return contrastOnPicture(
        { pixels, crop: WHOLE, words: [{ left: 0, right: 1, top, bottom: 1 }], boxes },
        { strength: 50, from: "bottom", tone: "dark" },
      );
    };
    for (const height of [400, 700, 1200]) expect(on(height)).toBeCloseTo(on(500), 1);
    const box = { bottom: { left: 0, right: 1, top: 0.5, bottom: 1 } };
    const half: Scrim = { strength: 50, from: "bottom", tone: "dark" };
    expect(scrimWeight(half, box)).toBeCloseTo(scrimWeight(half) / 2, 1);
    // From another side it fills the picture, whatever is said of this one.
    expect(scrimWeight({ ...half, from: "left" }, box)).toBe(scrimWeight({ ...half, from: "left" }));
  });

  it("that is offered is enough, one step less is not, and no other side or tone takes much less from the picture", () => {
    fc.assert(
      fc.property(
        colour,
        colour,
        scrim,
        fc.constantFrom(3, 4.5, 7),
        fc.tuple(fc.double({ min: 0, max: 0.6, noNaN: true }), fc.double({ min: 0, max: 0.6, noNaN: true })),
        (a, b, now, needed, [left, top]) => {
          const pixels = picture(
            (x, y) => [0, 1, 2].map((i) => a[i]! + (b[i]! - a[i]!) * ((x + y) / 2)) as [number, number, number],
            24,
            16,
          );
          const task = { pixels, crop: WHOLE, words: [{ left, top, right: left + 0.4, bottom: top + 0.3 }] };
          const found = leastScrim([{ ...task, needed }], now);
          const enough = SCRIM_TONES.flatMap((tone) =>
            SCRIM_FROM.flatMap((from) =>
              Array.from({ length: 96 }, (_, strength): Scrim => ({ strength, from, tone })),
            ),
          ).filter((s) => s.strength % 5 === 0 && contrastOnPicture(task, s) >= needed);
          if (!found) return expect(enough).toEqual([]);
          expect(contrastOnPicture(task, found)).toBeGreaterThanOrEqual(needed);
          if (found.strength > 0)
            expect(contrastOnPicture(task, { ...found, strength: found.strength - 1 })).toBeLessThan(needed);
          const lightest = Math.min(...enough.map((each) => scrimWeight(each)));
          expect(scrimWeight(found)).toBeLessThan(lightest + 0.1 + 1e-9);
        },
      ),
      { seed: 6, numRuns: 25 },
    );
  });
});

describe("a crop", () => {
  it.each([
    // A wide picture in a tall box shows all its height and a part of its width, around the focal point.
    [
      { width: 1600, height: 800 },
      { width: 400, height: 800 },
      [50, 50],
      { left: 0.375, right: 0.625, top: 0, bottom: 1 },
    ],
    [{ width: 1600, height: 800 }, { width: 400, height: 800 }, [0, 50], { left: 0, right: 0.25, top: 0, bottom: 1 }],
    [{ width: 1600, height: 800 }, { width: 400, height: 800 }, [100, 0], { left: 0.75, right: 1, top: 0, bottom: 1 }],
    [{ width: 800, height: 1600 }, { width: 800, height: 400 }, [30, 100], { left: 0, right: 1, top: 0.75, bottom: 1 }],
    [{ width: 300, height: 200 }, { width: 150, height: 100 }, [10, 90], { left: 0, right: 1, top: 0, bottom: 1 }],
  ] as const)("of %o in %o is what CSS object-fit: cover shows", (whole, box, focus, shown) => {
    const crop = cropOf(whole, box, focus);
    for (const edge of ["left", "right", "top", "bottom"] as const)
      expect(crop[edge], edge).toBeCloseTo(shown[edge], 6);
  });

  it("tells which place of the picture stands where", () => {
    const crop = { left: 0.375, right: 0.625, top: 0, bottom: 1 };
    expect(placeInPicture(crop, 0, 0)).toEqual([38, 0]);
    expect(placeInPicture(crop, 1, 1)).toEqual([63, 100]);
    expect(placeInPicture(crop, 0.5, 0.25)).toEqual([50, 25]);
  });

  it("shows the point that must stay in view as far through the box as it is through the picture", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }), (x, y) => {
        const crop = cropOf({ width: 1600, height: 900 }, { width: 390, height: 600 }, [x, y]);
        expect(placeInPicture(crop, x / 100, y / 100)).toEqual([x, y]);
      }),
      { seed: 13 },
    );
  });
});
