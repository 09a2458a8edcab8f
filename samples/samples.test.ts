import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { SAMPLE_PICTURES, SAMPLE_SHOPS, sampleFor } from "../app/studio/samples";
import { TRADES } from "../app/kinds/designs";
import { drawFrame, sizeOf } from "../stock/draw/frame";
import { lettering } from "./draw/letters";
import { SHOTS } from "./list";
import list from "./list.json";

const ON = { day: "2026-06-15", timeZone: "Europe/Berlin" };

describe("the pictures of the made-up shops", () => {
  it("are those that the list speaks of, each told from the others in words and by its bytes", () => {
    expect(list.map((p) => p.name)).toEqual(SHOTS.map((s) => s.name));
    expect(new Set(list.map((p) => p.alt)).size).toBe(list.length);
    expect(new Set(list.map((p) => p.hash)).size).toBe(list.length);
    for (const { name, hash, alt, width, height } of list) {
      const bytes = readFileSync(`samples/made/${name}.webp`);
      // Served by their hash, so a picture that was drawn anew must be in the list anew.
      expect(createHash("sha256").update(bytes).digest("hex"), name).toBe(hash);
      expect(alt.length, name).toBeGreaterThan(15);
      expect(bytes.length, name).toBeLessThan(200_000);
      expect(Math.max(width, height), name).toBeGreaterThanOrEqual(1250);
    }
  });

  it("come from the code that is there", async () => {
    for (const name of ["jam-chutney", "clay-dish", "paper-suns"]) {
      const shot = SHOTS.find((s) => s.name === name)!;
      const [width, height] = sizeOf(shot.shape, 100);
      const drawn = drawFrame(await shot.draw(), width, height, 0);
      const kept = await sharp(`samples/made/${name}.webp`).resize(width, height).removeAlpha().raw().toBuffer();
      let apart = 0;
      for (let i = 0; i < drawn.length; i++) apart += Math.abs(drawn[i]! - kept[i]!);
      expect(apart / drawn.length, name).toBeLessThan(7);
    }
  });

  it("no two look alike", async () => {
    const small = await Promise.all(
      list.map(({ name }) =>
        sharp(`samples/made/${name}.webp`).resize(16, 16, { fit: "fill" }).removeAlpha().raw().toBuffer(),
      ),
    );
    for (let a = 0; a < small.length; a++)
      for (let b = 0; b < a; b++) {
        let apart = 0;
        for (let i = 0; i < small[a]!.length; i++) apart += Math.abs(small[a]![i]! - small[b]![i]!);
        expect(apart / small[a]!.length, `${list[a]!.name} and ${list[b]!.name}`).toBeGreaterThan(3);
      }
  });

  it("are lettered only with letters that were drawn", () => {
    expect(() => lettering("JAM & TEA", 0, 0, 10, "#000000")).not.toThrow();
    expect(() => lettering("JÄM", 0, 0, 10, "#000000")).toThrow("Ä");
    // However long a word is, it stays within the label.
    const long = lettering("MARMALADEMARMALADE", 0, 0, 60, "#000000", { most: 200 });
    const last = [...long.matchAll(/translate\(([-\d.]+)/g)].map((m) => Number(m[1]));
    expect(Math.min(...last)).toBeGreaterThanOrEqual(-100);
    expect(Math.max(...last)).toBeLessThan(100);
  });
});

describe("the made-up shops", () => {
  it("are at least four, of eight to twelve goods each, and one comes nearest to every trade", () => {
    expect(SAMPLE_SHOPS.length).toBeGreaterThanOrEqual(4);
    for (const { goods } of SAMPLE_SHOPS) {
      const { products } = goods(ON);
      expect(products.length).toBeGreaterThanOrEqual(8);
      expect(products.length).toBeLessThanOrEqual(12);
    }
    for (const { id } of TRADES) expect(sampleFor(id)).toBeDefined();
    expect(sampleFor("food").name).toBe("jam and honey");
    expect(sampleFor("plants").name).toBe("seeds");
  });

  it("show only pictures that there are, each thing its own, and every collection has something in it", () => {
    const known = new Set(SAMPLE_PICTURES.map((p) => p.id));
    const used: string[] = [];
    for (const { goods, scenes } of SAMPLE_SHOPS) {
      const { products, collections } = goods(ON);
      for (const id of scenes) expect(known, id).toContain(id);
      for (const p of products) {
        used.push(...p.pictures);
        expect(p.price, p.title).toBeGreaterThan(0);
        expect(collections.map((c) => c.id)).toContain(p.collections[0]);
        expect(String(p.description).length, p.title).toBeGreaterThan(40);
      }
      for (const c of collections) {
        expect(known).toContain(c.picture);
        expect(
          products.some((p) => p.collections.includes(c.id)),
          c.title,
        ).toBe(true);
      }
      // The states that a theme has to show are all there somewhere.
      expect(products.some((p) => p.compareAt !== null)).toBe(true);
      expect(products.some((p) => p.availability !== "in-stock")).toBe(true);
    }
    expect(new Set(used).size).toBe(used.length);
    for (const id of used) expect(known).toContain(id);
  });
});
