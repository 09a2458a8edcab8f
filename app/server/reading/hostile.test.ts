import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { HOSTILE_FILES } from "../../../attack/hostile-files";
import { readApart } from "./index.server";

const folder = mkdtempSync(join(tmpdir(), "zest-hostile-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

type Outcome = { readonly ok: true } | { readonly ok: false; readonly why: string };

/** Has a file read as what it would be uploaded as. */
async function read(as: "picture" | "table" | "archive", bytes: Buffer): Promise<Outcome> {
  const path = join(folder, "a.zip");
  if (as === "archive") writeFileSync(path, bytes);
  const done =
    as === "archive"
      ? await readApart("archive", { path }, { step: () => Promise.resolve() })
      : await readApart(as, { bytes });
  return done.ok ? done.value : done;
}
const named = (name: string) => {
  const file = HOSTILE_FILES.find((f) => f.name === name);
  if (!file) throw new Error(`there is no hostile file “${name}”`);
  return read(file.as, file.make());
};

describe("a file that means harm", () => {
  it("comes in at least 150 forms", () => expect(HOSTILE_FILES.length).toBeGreaterThanOrEqual(150));

  it.each(HOSTILE_FILES.filter((f) => !f.slow).map((file) => [`${file.as}: ${file.name}`, file] as const))(
    "%s: is read or refused with a sentence, and the next one is read",
    async (_name, { as, make }) => {
      const done = await read(as, make());
      if (!done.ok) expect(done.why).toMatch(/^[A-Z].*[.]$/);
      expect(await read("table", Buffer.from("SKU,Title\nA,Kite\n"))).toMatchObject({ ok: true });
    },
  );

  it.each([
    ["421 bytes of empty comments", "can’t be read as a picture"],
    ["uses 9 levels deep, ten times each", "too complicated"],
    ["a use of itself", "too complicated"],
    ["masks 8 levels deep", "too complicated"],
    ["groups 60000 deep", "too complicated"],
    ["a PNG that claims 65535 × 65535", "more than 50 million pixels"],
    ["a PNG of 1 × 49,000,000", "longer than 30,000 pixels"],
    ["400 entries that share 14 MB of bytes", "can’t be read"],
    ["entries of 3 GB in all", "too much in this archive"],
    ["a workbook with a cell at ZZZ20000", "in the cell ZZZ20000, far from all else"],
    ["a workbook of 700,000 rows", "too many lines or cells"],
    ["a workbook of 200 MB", "too large when it is unpacked"],
    ["9,000,000 short lines", "20,000 lines at most"],
    ["110,000 columns", "500 columns at most"],
  ])("%s: is refused because of what it is", async (name, why) => {
    expect(await named(name)).toMatchObject({ ok: false, why: expect.stringContaining(why) as string });
  });

  it("ends its reader when it takes too much, and nothing else; a map is drawn meanwhile", async () => {
    const ended: string[] = [];
    const table = named("19,000,000 quotes").finally(() => ended.push("table"));
    const map = readApart("map", { point: { lat: 54.49, lon: -0.61 }, reach: "land", place: "Whitby", places: [] });
    expect(await map.finally(() => ended.push("map"))).toMatchObject({ ok: true });
    expect(ended).toEqual(["map"]);
    expect(await table).toMatchObject({ ok: false, why: expect.stringContaining("too much") as string });
    expect(await read("table", Buffer.from("SKU,Title\nA,Kite\n"))).toMatchObject({ ok: true });
  });
});
