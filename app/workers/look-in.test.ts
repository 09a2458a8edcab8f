import { strToU8, zipSync } from "fflate";
import { expect, it } from "vitest";
import { LOOK_LIMITS, lookIn } from "./look-in";

const look = strToU8('{"format":"zest-look"}');

it("takes out what belongs to a look and leaves the rest, also where all of it lies in a folder", () => {
  const files = {
    "look.json": look,
    "look.tokens.json": strToU8("{}"),
    "pictures/a.webp": strToU8("picture"),
    "pictures/deep/b.webp": strToU8("too deep"),
    "pictures/run.exe": strToU8("no picture"),
    "../shop.css": strToU8("outside"),
    "README.txt": strToU8("words"),
  };
  const inFolder = Object.fromEntries(Object.entries(files).map(([name, bytes]) => [`my look/${name}`, bytes]));
  for (const given of [files, { ...inFolder, "__MACOSX/my look/look.json": strToU8("shadow") }]) {
    const answer = lookIn(zipSync(given));
    if (!answer.ok) throw new Error(answer.why);
    expect(answer.archive).toMatchObject({ look: '{"format":"zest-look"}', tokens: "{}", css: undefined });
    expect(answer.archive.pictures.map((p) => [p.name, new TextDecoder().decode(p.bytes)])).toEqual([
      ["a.webp", "picture"],
    ]);
  }
});

it("says why it can't take anything", () => {
  const why = (bytes: Uint8Array) => {
    const answer = lookIn(bytes);
    return answer.ok ? undefined : answer.why;
  };
  expect(why(strToU8("no archive"))).toMatch(/can’t be unpacked/);
  expect(why(zipSync({ "theme.json": look }))).toMatch(/no look\.json/);
  expect(why(zipSync({ "a/b/look.json": look }))).toMatch(/no look\.json/);
  // Zeros pack to next to nothing: how large they will be is looked at before.
  expect(why(zipSync({ "look.json": new Uint8Array(LOOK_LIMITS.text + 1) }))).toMatch(/more in this archive/);
  const picture = new Uint8Array(LOOK_LIMITS.picture);
  const many = Object.fromEntries(Array.from({ length: 6 }, (_, i) => [`pictures/${i}.png`, picture]));
  expect(why(zipSync({ "look.json": look, ...many }, { level: 1 }))).toMatch(/more in this archive/);
  const damaged = zipSync({ "look.json": strToU8("x".repeat(5000).replace(/x/g, (_, i: number) => String(i))) });
  damaged.fill(255, 60, 600);
  expect(why(damaged)).toBeDefined();
});
