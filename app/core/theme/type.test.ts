import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import * as fontkit from "fontkit";
import { describe, expect, it } from "vitest";
import { FAMILY_METRICS } from "./family-metrics";
import { FAMILIES, fluid, fontFaces, fontFileName, SUBSETS, stepSize, TYPE_PAIRS, type Subset } from ".";

const require = createRequire(import.meta.url);
const open = (id: string, subset: Subset) =>
  fontkit.openSync(
    join(
      dirname(require.resolve(`@fontsource-variable/${id}/package.json`)),
      "files",
      fontFileName(
        FAMILIES.find((f) => f.id === id)!,
        subset,
      ),
    ),
  ) as fontkit.Font;

/** What a browser makes of `clamp(a rem, b rem + c vw, d rem)` at a window width, with 16 px to the rem. */
function computed(css: string, width: number): number {
  const plain = /^([\d.]+)rem$/.exec(css);
  if (plain) return Number(plain[1]) * 16;
  const [, low, base, slope, high] = /^clamp\(([\d.-]+)rem, ([\d.-]+)rem \+ ([\d.-]+)vw, ([\d.-]+)rem\)$/
    .exec(css)!
    .map(Number);
  return Math.min(Math.max(low! * 16, base! * 16 + (slope! * width) / 100), high! * 16);
}

describe("fluid sizes", () => {
  it.each([
    [17, 18],
    [56, 106],
    [10, 10],
    [40, 12],
  ])("of %d px on a phone and %d px wide are met at both ends and never left", (phone, wide) => {
    const css = fluid(phone, wide);
    expect(computed(css, 390)).toBeCloseTo(phone, 1);
    expect(computed(css, 1280)).toBeCloseTo(wide, 1);
    expect(computed(css, 200)).toBeCloseTo(phone, 1);
    expect(computed(css, 3000)).toBeCloseTo(wide, 1);
  });

  it("follow a modular scale", () => {
    const scale = { base: [16, 18], ratio: [1.2, 1.25] } as const;
    expect(stepSize(scale, 0)).toEqual([16, 18]);
    expect(stepSize(scale, 2)[1]).toBeCloseTo(28.125, 6);
    expect(stepSize(scale, -1)[0]).toBeCloseTo(13.333, 3);
  });
});

describe.each(FAMILIES)("$name", (family) => {
  it("is served in both subsets with the metrics that its file has", () => {
    const font = open(family.id, "latin");
    const { unitsPerEm, ascent, descent, lineGap } = FAMILY_METRICS[family.id]!;
    expect([unitsPerEm, ascent, descent, lineGap]).toEqual([font.unitsPerEm, font.ascent, font.descent, font.lineGap]);
    expect(open(family.id, "latin-ext").hasGlyphForCodePoint("ł".codePointAt(0)!)).toBe(true);
    for (const letter of "AZaz09äéßñ€–“”") expect(font.hasGlyphForCodePoint(letter.codePointAt(0)!), letter).toBe(true);
  });

  it("has a stand-in that takes the same room", () => {
    const css = fontFaces(family.id);
    expect(css.match(/@font-face/g)).toHaveLength(Object.keys(SUBSETS).length + 1);
    const size = Number(/size-adjust:([\d.]+)%/.exec(css)![1]) / 100;
    const ascent = Number(/ascent-override:([\d.]+)%/.exec(css)![1]) / 100;
    const { ascent: real, unitsPerEm } = FAMILY_METRICS[family.id]!;
    expect(size).toBeGreaterThan(0.75);
    expect(size).toBeLessThan(1.35);
    expect(ascent * size).toBeCloseTo(real / unitsPerEm, 3);
  });
});

it("every type pair uses shipped families within their weights", () => {
  for (const pair of TYPE_PAIRS) {
    for (const use of [pair.heads, pair.text]) {
      const family = FAMILIES.find((f) => f.id === use.family);
      expect(family, `${pair.id} ${use.family}`).toBeDefined();
      expect(use.weight).toBeGreaterThanOrEqual(family!.weights[0]);
      expect(use.weight).toBeLessThanOrEqual(family!.weights[1]);
    }
  }
});
