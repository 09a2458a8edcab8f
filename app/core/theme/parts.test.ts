import * as culori from "culori";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { THEMES } from "~/themes";
import {
  contrast,
  deepened,
  deltaEOk,
  filterValues,
  gradientAt,
  gradientCss,
  harmoniesOf,
  leastAlong,
  oklchOf,
  paletteOf,
  seenWith,
  solveBrand,
  solveGradient,
  VISIONS,
  type Gradient,
} from ".";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);
const seed = 23;

describe("a gradient", () => {
  const roles = solveBrand(THEMES[0]!, {}).roles.sets.page;
  const gradient: fc.Arbitrary<Gradient> = fc.record({
    angle: fc.integer({ min: 0, max: 360 }),
    stops: fc.array(
      fc.record({
        colour: fc.oneof(hex, fc.constantFrom("brand" as const, "accent" as const, "ink" as const)),
        at: fc.integer({ min: 0, max: 100 }),
      }),
      { minLength: 2, maxLength: 8 },
    ),
  });

  it("lets its words be read along its whole length, with any stops", () => {
    fc.assert(
      fc.property(gradient, fc.constantFrom(4.5, 7), (g, ratio) => {
        const solved = solveGradient(g, roles, [roles["on-brand"]], ratio);
        for (let i = 0; i <= 400; i++) {
          const at = gradientAt(solved.stops, i / 4);
          // Between two samples of the solver a mixed colour can dip by less than a hundredth or so.
          expect(contrast(at, solved.on), `${JSON.stringify(g)} at ${i / 4}`).toBeGreaterThan(ratio - 0.05);
        }
        expect(leastAlong(solved.stops, solved.on)).toBeCloseTo(solved.least, 6);
      }),
      { seed, numRuns: 200 },
    );
  });

  it("keeps its stops where words can be read as they are", () => {
    const dark: Gradient = {
      angle: 90,
      stops: [
        { colour: "#102030", at: 0 },
        { colour: "#301020", at: 100 },
      ],
    };
    const solved = solveGradient(dark, roles, ["#ffffff"], 4.5);
    expect(solved).toMatchObject({ moved: false, on: "#ffffff", angle: 90 });
    expect(gradientCss(solved.angle, solved.stops)).toBe("linear-gradient(90deg,#102030 0%,#301020 100%)");
    expect(leastAlong(deepened(solved, 0.05), solved.on)).toBeGreaterThanOrEqual(4.5);
  });

  it("mixes as browsers do: halfway between black and white is #808080 (CSS Images 4, sRGB)", () => {
    const stops = [
      { colour: "#000000", at: 20 },
      { colour: "#ffffff", at: 80 },
    ];
    expect([0, 20, 50, 80, 100].map((at) => gradientAt(stops, at))).toEqual([
      "#000000",
      "#000000",
      "#808080",
      "#ffffff",
      "#ffffff",
    ]);
  });
});

describe("harmonies", () => {
  it("stand out from the page, carry words and differ, whatever the brand colour", () => {
    fc.assert(
      fc.property(
        hex,
        fc.constantFrom("#ffffff", "#fdfbf5", "#0b1014"),
        fc.constantFrom(4.5, 7),
        (brand, page, words) => {
          const found = harmoniesOf(brand, page, words);
          for (const { colours } of found)
            for (const colour of colours) {
              expect(contrast(colour, page)).toBeGreaterThanOrEqual(3);
              expect(Math.max(contrast(colour, "#ffffff"), contrast(colour, "#000000"))).toBeGreaterThanOrEqual(words);
              expect(deltaEOk(colour, brand)).toBeGreaterThan(0.05);
            }
        },
      ),
      { seed, numRuns: 200 },
    );
  });

  it("stand where the circle says they do", () => {
    const of = (id: string) => harmoniesOf("#2a6fb0", "#ffffff", 4.5).find((h) => h.id === id)!.colours;
    const turn = (colour: string) => Math.round((oklchOf(colour).hue - oklchOf("#2a6fb0").hue + 360) % 360);
    // The gamut bends hues by a few degrees.
    expect(Math.abs(turn(of("complementary")[0]!) - 180)).toBeLessThan(12);
    expect(Math.abs(turn(of("analogous")[0]!) - 32)).toBeLessThan(12);
    expect(Math.abs(turn(of("split")[0]!) - 150)).toBeLessThan(12);
  });
});

describe("ways of seeing", () => {
  // culori brings the same published model (Machado, Oliveira, Fernandes 2009) as a second opinion. It multiplies
  // encoded values; ours are linear, as SVG filters are by default, so that its matrices are applied to linear ones here.
  const second = {
    protanopia: culori.filterDeficiencyProt(1),
    deuteranopia: culori.filterDeficiencyDeuter(1),
    tritanopia: culori.filterDeficiencyTrit(1),
  };

  it.each(VISIONS.filter((v) => v.id !== "grey"))("$name agree with a second library", (vision) => {
    fc.assert(
      fc.property(hex, (colour) => {
        const linear = culori.converter("lrgb")(colour)!;
        const theirs = second[vision.id as keyof typeof second]({ mode: "rgb", r: linear.r, g: linear.g, b: linear.b });
        const back = culori.formatHex(
          culori.clampRgb(culori.converter("rgb")({ mode: "lrgb", r: theirs.r, g: theirs.g, b: theirs.b })),
        );
        expect(deltaEOk(seenWith(vision, colour), back)).toBeLessThan(0.02);
      }),
      { seed, numRuns: 300 },
    );
  });

  it("leave greys as they are, and are written for SVG as twenty numbers", () => {
    for (const vision of VISIONS) {
      for (const grey of ["#000000", "#7f7f7f", "#ffffff"])
        expect(deltaEOk(seenWith(vision, grey), grey)).toBeLessThan(0.02);
      expect(filterValues(vision).split(" ")).toHaveLength(20);
    }
  });
});

describe("the palette of a picture", () => {
  /** Pixels in patches of colours, `count` of each. */
  const picture = (patches: readonly (readonly [colour: string, count: number])[], alpha = 255) =>
    patches.flatMap(([colour, count]) => {
      const [r, g, b] = [1, 3, 5].map((i) => Number.parseInt(colour.slice(i, i + 2), 16));
      return Array.from({ length: count }, () => [r!, g!, b!, alpha]).flat();
    });

  it("is its colours by weight", () => {
    const found = paletteOf(
      picture([
        ["#ffffff", 700],
        ["#c8102e", 200],
        ["#0b3d2e", 100],
      ]),
    );
    expect(found.map((f) => f.colour)).toEqual(["#ffffff", "#c8102e", "#0b3d2e"]);
    expect(found.map((f) => f.weight)).toEqual([0.7, 0.2, 0.1]);
  });

  it("merges near-duplicates and keeps a small patch of a strong colour", () => {
    const greys = Array.from({ length: 40 }, (_, i) => [`#${(200 + i).toString(16).repeat(3)}`, 200] as const);
    const found = paletteOf(picture([...greys, ["#c8102e", 60]]));
    expect(found.some((f) => deltaEOk(f.colour, "#c8102e") < 0.05)).toBe(true);
    for (const a of found)
      for (const b of found) if (a !== b) expect(deltaEOk(a.colour, b.colour)).toBeGreaterThan(0.05);
  });

  it("does not count what is see-through, and is empty for nothing", () => {
    expect(paletteOf(picture([["#ff0000", 50]], 0))).toEqual([]);
    expect(paletteOf([])).toEqual([]);
    expect(paletteOf([...picture([["#ff0000", 50]], 0), ...picture([["#00ff00", 5]])])).toEqual([
      { colour: "#00ff00", weight: 1 },
    ]);
  });

  it("is the same for the same pixels, in whatever order they come", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(hex, fc.integer({ min: 1, max: 40 })), { minLength: 1, maxLength: 12 }),
        (patches) => {
          const whole = paletteOf(picture(patches));
          expect(paletteOf(picture(patches.toReversed()))).toEqual(whole);
          expect(whole.reduce((sum, f) => sum + f.weight, 0)).toBeLessThanOrEqual(1 + 1e-9);
          expect(whole.map((f) => f.weight)).toEqual(whole.map((f) => f.weight).toSorted((a, b) => b - a));
        },
      ),
      { seed, numRuns: 80 },
    );
  });
});
