import * as culori from "culori";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contrast } from "../theme";
import { SCRIM_COLOURS, shadeCss, shadeOf, tintOfShade, type Picture, type Pixels } from ".";

type Rgba = readonly [r: number, g: number, b: number, a: number];
const pixelsOf = (all: readonly Rgba[]): Pixels => ({ data: all.flat(), width: all.length, height: 1 });
const hex = (rgb: readonly number[]) => `#${rgb.map((v) => v.toString(16).padStart(2, "0")).join("")}`;
const byte = fc.nat(255);

describe("the colour of a picture's shadows", () => {
  it("is the mean of its darkest third in Oklab, as a second library computes it", () => {
    const oklab = culori.converter("oklab");
    fc.assert(
      fc.property(fc.array(fc.tuple(byte, byte, byte), { minLength: 1, maxLength: 60 }), (all) => {
        const found = shadeOf(pixelsOf(all.map(([r, g, b]): Rgba => [r, g, b, 255])))!;
        const dark = all
          .map((rgb) => oklab(hex(rgb))!)
          .sort((a, b) => a.l - b.l)
          .slice(0, Math.max(1, Math.round(all.length / 3)));
        const mean = (axis: "l" | "a" | "b") => dark.reduce((sum, colour) => sum + colour[axis], 0) / dark.length;
        const theirs = culori.clampRgb(culori.rgb({ mode: "oklab", l: mean("l"), a: mean("a"), b: mean("b") }));
        const ours = culori.rgb(found)!;
        // A step of eight bits.
        for (const channel of ["r", "g", "b"] as const)
          expect(Math.abs(ours[channel] - theirs[channel]) * 255).toBeLessThan(1.01);
      }),
      { seed: 31, numRuns: 200 },
    );
  });

  it("leaves out what is transparent, and is nothing where all is", () => {
    expect(shadeOf(pixelsOf([[0, 0, 0, 0], ...Array<Rgba>(2).fill([200, 120, 40, 255])]))).toBe("#c87828");
    expect(shadeOf(pixelsOf([[9, 9, 9, 0]]))).toBeNull();
  });
});

describe("the dark tint of a picture", () => {
  it("has the hue of the shadows, is no stronger a colour than they are, and lets white words be read as the plain one does", () => {
    const oklch = culori.converter("oklch");
    const plain = contrast(hex(SCRIM_COLOURS.dark.scrim), "#ffffff");
    fc.assert(
      fc.property(fc.tuple(byte, byte, byte), (rgb) => {
        const tint = hex(tintOfShade(hex(rgb)));
        const [from, to] = [oklch(hex(rgb))!, oklch(tint)!];
        expect(to.c).toBeLessThan(Math.min(from.c, 0.045) + 0.012);
        expect(contrast(tint, "#ffffff")).toBeGreaterThan(plain - 1);
        if (from.c < 0.04 || to.c < 0.03) return;
        // Eight bits tell a hue so near black within some degrees only.
        const off = Math.abs(from.h! - to.h!);
        expect(Math.min(off, 360 - off)).toBeLessThan(12);
      }),
      { seed: 32, numRuns: 300 },
    );
  });

  it("reaches the page as a rule of its picture, and not at all where nothing is known", () => {
    const picture: Picture = {
      id: "a",
      hash: "0123456789ab",
      name: "a.webp",
      alt: "",
      width: 10,
      height: 10,
      focus: [50, 50],
      vector: false,
      shade: "#7a3b12",
    };
    expect(shadeCss(picture)).toMatch(/^\.t-01234567\{--tint:\d+ \d+ \d+\}$/);
    expect(shadeCss({ ...picture, shade: null })).toBe("");
  });
});
