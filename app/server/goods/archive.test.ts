import { strToU8, zipSync, type Zippable } from "fflate";
import sharp from "sharp";
import { beforeAll, describe, expect, it } from "vitest";
import { ownerWithShop } from "../fixtures/owner";
import { picturesOf } from "../pictures/index.server";
import { addArchive } from "./index.server";

const picture = (colour: string) =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: colour } })
    .png()
    .toBuffer()
    .then((bytes) => new Uint8Array(bytes));
let [red, blue]: [Uint8Array, Uint8Array] = [new Uint8Array(), new Uint8Array()];
beforeAll(async () => {
  [red, blue] = [await picture("#a00"), await picture("#00a")];
});
const zip = (files: Zippable) => Buffer.from(zipSync(files));
const names = async (shopId: string) => (await picturesOf(shopId)).map((p) => p.name).toSorted();

describe("a ZIP of pictures", () => {
  it("brings them in by their own names, wherever in it they lie, and each once", async () => {
    const { shop } = await ownerWithShop();
    const steps: string[] = [];
    const bytes = zip({ "kites/red.png": red, "kites/old/blue.png": blue, "again/red.png": red });
    const done = await addArchive(shop.id, bytes, (at, of) => steps.push(`${at} of ${of}`));
    expect(done).toEqual({ added: 2, known: 1, problems: [] });
    expect(steps).toEqual(["1 of 3", "2 of 3", "3 of 3"]);
    expect(await names(shop.id)).toEqual(["blue.png", "red.png"]);
    expect(await addArchive(shop.id, bytes)).toMatchObject({ added: 0, known: 3 });
  });

  it("passes over what is no picture, and says which of those that are called so are none", async () => {
    const { shop } = await ownerWithShop();
    const bytes = zip({
      "red.png": red,
      "notes.txt": strToU8("not a picture"),
      "__MACOSX/red.png": strToU8("what some systems add"),
      ".hidden.png": red,
      "broken.jpg": strToU8("no picture either"),
    });
    const done = await addArchive(shop.id, bytes);
    expect(done).toMatchObject({ added: 1, known: 0, problems: [{ file: "broken.jpg" }] });
    expect(await names(shop.id)).toEqual(["red.png"]);
  });

  it("writes nothing outside of the library, whatever its files are called", async () => {
    const { shop } = await ownerWithShop();
    await addArchive(shop.id, zip({ "../../../../tmp/up.png": red, "/etc/down.png": blue }));
    expect(await names(shop.id)).toEqual(["down.png"]);
  });

  it("unpacks nothing that is larger than a picture may be", async () => {
    const { shop } = await ownerWithShop();
    // A hundred kilobytes that would be sixteen megabytes.
    const bytes = zip({ "bomb.png": new Uint8Array(16 * 1024 * 1024), "red.png": red });
    expect(bytes.length).toBeLessThan(200_000);
    expect(await addArchive(shop.id, bytes)).toEqual({
      added: 1,
      known: 0,
      problems: [{ file: "bomb.png", why: "It is larger than 15 MB." }],
    });
  });

  it("that is none, or is cut off, is refused with a sentence", async () => {
    const { shop } = await ownerWithShop();
    const whole = zip({ "red.png": red });
    for (const bytes of [Buffer.from("PK but no archive"), whole.subarray(0, whole.length - 20), Buffer.alloc(0)])
      expect(await addArchive(shop.id, bytes)).toEqual({
        why: "This archive can’t be read. Pack the pictures as a ZIP once more.",
      });
    expect(await names(shop.id)).toEqual([]);
  });

  it("stops when it is told to", async () => {
    const { shop } = await ownerWithShop();
    const stop = new AbortController();
    const bytes = zip({ "a.png": red, "b.png": blue });
    await expect(addArchive(shop.id, bytes, () => stop.abort(), stop.signal)).rejects.toThrow();
    expect(await names(shop.id)).toHaveLength(1);
  });
});
