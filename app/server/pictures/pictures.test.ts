import { readFileSync } from "node:fs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { AS_IT_IS } from "~/core/pictures";
import { PictureRow } from "../database/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { freshShop } from "../shops/index.server";
import {
  addDocument,
  addPicture,
  uploadedFile,
  removeFile,
  describePicture,
  dropRemovedPictures,
  fileFor,
  filesOf,
  hasPicture,
  picturesOf,
  removePictures,
  restorePictures,
  reworkOf,
  shadePictures,
  tagPictures,
  takeFromStock,
} from "./index.server";

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: "#c93a17" } });

describe("an uploaded picture", () => {
  it("is turned upright, loses the camera's notes, and is no larger than needed", async () => {
    const { shop } = await ownerWithShop();
    // EXIF orientation 6: the camera was held upright (TIFF 6.0 / EXIF 2.3, tag 0x0112).
    const bytes = await plain(3000, 2000)
      .withExif({ IFD0: { Copyright: "somebody" } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const added = await addPicture(shop.id, bytes, "IMG_0042.jpg");
    expect(added).toMatchObject({
      ok: true,
      known: false,
      picture: { width: 1707, height: 2560, alt: "", vector: false },
    });
    const file = await fileFor(`${added.ok ? added.picture.hash : ""}-320.webp`);
    const meta = await sharp(file).metadata();
    expect([meta.format, meta.width, meta.exif]).toEqual(["webp", 320, undefined]);
  });

  it("comes from any camera: 16 bits and another colour space become what screens show, and what moves is said to stand still", async () => {
    const { shop } = await ownerWithShop();
    // A pure red of Display P3 is beyond sRGB; untagged it would come out paler (ICC.1:2022 profiles of sharp's own library).
    const wide = await plain(80, 60)
      .withIccProfile("p3")
      .png({ bitdepth: 16 } as object)
      .toBuffer();
    const added = await addPicture(shop.id, wide, "p3.png");
    if (!added.ok) throw new Error(added.why);
    const { data } = await sharp(await fileFor(`${added.picture.hash}-160.webp`))
      .raw()
      .toBuffer({ resolveWithObject: true });
    // The colour that was meant, within what packing loses.
    [0xc9, 0x3a, 0x17].forEach((v, i) => expect(Math.abs(data[i]! - v)).toBeLessThan(8));
    const frames = await Promise.all(
      ["#c00", "#0c0"].map((background) =>
        sharp({ create: { width: 20, height: 20, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
    const moving = await sharp(frames, { join: { animated: true } })
      .webp({ loop: 0, delay: [100, 100] })
      .toBuffer();
    expect(await addPicture(shop.id, moving, "moving.webp")).toMatchObject({
      ok: true,
      note: expect.stringContaining("first picture"),
    });
  });

  it("is known by the colour of its shadows, also where it was kept before that was asked for", async () => {
    const { shop } = await ownerWithShop();
    const added = await addPicture(shop.id, await plain(300, 200).png().toBuffer(), "red.png");
    if (!added.ok) throw new Error(added.why);
    expect(added.picture.shade).toMatch(/^#c[0-9a-f]3[0-9a-f]1[0-9a-f]$/);
    await PictureRow.update({ shade: null }, { where: { id: added.picture.id } });
    expect((await picturesOf(shop.id))[0]!.shade).toBeNull();
    expect(await shadePictures()).toBeGreaterThan(0);
    expect((await picturesOf(shop.id))[0]!.shade).toBe(added.picture.shade);
    expect(await shadePictures()).toBe(0);
  });

  it("is one picture when it comes twice, even at the same moment", async () => {
    const { shop } = await ownerWithShop();
    const bytes = await plain(50, 40).png().toBuffer();
    const both = await Promise.all([
      addPicture(shop.id, bytes, "a red field.png"),
      addPicture(shop.id, bytes, "again.png"),
    ]);
    expect(new Set(both.map((b) => b.ok && b.picture.id)).size).toBe(1);
    expect(await picturesOf(shop.id)).toHaveLength(1);
  });

  it.each([
    ["nothing", Buffer.alloc(0), "The file is empty."],
    ["text", Buffer.from("hello"), "This file can’t be read as a picture. Upload a PNG, JPEG, WebP or SVG."],
    [
      "a cut-off JPEG",
      readFileSync("demo/pictures/made/runner.webp").subarray(0, 900),
      "This file can’t be read as a picture. Upload a PNG, JPEG, WebP or SVG.",
    ],
    [
      "an SVG of nothing",
      Buffer.from("<svg><script>alert(1)</script></svg>"),
      "There is nothing in this drawing that could be shown.",
    ],
    ["too much", Buffer.alloc(16 * 1024 * 1024), "This file is larger than 15 MB. Make it smaller first."],
  ])("that is %s is refused with a sentence", async (_name, bytes, why) => {
    const { shop } = await ownerWithShop();
    expect(await addPicture(shop.id, bytes, "x.png")).toEqual({ ok: false, why });
    expect(await picturesOf(shop.id)).toEqual([]);
  });

  it("with more pixels than a machine should decode is refused", async () => {
    const { shop } = await ownerWithShop();
    const bomb = await sharp({ create: { width: 9000, height: 6000, channels: 3, background: "#fff" } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    expect(await addPicture(shop.id, bomb, "bomb.png")).toMatchObject({
      ok: false,
      why: expect.stringContaining("50 million pixels") as string,
    });
  });

  it("is served only in the widths there are, and never by a path", async () => {
    const { shop } = await ownerWithShop();
    const added = await addPicture(shop.id, await plain(400, 300).png().toBuffer(), "x.png");
    const hash = added.ok ? added.picture.hash : "";
    expect(await fileFor(`${hash}-160.webp`)).toBeDefined();
    for (const name of [
      `${hash}-161.webp`,
      `${hash}-9999.webp`,
      `../${hash}-160.webp`,
      `${"0".repeat(64)}-160.webp`,
      `${hash}.svg`,
      "../../etc/passwd",
    ])
      expect(await fileFor(name), name).toBeUndefined();
    expect(await hasPicture(shop.id, hash)).toBe(true);
    expect(await hasPicture((await ownerWithShop()).shop.id, hash)).toBe(false);
  });

  it("made of another one in the studio keeps what was done, and what can be seen through it", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const first = await addPicture(mine.shop.id, await plain(40, 40).png().toBuffer(), "x.png");
    if (!first.ok) throw new Error(first.why);
    const clear = await sharp({ create: { width: 40, height: 30, channels: 4, background: "#00000000" } })
      .png()
      .toBuffer();
    const rework = { ...AS_IT_IS, turn: 90 as const, lean: 1.5 };
    const made = await addPicture(mine.shop.id, clear, "x.png", { made: { picture: first.picture.id, rework } });
    if (!made.ok) throw new Error(made.why);
    expect(made.picture.madeOf).toBe(first.picture.id);
    expect((await picturesOf(mine.shop.id)).find((p) => p.id === made.picture.id)?.madeOf).toBe(first.picture.id);
    expect(await reworkOf(mine.shop.id, made.picture.id)).toEqual(rework);
    expect(await reworkOf(mine.shop.id, first.picture.id)).toBeNull();
    expect(await reworkOf(other.shop.id, made.picture.id)).toBeUndefined();
    for (const name of [`${made.picture.hash}.webp`, `${made.picture.hash}-160.webp`]) {
      const { data } = await sharp(await fileFor(name))
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      expect(data[3], name).toBe(0);
    }
  });

  it("can be described by its own shop only", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const added = await addPicture(mine.shop.id, await plain(40, 40).png().toBuffer(), "x.png");
    const change = { id: added.ok ? added.picture.id : "", alt: "A red field", focusX: 20, focusY: 80 };
    expect(await describePicture(other.shop.id, change)).toBe(false);
    expect(await describePicture(mine.shop.id, change)).toBe(true);
    expect((await picturesOf(mine.shop.id))[0]).toMatchObject({ alt: "A red field", focus: [20, 80] });
  });
});

describe("tags", () => {
  it("are given to many pictures of one's own shop at once, all or none, and taken from them", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const ids: string[] = [];
    for (const background of ["#a01010", "#10a010"]) {
      const bytes = await sharp({ create: { width: 20, height: 20, channels: 3, background } })
        .png()
        .toBuffer();
      const added = await addPicture(mine.shop.id, bytes, "x.png");
      if (added.ok) ids.push(added.picture.id);
    }
    const tags = async () => (await picturesOf(mine.shop.id)).map((p) => [p.id, p.tags] as const);
    expect(await tagPictures(mine.shop.id, ids, ["Sea", "Autumn"], [])).toBeUndefined();
    expect(new Map(await tags())).toEqual(new Map(ids.map((id) => [id, ["Sea", "Autumn"]])));
    expect(await tagPictures(mine.shop.id, [ids[0]!], ["x"], ["sea"])).toBeUndefined();
    expect(new Map(await tags()).get(ids[0]!)).toEqual(["Autumn", "x"]);
    // One that has no room for them: none of them gets any.
    const many = Array.from({ length: 18 }, (_u, i) => `t${i}`);
    expect(await tagPictures(mine.shop.id, [ids[1]!], many, [])).toBeUndefined();
    expect(await tagPictures(mine.shop.id, ids, ["one more"], [])).toContain("20 tags");
    expect(new Map(await tags()).get(ids[0]!)).toEqual(["Autumn", "x"]);
    expect(await tagPictures(other.shop.id, ids, ["theirs"], [])).toContain("no longer there");
  });
});

describe("a picture that is removed", () => {
  const png = (background: string) =>
    sharp({ create: { width: 300, height: 200, channels: 3, background } })
      .png()
      .toBuffer();
  const taken = async (shopId: string, background: string) => {
    const added = await addPicture(shopId, await png(background), "barn.png", { alt: "A barn" });
    if (!added.ok) throw new Error(added.why);
    return added.picture;
  };

  it("is gone from library and shop, and comes back with all that was said of it", async () => {
    const { shop } = await ownerWithShop();
    const { id, hash } = await taken(shop.id, "#a01010");
    const { picturesVersion } = await freshShop(shop);
    expect(await removePictures(shop.id, [id])).toBe(1);
    expect([await picturesOf(shop.id), await hasPicture(shop.id, hash)]).toEqual([[], false]);
    // Pages that showed it are drawn anew.
    expect((await freshShop(shop)).picturesVersion).toBeGreaterThan(picturesVersion);
    expect(await restorePictures(shop.id, [id])).toBe(1);
    expect(await picturesOf(shop.id)).toMatchObject([{ id, alt: "A barn" }]);
    await removePictures(shop.id, [id]);
    // Uploaded again it is the same one.
    expect((await taken(shop.id, "#a01010")).id).toBe(id);
    expect(await hasPicture(shop.id, hash)).toBe(true);
  });

  it("is nobody else's to remove or bring back, and is forgotten after a month", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const { id } = await taken(mine.shop.id, "#10a010");
    const { picturesVersion } = await freshShop(other.shop);
    expect(await removePictures(other.shop.id, [id])).toBe(0);
    expect((await freshShop(other.shop)).picturesVersion).toBe(picturesVersion);
    expect(await picturesOf(mine.shop.id)).toHaveLength(1);
    await removePictures(mine.shop.id, [id]);
    expect(await restorePictures(other.shop.id, [id])).toBe(0);
    await dropRemovedPictures(Date.now() + 29 * 86_400_000);
    expect(await restorePictures(mine.shop.id, [id])).toBe(1);
    await removePictures(mine.shop.id, [id]);
    await dropRemovedPictures(Date.now() + 31 * 86_400_000);
    expect(await restorePictures(mine.shop.id, [id])).toBe(0);
  });
});

describe("documents", () => {
  it("are PDFs by their first line, kept once, and only their own shop’s", async () => {
    const mine = await ownerWithShop();
    const other = await ownerWithShop();
    const pdf = Buffer.from("%PDF-1.7\n%%EOF\n");
    const added = await addDocument(mine.shop.id, pdf, "Sizes.pdf");
    if (!added.ok) throw new Error(added.why);
    expect(added.file).toMatch(/^[0-9a-f]{64}\.pdf$/);
    expect(await uploadedFile(mine.shop.id, added.file)).toMatchObject({ name: "Sizes.pdf" });
    expect(await uploadedFile(other.shop.id, added.file)).toBeUndefined();
    expect(await uploadedFile(mine.shop.id, "../../etc/passwd.pdf")).toBeUndefined();
    // The same one again, under another name, is the same file with its newest name.
    await addDocument(mine.shop.id, pdf, "Sizes 2.pdf");
    const { documents, films } = await filesOf(mine.shop.id);
    expect(documents.map((d) => d.name)).toEqual(["Sizes 2.pdf"]);
    expect(films).toEqual([]);
    for (const bytes of [Buffer.from("<html>%PD"), Buffer.alloc(0), Buffer.concat([Buffer.alloc(2000, 32), pdf])])
      expect(await addDocument(mine.shop.id, bytes, "x.pdf")).toMatchObject({ ok: false });
  });

  it("are taken out of the list and brought back, by hand or by uploading them again, each in its own shop", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const pdf = Buffer.from("%PDF-1.7 removed\n%%EOF\n");
    const added = await addDocument(mine.shop.id, pdf, "Sizes.pdf");
    await addDocument(other.shop.id, pdf, "Sizes.pdf");
    if (!added.ok) throw new Error(added.why);
    const listed = async ({ shop }: { shop: { id: string } }) => (await filesOf(shop.id)).documents.length;
    expect(await removeFile(mine.shop.id, added.file, false)).toBe(true);
    expect([await listed(mine), await listed(other)]).toEqual([0, 1]);
    expect(await uploadedFile(mine.shop.id, added.file)).toMatchObject({ isRemoved: true });
    expect(await removeFile(mine.shop.id, added.file, true)).toBe(true);
    expect(await listed(mine)).toBe(1);
    await removeFile(mine.shop.id, added.file, false);
    await addDocument(mine.shop.id, pdf, "Sizes again.pdf");
    expect(await listed(mine)).toBe(1);
    expect(await removeFile(mine.shop.id, "0".repeat(64) + ".pdf", false)).toBe(false);
  });
});

describe("the stock room", () => {
  it("is copied into a shop’s pictures, once, with what it shows and what must stay in view", async () => {
    const { shop } = await ownerWithShop();
    const ids = await takeFromStock(shop.id, ["sea-dawn", "oranges"]);
    const taken = await picturesOf(shop.id);
    expect(ids?.map((id) => taken.find((p) => p.id === id)?.alt)).toEqual([
      "Sunrise over a calm sea",
      "Oranges on a blue table",
    ]);
    expect(taken.find((p) => p.name === "sea-dawn.webp")).toMatchObject({ width: 2048, focus: [57, 45] });
    expect(await takeFromStock(shop.id, ["sea-dawn"])).toEqual([ids![0]]);
    expect(await picturesOf(shop.id)).toHaveLength(2);
    // Nothing is taken where one of them is not known.
    expect(await takeFromStock(shop.id, ["terrazzo", "../secret"])).toBeUndefined();
    expect(await picturesOf(shop.id)).toHaveLength(2);
  });
});
