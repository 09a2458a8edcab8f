import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { readFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { ownerWithShop } from "../fixtures/owner";
import { addPicture, fileFor } from "./index.server";

// What becomes of an upload is compared with what ImageMagick 6 makes of the same file: another program, with filters and a
// colour engine (Little CMS called by itself) that are not those of the library used here.

const folder = mkdtempSync(join(tmpdir(), "zest-outside-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const magick = (...given: string[]): Buffer =>
  execFileSync("convert-im6.q16", given, { maxBuffer: 64 * 1024 * 1024, stdio: ["ignore", "pipe", "pipe"] });

/** A chart of what is hard to make smaller: rings that get finer, colours side by side, a slow shade, fine lines. */
function chart(width: number, height: number): Buffer {
  const data = Buffer.alloc(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 3;
      const [u, v] = [x / width, y / height];
      const rings = 127.5 + 127.5 * Math.cos(((x - width / 2) ** 2 + (y - height / 2) ** 2) / (width * 6));
      const [r, g, b] =
        v < 0.4
          ? [rings, rings, rings]
          : v < 0.6
            ? [255 * u, 255 * u, 255 * u]
            : [(Math.floor(u * 8) & 1) * 255, (Math.floor(u * 8) & 2) * 127, (Math.floor(u * 8) & 4) * 63];
      data[at] = r;
      data[at + 1] = g;
      data[at + 2] = b;
    }
  return data;
}

/** The root of the mean square of what differs, and the mean of it, in 8-bit steps. */
function apart(one: Buffer, two: Buffer): { readonly root: number; readonly mean: number } {
  expect(one.length).toBe(two.length);
  let [squares, sum] = [0, 0];
  for (const [i, value] of one.entries()) {
    const d = value - two[i]!;
    squares += d * d;
    sum += d;
  }
  return { root: Math.sqrt(squares / one.length), mean: Math.abs(sum / one.length) };
}

const pixels = (file: string | Buffer): Promise<Buffer> =>
  sharp(file).removeAlpha().toColourspace("srgb").raw().toBuffer();

/** Packing for the shop loses a little (WebP at 76), and at edges two filters differ; light and colours have to be the same. */
function expectAlike(ours: Buffer, theirs: Buffer, most = 7): void {
  const { root, mean } = apart(ours, theirs);
  expect(root).toBeLessThan(most);
  expect(mean).toBeLessThan(0.8);
}

/** What the shop serves of an upload at a width, as 8-bit RGB. */
async function served(bytes: Buffer, width: number): Promise<Buffer> {
  const { shop } = await ownerWithShop();
  const added = await addPicture(shop.id, bytes, "x.png");
  if (!added.ok) throw new Error(added.why);
  return pixels(await readFile((await fileFor(`${added.picture.hash}-${width}.webp`))!));
}

describe("against ImageMagick", () => {
  let drawn: Buffer;
  beforeAll(async () => {
    drawn = await sharp(chart(1280, 960), { raw: { width: 1280, height: 960, channels: 3 } })
      .png()
      .toBuffer();
  });

  it.each([
    ["a chart of rings, colours and shades", 7, () => Promise.resolve(drawn)],
    ["a scene", 4, () => sharp("stock/made/dunes-noon.webp").resize(1280).png().toBuffer()],
  ])("%s is made smaller alike", async (_name, most, make) => {
    const bytes = await make();
    const file = join(folder, "large.png");
    writeFileSync(file, bytes);
    for (const width of [320, 640]) {
      const theirs = magick(file, "-filter", "Lanczos", "-resize", `${width}x`, "-depth", "8", "rgb:-");
      expectAlike(await served(bytes, width), theirs, most);
    }
  });

  it("every way in which a camera is held is turned upright alike (TIFF 6.0, tag 274)", async () => {
    for (let orientation = 1; orientation <= 8; orientation++) {
      const bytes = await sharp(drawn).resize(480).withMetadata({ orientation }).jpeg({ quality: 96 }).toBuffer();
      const file = join(folder, `${orientation}.jpg`);
      writeFileSync(file, bytes);
      const theirs = magick(file, "-auto-orient", "-resize", "320x", "-depth", "8", "rgb:-");
      expectAlike(await served(bytes, 320), theirs);
    }
  });

  it("colours of a wide space and of 16 bits become those of sRGB alike", async () => {
    const wide = await sharp(drawn)
      .resize(640)
      .withIccProfile("p3")
      .png({ bitdepth: 16 } as object)
      .toBuffer();
    const [file, profile] = [join(folder, "p3.png"), join(folder, "srgb.icc")];
    writeFileSync(file, wide);
    writeFileSync(join(folder, "srgb.jpg"), await sharp(drawn).resize(8).withIccProfile("srgb").jpeg().toBuffer());
    magick(join(folder, "srgb.jpg"), profile);
    const theirs = magick(file, "-profile", profile, "-resize", "320x", "-depth", "8", "rgb:-");
    expectAlike(await served(wide, 320), theirs);
    // What is compared would differ if the profile were not heeded.
    expect(apart(magick(file, "-strip", "-resize", "320x", "-depth", "8", "rgb:-"), theirs).root).toBeGreaterThan(20);
  });
});
