import { existsSync, readFileSync, statSync } from "node:fs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { byte, light } from "./draw/colour";
import { drawFrame, sizeOf } from "./draw/frame";
import { cell, noise } from "./draw/noise";
import { SCENES } from "./list";
import list from "./list.json";

describe("the stock room", () => {
  it("has at least sixty scenes in ten groups and more, each described in words of its own", () => {
    expect(SCENES.length).toBeGreaterThanOrEqual(60);
    const groups = new Set(SCENES.map((s) => s.group));
    expect(groups.size).toBeGreaterThanOrEqual(10);
    expect(new Set(SCENES.map((s) => s.name)).size).toBe(SCENES.length);
    expect(new Set(SCENES.map((s) => s.alt)).size).toBe(SCENES.length);
    for (const { name, alt, words, focus } of SCENES) {
      expect(name).toMatch(/^[a-z]+(-[a-z]+)*$/);
      expect(alt.length, name).toBeGreaterThan(10);
      expect(alt.length, name).toBeLessThan(80);
      expect(words.length, name).toBeGreaterThan(3);
      for (const share of focus) expect(share).toBeGreaterThan(0);
    }
    // Compositions differ: not all of them are wide, and words find room in different places.
    expect(new Set(SCENES.map((s) => s.shape)).size).toBe(3);
    expect(new Set(SCENES.map((s) => s.room)).size).toBeGreaterThanOrEqual(5);
  });

  it("has a picture and a small one of each, as the list says it", async () => {
    expect(list.map((s) => s.name)).toEqual(SCENES.map((s) => s.name));
    for (const { name, width, height, colours, alt } of list) {
      const scene = SCENES.find((s) => s.name === name)!;
      expect(alt).toBe(scene.alt);
      expect([width, height], name).toEqual(sizeOf(scene.shape, 1600).map((side) => Math.round(side * 1.28)));
      expect(colours.length, name).toBeGreaterThan(0);
      const file = `stock/made/${name}.webp`;
      expect(existsSync(file), file).toBe(true);
      const found = await sharp(file).metadata();
      expect([found.width, found.height], name).toEqual([width, height]);
      // Light enough to be copied into a shop at a press.
      expect(statSync(file).size, name).toBeLessThan(900_000);
      expect(statSync(`public/stock/${name}.webp`).size, name).toBeLessThan(40_000);
    }
  });

  it("draws the pictures that are there: the same code gives the same picture", async () => {
    // One that is quick, of each way to draw: upon a plane, of cut shapes, of solid things.
    for (const name of ["light-dawn", "leaves-twig", "stage-rose"]) {
      const scene = SCENES.find((s) => s.name === name)!;
      const [width, height] = sizeOf(scene.shape, 90);
      const drawn = drawFrame(scene.draw(), width, height, 0);
      const kept = await sharp(`stock/made/${name}.webp`).resize(width, height).removeAlpha().raw().toBuffer();
      let apart = 0;
      for (let i = 0; i < drawn.length; i++) apart += Math.abs(drawn[i]! - kept[i]!);
      expect(apart / drawn.length, name).toBeLessThan(7);
    }
  });

  it("no two scenes look alike", async () => {
    const small = await Promise.all(
      SCENES.map(async ({ name }) =>
        sharp(readFileSync(`public/stock/${name}.webp`))
          .resize(12, 12, { fit: "fill" })
          .removeAlpha()
          .raw()
          .toBuffer(),
      ),
    );
    for (const [i, a] of small.entries())
      for (const [j, b] of small.entries()) {
        if (j <= i) continue;
        let apart = 0;
        for (let k = 0; k < a.length; k++) apart += Math.abs(a[k]! - b[k]!);
        expect(apart / a.length, `${SCENES[i]!.name} and ${SCENES[j]!.name}`).toBeGreaterThan(6);
      }
  });
});

describe("what draws them", () => {
  it("turns colours into light and back (IEC 61966-2-1: #808080 is 0.2159 of white)", () => {
    expect(light("#808080")[0]).toBeCloseTo(0.2159, 4);
    for (const value of [0, 40, 128, 190])
      expect(byte(light(`#${value.toString(16).padStart(2, "0").repeat(3)}`)[0])).toBeCloseTo(value, 6);
  });

  it("has noise that is smooth, nought on its grid, and the same each time", () => {
    for (let i = -5; i < 5; i++) expect(noise(i, i + 3, 2)).toBeCloseTo(0, 12);
    for (let x = 0; x < 4; x += 0.013) expect(Math.abs(noise(x + 0.001, 0.7) - noise(x, 0.7))).toBeLessThan(0.02);
    expect(noise(0.4, 0.7, 3)).toBe(noise(0.4, 0.7, 3));
    const { near, next } = cell(3.3, 4.4, 1);
    expect(next).toBeGreaterThanOrEqual(near);
  });
});
