import Color from "colorjs.io";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  contrast,
  deltaEOk,
  fromOklch,
  luminance,
  mix,
  nearestOf,
  nearestPassing,
  oklchOf,
  readColour,
  rampOf,
  spansAgainst,
  spansForWords,
  TONES,
} from ".";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);
const seed = 42;

describe("contrast", () => {
  // WCAG 2.2, definitions of relative luminance and contrast ratio; the two greys are the usual worked examples of 1.4.3.
  it.each([
    ["#777777", "#ffffff", 4.478],
    ["#767676", "#ffffff", 4.542],
    ["#000000", "#ffffff", 21],
    ["#0000ff", "#ffffff", 8.593],
    ["#ffffff", "#ffffff", 1],
  ])("of %s on %s is %d", (a, b, ratio) => {
    expect(Math.abs(contrast(a, b) - ratio)).toBeLessThan(1e-3);
    expect(contrast(b, a)).toBe(contrast(a, b));
  });

  it("agrees with a second colour library over thousands of colours", () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        // colorjs.io rounds the luminance weights differently in the fourth digit.
        expect(Math.abs(contrast(a, b) - new Color(a).contrastWCAG21(b))).toBeLessThan(2e-3);
      }),
      { seed, numRuns: 3000 },
    );
  });

  it("has luminance 0 for black and 1 for white", () => {
    expect(luminance("#000000")).toBe(0);
    expect(luminance("#ffffff")).toBeCloseTo(1, 10);
  });
});

describe("colours", () => {
  // CSS Color 4, samples in the sections on Oklab, OKLCH and LCH (from memory; two libraries agree on them).
  it.each([
    ["oklab(40.101% 0.1147 0.0453)", "#7d2329"],
    ["oklch(66.016% 0.15546 134.231)", "#68a639"],
    ["oklch(72.322% 0.12403 247.996)", "#62acef"],
    ["lch(52.2345% 72.2 56.2)", "#c65d06"],
    ["rebeccapurple", "#663399"],
    ["rgb(31 111 139)", "#1f6f8b"],
    ["#ABC", "#aabbcc"],
  ])("reads %s as %s", (written, read) => expect(readColour(written)).toBe(read));

  it.each(["", "not a colour", "#12", "rgb(1,2)", "url(#x)"])("does not read “%s”", (text) =>
    expect(readColour(text)).toBeUndefined(),
  );

  it("agree with a second library in OKLCH and in ΔE OK", () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        const mine = oklchOf(a);
        const theirs = new Color(a).to("oklch");
        expect(mine.lightness).toBeCloseTo(theirs.coords[0]!, 5);
        expect(mine.chroma).toBeCloseTo(theirs.coords[1]!, 5);
        expect(deltaEOk(a, b)).toBeCloseTo(new Color(a).deltaE(b, "OK"), 5);
      }),
      { seed, numRuns: 2000 },
    );
  });

  it("come back the same from OKLCH, and always land inside sRGB", () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const { lightness, chroma, hue } = oklchOf(colour);
        expect(fromOklch(lightness, chroma, hue)).toBe(colour);
      }),
      { seed, numRuns: 1000 },
    );
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (l, c, h) => {
          expect(fromOklch(l, c, h)).toMatch(/^#[0-9a-f]{6}$/);
        },
      ),
      { seed, numRuns: 500 },
    );
  });

  it("map into the gamut as near to a second library's CSS mapping as the eye can tell", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.95, noNaN: true }),
        fc.double({ min: 0.2, max: 0.4, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (l, c, h) => {
          const theirs = new Color("oklch", [l, c, h])
            .to("srgb")
            .toGamut({ method: "css" })
            .to("srgb")
            .toString({ format: "hex", collapse: false });
          // Both follow CSS Color 4; they differ in where they stop searching, and in rounding to 8 bits.
          expect(deltaEOk(fromOklch(l, c, h), theirs)).toBeLessThan(0.012);
        },
      ),
      { seed, numRuns: 500 },
    );
  });

  it("mix from one end to the other", () => {
    expect(mix("#112233", "#ddeeff", 0)).toBe("#112233");
    expect(mix("#112233", "#ddeeff", 1)).toBe("#ddeeff");
  });
});

describe("the nearest colour that passes", () => {
  it("is the wish itself where the wish passes", () =>
    expect(nearestPassing("#222222", ["#ffffff"], 4.5)).toBe("#222222"));

  it("passes against every ground, and nothing much nearer does", () => {
    fc.assert(
      fc.property(hex, hex, (wish, ground) => {
        const found = nearestPassing(wish, [ground], 4.5);
        // One of black and white always reaches 4.5 against any ground.
        expect(found).toBeDefined();
        expect(contrast(found!, ground)).toBeGreaterThanOrEqual(4.5);
        if (found === wish) return;
        const { lightness, chroma, hue } = oklchOf(wish);
        const distance = deltaEOk(found!, wish);
        for (let l = 0; l <= 1; l += 0.01) {
          const other = fromOklch(l, chroma, hue);
          if (contrast(other, ground) >= 4.5) expect(deltaEOk(other, wish)).toBeGreaterThan(distance - 0.012);
        }
        expect(Math.abs(oklchOf(found!).lightness - lightness)).toBeGreaterThan(0);
      }),
      { seed, numRuns: 150 },
    );
  });

  it("is undefined where nothing can pass, and finds what passes between two grounds", () => {
    expect(nearestPassing("#888888", ["#000000", "#ffffff"], 7)).toBeUndefined();
    // 4.5 on both black and white leaves the greys #747474 to #767676 (WCAG 2.2, contrast ratio).
    expect(nearestPassing("#888888", ["#000000", "#ffffff"], 4.5)).toBe("#767676");
  });

  it("is no farther than the best of a grid over lightness and chroma", () => {
    fc.assert(
      fc.property(hex, hex, fc.constantFrom(3, 4.5, 7), (wish, ground, ratio) => {
        const found = nearestPassing(wish, [ground], ratio);
        const { hue, chroma } = oklchOf(wish);
        let best = Number.POSITIVE_INFINITY;
        for (let l = 0; l <= 1; l += 0.02) {
          for (let share = 0.3; share <= 1.4; share += 0.1) {
            const other = fromOklch(l, chroma * share, hue);
            if (contrast(other, ground) >= ratio) best = Math.min(best, deltaEOk(other, wish));
          }
        }
        if (found === undefined) expect(best).toBe(Number.POSITIVE_INFINITY);
        else expect(deltaEOk(found, wish)).toBeLessThan(best + 0.012);
      }),
      { seed, numRuns: 150 },
    );
  });
});

describe("spans of luminance", () => {
  it("hold just the luminances that pass", () => {
    fc.assert(
      fc.property(hex, hex, fc.array(hex, { minLength: 1, maxLength: 3 }), (a, b, grounds) => {
        for (const colour of [a, b]) {
          const own = luminance(colour);
          const inside = spansAgainst(grounds, 4.5).some(([low, high]) => own >= low && own <= high);
          const passes = grounds.every((g) => contrast(colour, g) >= 4.5);
          const isEdge = grounds.some((g) => Math.abs(contrast(colour, g) - 4.5) < 1e-9);
          if (!isEdge) expect(inside).toBe(passes);
        }
      }),
      { seed, numRuns: 500 },
    );
  });

  it("for words are those on which white or black can be read", () => {
    for (let i = 0; i < 256; i++) {
      const grey = `#${i.toString(16).padStart(2, "0").repeat(3)}`;
      const own = luminance(grey);
      for (const ratio of [4.5, 7]) {
        const inside = spansForWords(ratio).some(([low, high]) => own >= low && own <= high);
        expect(inside, grey).toBe(Math.max(contrast(grey, "#ffffff"), contrast(grey, "#000000")) >= ratio);
      }
    }
  });
});

describe("a ramp", () => {
  it("keeps hue, falls evenly in lightness and holds the colour near its own tone", () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const own = oklchOf(colour);
        const ramp = rampOf(colour);
        for (const tone of TONES) {
          const made = oklchOf(ramp[tone]);
          expect(Math.abs(made.lightness - tone / 100)).toBeLessThan(0.02);
          expect(made.chroma).toBeLessThan(own.chroma + 0.02);
          // Hue says nothing in what is nearly grey, and bends a little where the gamut is narrow.
          if (own.chroma > 0.05 && made.chroma > 0.05) {
            const apart = Math.abs(((made.hue - own.hue + 540) % 360) - 180);
            expect(apart, `${colour} ${tone}`).toBeLessThan(20);
          }
        }
      }),
      { seed, numRuns: 200 },
    );
  });
});

describe("the named colour that is nearest", () => {
  it("is the one that looks most alike, which mere numbers of channels get wrong", () => {
    const named = [
      ["ink", "#17241d"],
      ["brand", "#c93a17"],
      ["raised", "#f5f2ea"],
    ] as const;
    expect(nearestOf("#b8401f", named)?.name).toBe("brand");
    expect(nearestOf("#222222", named)?.name).toBe("ink");
    expect(nearestOf("#ffffff", named)?.name).toBe("raised");
    // In sRGB #0000ff is nearer to #000000 than to #8000ff; to the eye it is not (colorjs.io, deltaE OK).
    const pair = [
      ["black", "#000000"],
      ["violet", "#8000ff"],
    ] as const;
    expect(nearestOf("#0000ff", pair)?.name).toBe("violet");
    expect(nearestOf("#c93a17", named)?.off).toBe(0);
    expect(nearestOf("#ffffff", [])).toBeUndefined();
  });

  it("is as far off as a second library says", () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        const theirs = new Color(a).deltaE(new Color(b), "OK");
        expect(nearestOf(a, [["b", b]])!.off).toBeCloseTo(theirs, 4);
      }),
      { seed: 13, numRuns: 100 },
    );
  });
});
