import { readdirSync, readFileSync } from "node:fs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { readGoods as readTable } from "~/core/goods";
import { PRODUCT_PICTURES, SCENES, WORKSHOP } from "./pictures/list";
import { drawProduct } from "./pictures/products";
import { drawScene } from "./pictures/scenes";
import { drawWorkshop } from "./pictures/workshop";

const made = readdirSync("demo/pictures/made");
const listed = [...PRODUCT_PICTURES, ...SCENES, ...WORKSHOP];

describe("the demo shop's pictures", () => {
  it("are all drawn, all described, and no two are called the same", () => {
    expect(new Set(listed.map((p) => p.name)).size).toBe(listed.length);
    expect(made.toSorted()).toEqual(listed.map((p) => `${p.name}.webp`).toSorted());
    for (const { alt, name } of listed) expect(alt.length, name).toBeGreaterThan(8);
  });

  it("come out the same each time, and differ from each other", () => {
    const [first, second] = PRODUCT_PICTURES;
    expect(drawProduct(first!)).toBe(drawProduct(first!));
    expect(drawProduct(first!)).not.toBe(drawProduct(second!));
    expect(drawScene(SCENES[0]!, "")).toBe(drawScene(SCENES[0]!, ""));
    expect(drawWorkshop(WORKSHOP[0]!)).toBe(drawWorkshop(WORKSHOP[0]!));
    expect(new Set(PRODUCT_PICTURES.map(drawProduct)).size).toBe(PRODUCT_PICTURES.length);
  });

  it("never break: no coordinate is missing", () => {
    for (const picture of PRODUCT_PICTURES)
      expect(drawProduct(picture), picture.name).not.toMatch(/NaN|undefined|Infinity/);
    for (const scene of SCENES) expect(drawScene(scene, ""), scene.name).not.toMatch(/NaN|undefined|Infinity/);
    for (const scene of WORKSHOP) expect(drawWorkshop(scene), scene.name).not.toMatch(/NaN|undefined|Infinity/);
  });

  it("are 1600 px on their long side, scenes 2560, and product pictures are 4 : 5", async () => {
    for (const { name } of listed.filter((_p, i) => i % 9 === 0)) {
      const { width, height } = await sharp(`demo/pictures/made/${name}.webp`).metadata();
      expect(Math.max(width, height), name).toBe(/^(scene|workshop)-/.test(name) ? 2560 : 1600);
    }
    expect(await sharp("demo/pictures/made/rokkaku.webp").metadata()).toMatchObject({ width: 1280, height: 1600 });
  });
});

it("every picture that the goods name exists", () => {
  const { lines } = readTable(readCsv(readFileSync("demo/goods.csv", "utf8")), "EUR");
  for (const line of lines) {
    expect(line.pictures.length, line.title).toBeGreaterThan(0);
    for (const picture of line.pictures) expect(made, line.title).toContain(picture);
  }
});
