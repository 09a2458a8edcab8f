import { describe, expect, it } from "vitest";
import { isLight, LEAST_LOGO_CONTRAST, logoContrast, type Pixels } from ".";

/** A picture of these colours in equal shares, `undefined` being clear. */
const pixels = (...colours: (readonly [number, number, number] | undefined)[]): Pixels => {
  const data = new Uint8ClampedArray(colours.length * 4);
  colours.forEach((colour, i) => data.set(colour ? [...colour, 255] : [0, 0, 0, 0], i * 4));
  return { data, width: colours.length, height: 1 };
};
const WHITE = [255, 255, 255] as const;
const BLACK = [0, 0, 0] as const;

describe("a logo on a ground", () => {
  it("reaches the contrast of its colour: 21 for black on white (WCAG 2.2), 1 for white on white", () => {
    expect(logoContrast(pixels(BLACK, undefined), "#ffffff")).toBeCloseTo(21, 2);
    expect(logoContrast(pixels(WHITE, undefined, undefined), "#ffffff")).toBeCloseTo(1, 2);
    expect(logoContrast(pixels(undefined), "#ffffff")).toBe(21);
  });

  it("is lost in both of the cases that happen: white in a pale header, dark in a dark footer", () => {
    expect(logoContrast(pixels(WHITE, WHITE), "#fdfbf5")).toBeLessThan(LEAST_LOGO_CONTRAST);
    expect(logoContrast(pixels([20, 36, 44]), "#0f333e")).toBeLessThan(LEAST_LOGO_CONTRAST);
    expect(logoContrast(pixels([20, 36, 44]), "#fdfbf5")).toBeGreaterThan(LEAST_LOGO_CONTRAST);
  });

  it("is known by a quarter of it: white letters on a dark badge are seen on white", () => {
    expect(logoContrast(pixels(WHITE, WHITE, WHITE, BLACK), "#ffffff")).toBeGreaterThan(LEAST_LOGO_CONTRAST);
    expect(logoContrast(pixels(...Array.from({ length: 9 }, () => WHITE), BLACK), "#ffffff")).toBeLessThan(
      LEAST_LOGO_CONTRAST,
    );
  });

  it("knows light grounds from dark ones", () => {
    expect([isLight("#fdfbf5"), isLight("#0f333e"), isLight("#f5c518")]).toEqual([true, false, true]);
  });
});
