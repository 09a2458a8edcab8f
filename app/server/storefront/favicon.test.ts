import { existsSync } from "node:fs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import type { Look } from "~/core/document";
import { FAMILIES, solveLook, TYPE_PAIRS } from "~/core/theme";
import { themeById } from "~/themes";
import { addPicture } from "../pictures/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { shippedFontFile } from "../fonts/index.server";
import { icoOf, iconPng } from "./favicon";

const look = (more: Partial<Look["identity"]> = {}, brand: Look["brand"] = {}): Look => ({
  theme: "pomelo",
  identity: { name: "Larkspindle", tagline: "", logo: { form: "words" }, ...more },
  brand,
  versions: {},
});

/** Shares of a picture's pixels that are near each of the colours. */
async function shares(png: Buffer, colours: readonly string[]): Promise<number[]> {
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const wanted = colours.map((c) => [1, 3, 5].map((i) => Number.parseInt(c.slice(i, i + 2), 16)));
  const counts = colours.map(() => 0);
  for (let i = 0; i < data.length; i += 4) {
    wanted.forEach((rgb, k) => {
      if (data[i + 3]! > 200 && rgb.every((v, j) => Math.abs(v - data[i + j]!) < 24)) counts[k]!++;
    });
  }
  return counts.map((c) => c / (info.width * info.height));
}

describe("an icon", () => {
  it("is the first letter in brand colours, in any type", async () => {
    for (const pair of TYPE_PAIRS) {
      const dressed = look({}, { typePair: pair.id, colour: "#1f6f8b" });
      const { page, ink } = solveLook(themeById("pomelo"), dressed).roles.sets.brand;
      const [grounds, inks] = await shares(await iconPng(dressed, [], 64), [page, ink]);
      expect(grounds, pair.id).toBeGreaterThan(0.4);
      expect(inks, pair.id).toBeGreaterThan(0.04);
    }
  });

  it("is the sign where one was chosen, and differs from the letter", async () => {
    const letter = await iconPng(look(), [], 32);
    const sign = await iconPng(look({ logo: { form: "sign", sign: "kite" } }), [], 32);
    expect(sign.equals(letter)).toBe(false);
    expect(await sharp(sign).metadata()).toMatchObject({ width: 32, height: 32, format: "png" });
  });

  it("is made from an uploaded logo without stretching it", async () => {
    const { shop } = await ownerWithShop();
    const red = await sharp({ create: { width: 300, height: 100, channels: 3, background: "#d02030" } })
      .png()
      .toBuffer();
    const added = await addPicture(shop.id, red, "logo.png");
    if (!added.ok) throw new Error(added.why);
    const png = await iconPng(look({ logo: { form: "picture", picture: added.picture.id } }), [added.picture], 60);
    const [share] = await shares(png, ["#d02030"]);
    expect(share).toBeGreaterThan(0.28);
    expect(share).toBeLessThan(0.38);
  });

  it("falls back to the letter when the picture is gone", async () => {
    const gone = look({ logo: { form: "picture", picture: "gone" } });
    expect((await iconPng(gone, [], 32)).equals(await iconPng(look(), [], 32))).toBe(true);
  });

  it("says its size and place in the ICO head", () => {
    const ico = icoOf(Buffer.from("0123456789"), 32);
    expect([ico.readUInt16LE(2), ico.readUInt16LE(4), ico[6], ico[7]]).toEqual([1, 1, 32, 32]);
    expect(ico.readUInt32LE(14)).toBe(10);
    expect(ico.subarray(ico.readUInt32LE(18)).toString()).toBe("0123456789");
  });
});

it("every shipped family has its files", () => {
  for (const family of FAMILIES) {
    for (const subset of ["latin", "latin-ext"] as const)
      expect(existsSync(shippedFontFile(family, subset)), family.id).toBe(true);
  }
});
