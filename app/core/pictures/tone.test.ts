import fc from "fast-check";
import sharp, { type Sharp } from "sharp";
import { describe, expect, it } from "vitest";
import {
  applyTone,
  contrastBy,
  filterValues,
  matrixOf,
  PLAIN_MATRIX,
  PLAIN_TONE,
  readToneCode,
  saturate,
  throughTone,
  toneCode,
  TONES,
  type Tone,
  type ToneRole,
} from ".";

const COLOURS: Readonly<Record<ToneRole, string>> = {
  brand: "#d2421b",
  accent: "#f5c518",
  ink: "#14242c",
  page: "#fdfbf5",
  raised: "#f2ecdd",
};
const colourOf = (role: ToneRole) => COLOURS[role];
const both = fc.integer({ min: -100, max: 100 });
const role = fc.constantFrom<ToneRole>("brand", "accent", "ink", "page", "raised");
const tone: fc.Arbitrary<Tone> = fc.record(
  {
    light: both,
    contrast: both,
    warmth: both,
    colour: both,
    grain: fc.constant(0),
    wash: fc.record({ role, amount: fc.integer({ min: 0, max: 100 }) }),
    inks: fc.record({ dark: role, light: role }),
  },
  { requiredKeys: ["light", "contrast", "warmth", "colour", "grain"] },
);
const byte = fc.nat(255);

describe("what a tone is made of", () => {
  it("saturates by the matrix of the Filter Effects Module (Level 1, 9.6), whose rows keep grey as it is", () => {
    // Without colour, each channel is the luminance as that specification weighs it.
    expect(saturate(0)).toEqual([0.213, 0.715, 0.072, 0, 0.213, 0.715, 0.072, 0, 0.213, 0.715, 0.072, 0]);
    for (const s of [0, 0.4, 1, 1.8])
      for (const row of [0, 1, 2])
        expect(
          saturate(s)
            .slice(row * 4, row * 4 + 3)
            .reduce((a, b) => a + b),
        ).toBeCloseTo(1, 12);
    expect(saturate(1).map((v) => Number(v.toFixed(12)))).toEqual(PLAIN_MATRIX);
  });

  it("is as sharp's own library computes the same matrix and the same contrast", async () => {
    const chart = Uint8Array.from({ length: 3 * 4096 }, (_, i) => (i * 37 + (i >> 5) * 11) % 256);
    const raw = { width: 64, height: 64, channels: 3 } as const;
    const theirs = async (change: (image: Sharp) => Sharp) =>
      new Uint8Array(await change(sharp(chart, { raw })).raw().toBuffer());
    const ours = (matrix: readonly number[]) => {
      const copy = Uint8Array.from(chart);
      applyTone(copy, 3, matrix);
      return copy;
    };
    const furthest = (a: Uint8Array, b: Uint8Array) => Math.max(...a.map((v, i) => Math.abs(v - b[i]!)));
    const m = saturate(0.35);
    const recombined = await theirs((image) =>
      image.recomb([
        [m[0]!, m[1]!, m[2]!],
        [m[4]!, m[5]!, m[6]!],
        [m[8]!, m[9]!, m[10]!],
      ]),
    );
    expect(furthest(ours(m), recombined)).toBeLessThanOrEqual(1);
    const [slope, , , add] = contrastBy(1.4);
    const stronger = await theirs((image) => image.linear(slope, add! * 255));
    expect(furthest(ours(contrastBy(1.4)), stronger)).toBeLessThanOrEqual(1);
  });

  it("leaves a picture alone where nothing is set, and draws shadows and lights in the two inks", () => {
    expect(toneCode(matrixOf(PLAIN_TONE, colourOf))).toBe("");
    const inks = matrixOf({ ...PLAIN_TONE, inks: { dark: "brand", light: "page" } }, colourOf);
    expect([throughTone("#000000", inks), throughTone("#ffffff", inks)]).toEqual([COLOURS.brand, COLOURS.page]);
    const grey = matrixOf({ ...PLAIN_TONE, colour: -100 }, colourOf);
    expect(new Set(throughTone("#c03018", grey).slice(1).match(/../g)).size).toBe(1);
    const warm = throughTone("#808080", matrixOf({ ...PLAIN_TONE, warmth: 60 }, colourOf));
    expect(Number.parseInt(warm.slice(1, 3), 16)).toBeGreaterThan(Number.parseInt(warm.slice(5, 7), 16));
  });

  it("never makes nothing of a picture: black and white stay apart in every tone of one slider", () => {
    for (const key of ["light", "contrast", "warmth", "colour"] as const)
      for (const value of [-100, 100]) {
        const m = matrixOf({ ...PLAIN_TONE, [key]: value }, colourOf);
        expect(throughTone("#202020", m)).not.toBe(throughTone("#e0e0e0", m));
      }
    for (const { tone: each } of Object.values(TONES)) {
      const m = matrixOf(each, colourOf);
      expect(throughTone("#202020", m)).not.toBe(throughTone("#e0e0e0", m));
    }
  });
});

describe("the code of a tone", () => {
  it("says it to a quarter of a step, in letters that a file's name can have, and nothing else is read as one", () => {
    fc.assert(
      fc.property(tone, (each) => {
        const matrix = matrixOf(each, colourOf);
        const code = toneCode(matrix);
        if (code === "") return;
        expect(code).toMatch(/^[\w-]{23,60}$/);
        const read = readToneCode(code)!;
        matrix.forEach((v, i) =>
          expect(Math.abs(read[i]! - Math.max(-9, Math.min(9, v)))).toBeLessThanOrEqual(0.0005001),
        );
        expect(toneCode(read)).toBe(code);
      }),
      { seed: 4 },
    );
    for (const wrong of [
      "",
      "rs",
      "rs_0_0_0_0_rs_0_0_0_0_rs",
      "zzzz_0_0_0_0_rs_0_0_0_0_rs_0",
      "../x_0_0_0_0_rs_0_0_0_0_rs_0",
    ])
      expect(readToneCode(wrong), wrong).toBeUndefined();
  });

  it("maps bytes as the filter of the same numbers does, and leaves alpha", () => {
    fc.assert(
      fc.property(tone, fc.tuple(byte, byte, byte, byte), (each, pixel) => {
        const m = readToneCode(toneCode(matrixOf(each, colourOf))) ?? PLAIN_MATRIX;
        const data = Uint8ClampedArray.from(pixel);
        applyTone(data, 4, m);
        // feColorMatrix (Filter Effects Module Level 1, 9.6), on the scale from 0 to 1.
        const values = filterValues(m).split(" ").map(Number);
        const [r, g, b, a] = pixel.map((v) => v / 255) as [number, number, number, number];
        [0, 1, 2, 3].forEach((row) => {
          const [x, y, z, w, add] = values.slice(row * 5, row * 5 + 5) as [number, number, number, number, number];
          const exact = Math.min(1, Math.max(0, x * r + y * g + z * b + w * a + add)) * 255;
          expect(Math.abs(data[row]! - exact)).toBeLessThanOrEqual(0.5001);
        });
      }),
      { seed: 5, numRuns: 300 },
    );
  });
});
