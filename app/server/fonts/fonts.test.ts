import { readdir, readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { strToU8, zipSync } from "fflate";
import * as fontkit from "fontkit";
import { describe, expect, it } from "vitest";
import { cutFileName, FAMILIES, fontFileName } from "~/core/theme";
import { config } from "../config/index.server";
import { readApart } from "../reading/index.server";
import { fontFileFor as find } from "./index.server";

const fontFileFor = (name: string) => find(name, () => Promise.resolve(true));

const read = async (name: string) => fontkit.create(await readFile((await fontFileFor(name))!)) as fontkit.Font;

describe("a cut of a font", () => {
  it("holds one weight and no axis for it, is smaller, and draws the same letters", async () => {
    const family = FAMILIES.find((f) => f.id === "instrument-sans")!;
    const name = cutFileName({ family: family.id, weights: [620, 620] }, "latin");
    const cut = await read(name);
    const whole = await read(fontFileName(family, "latin"));
    expect(Object.keys(cut.variationAxes)).not.toContain("wght");
    expect([...cut.characterSet].sort()).toEqual([...whole.characterSet].sort());
    const sizes = await Promise.all(
      [name, fontFileName(family, "latin")].map(async (n) => (await readFile((await fontFileFor(n))!)).length),
    );
    expect(sizes[0]!).toBeLessThan(sizes[1]! * 0.7);
  });

  it("keeps the span of weights that is asked for, and the width", async () => {
    const span = await read(cutFileName({ family: "lora", weights: [450, 600] }, "latin"));
    expect(span.variationAxes).toMatchObject({ wght: { min: 450, max: 600 } });
    const narrow = await read(cutFileName({ family: "archivo", weights: [400, 650], stretch: 86 }, "latin"));
    expect(Object.keys(narrow.variationAxes)).toEqual(["wght"]);
  });

  it("is the shipped file where a family was drawn in one weight, and there is none of another weight", async () => {
    const single = cutFileName({ family: "gloock", weights: [400, 400] }, "latin");
    expect(await find(single, () => Promise.resolve(false))).toContain("gloock-latin-400-normal.woff2");
    expect((await read(single)).familyName).toBe("Gloock");
    expect(await fontFileFor(cutFileName({ family: "gloock", weights: [400, 700] }, "latin"))).toBeUndefined();
  });

  it("is made once, also when many ask at the same time, and leaves no half file behind", async () => {
    const name = cutFileName({ family: "karla", weights: [400, 650] }, "latin-ext");
    const paths = await Promise.all(Array.from({ length: 6 }, () => fontFileFor(name)));
    expect(new Set(paths).size).toBe(1);
    expect((await readdir(config().fontsFolder)).filter((f) => f.includes(".part"))).toEqual([]);
  });

  it.each([
    "../../../etc/passwd",
    "lora-latin-1-9999.woff2",
    "lora-latin-400-400.woff",
    "nope-latin-400-400.woff2",
    "",
  ])("is not made for “%s”", async (name) => expect(await fontFileFor(name)).toBeUndefined());

  it("is made only for those who have a use for it, and then served to all", async () => {
    const name = cutFileName({ family: "karla", weights: [410, 430] }, "latin");
    expect(await find(name, () => Promise.resolve(false))).toBeUndefined();
    const made = await find(name, () => Promise.resolve(true));
    expect(made).toBeDefined();
    expect(await find(name, () => Promise.resolve(false))).toBe(made);
    // Whole files are there for everybody.
    expect(await find(fontFileName(FAMILIES[0]!, "latin"), () => Promise.resolve(false))).toBeDefined();
  });

  it("does not wait for an archive that is being read", async () => {
    let goOn = () => {};
    const held = new Promise<void>((done) => (goOn = done));
    const path = join(config().fontsFolder, "..", "held.zip");
    await writeFile(path, zipSync({ "a.svg": strToU8('<svg viewBox="0 0 9 9"><path d="M0 0h9v9z"/></svg>') }));
    let hasBegun = () => {};
    const begun = new Promise<void>((done) => (hasBegun = done));
    // As many as there are readers of files.
    const reading = Promise.all(
      Array.from({ length: 4 }, () => readApart("archive", { path }, { step: () => (hasBegun(), held) })),
    );
    await begun;
    expect(await fontFileFor(cutFileName({ family: "karla", weights: [420, 440] }, "latin"))).toContain("420");
    goOn();
    expect((await reading).every((each) => each.ok)).toBe(true);
  });
});
