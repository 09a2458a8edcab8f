import { strToU8, zipSync } from "fflate";
import { describe, expect, it } from "vitest";
import { ARCHIVE, imagesIn, pictureType } from "./images-in";

describe("the pictures of an archive", () => {
  it("are taken out by their names, whatever folders they lie in, and nothing else is", () => {
    const zip = zipSync({
      "kites/red.PNG": strToU8("one"),
      "kites/blue.jpeg": strToU8("two"),
      "__MACOSX/kites/._red.PNG": strToU8("no"),
      "kites/.hidden.png": strToU8("no"),
      "readme.txt": strToU8("no"),
      "../../outside.svg": strToU8("three"),
    });
    const { files, left } = imagesIn(zip);
    expect(files.map(({ name }) => name)).toEqual(["red.PNG", "blue.jpeg", "outside.svg"]);
    expect(new TextDecoder().decode(files[1]!.bytes)).toBe("two");
    expect(left).toEqual([]);
  });

  it("that are too large are left out before they are unpacked, and named", () => {
    const zip = zipSync({ "bomb.png": new Uint8Array(ARCHIVE.one + 1), "small.png": strToU8("x") }, { level: 9 });
    const { files, left } = imagesIn(zip);
    expect(files.map(({ name }) => name)).toEqual(["small.png"]);
    expect(left).toEqual(["bomb.png"]);
  });

  it("are as many as can be taken at once", () => {
    const many = Object.fromEntries(
      Array.from({ length: ARCHIVE.files + 3 }, (_u, i) => [`${i}x.png`, new Uint8Array(1)]),
    );
    const { files, left } = imagesIn(zipSync(many, { level: 0 }));
    expect([files.length, left.length]).toEqual([ARCHIVE.files, 3]);
  });

  it("is refused where it is no archive", () => {
    expect(() => imagesIn(strToU8("no archive at all"))).toThrow();
  });

  it("are known by what their names end in", () => {
    expect(["a.jpg", "A/B.WEBP", "a.gif", "png", "a.png/"].map(pictureType)).toEqual([
      "image/jpeg",
      "image/webp",
      undefined,
      "image/png",
      undefined,
    ]);
  });
});
