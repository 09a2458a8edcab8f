import { describe, expect, it } from "vitest";
import { tableRows, tickOf } from "~/kinds/table-rows";
import { movedColumn, movedRow, pasted, withColumn, withoutColumn, withoutRow, withRow } from "./table-change";

const rows = [
  ["", "Linen", "Wool"],
  ["Soft", "-", "+"],
  ["Warm", "-", "+"],
];

describe("a table", () => {
  it("stays one whose rows are as long as each other, whatever is put in, moved or taken away", () => {
    expect(withRow(rows, 1)[1]).toEqual(["", "", ""]);
    expect(withoutRow(rows, 1).map((r) => r[0])).toEqual(["", "Warm"]);
    expect(withColumn(rows, 3)[0]).toEqual(["", "Linen", "Wool", ""]);
    expect(withoutColumn(rows, 1)[1]).toEqual(["Soft", "+"]);
    expect(movedRow(rows, 1, 1).map((r) => r[0])).toEqual(["", "Warm", "Soft"]);
    expect(movedColumn(rows, 2, -1)[0]).toEqual(["", "Wool", "Linen"]);
    for (const next of [withRow(rows, 0), withColumn(rows, 0), withoutColumn(rows, 0), movedColumn(rows, 0, 1)])
      expect(tableRows.safeParse(next).success).toBe(true);
    expect(tableRows.safeParse([["a", "b"], ["c"]]).success).toBe(false);
  });

  it("takes cells out of a spreadsheet from a cell on, with quoted lines in them, and grows for them", () => {
    const given = 'Cotton\t"+\n"\r\nSilk\t–\r\n';
    expect(pasted(rows, 2, 2, given)).toEqual({
      rows: [
        ["", "Linen", "Wool", ""],
        ["Soft", "-", "+", ""],
        ["Warm", "-", "Cotton", "+"],
        ["", "", "Silk", "–"],
      ],
      left: false,
    });
    const wide = pasted(rows, 0, 0, Array.from({ length: 12 }, (_, i) => String(i)).join("\t"));
    expect(wide.rows[0]).toHaveLength(8);
    expect(wide.left).toBe(true);
    expect(pasted(rows, 1, 1, "x".repeat(300)).left).toBe(true);
    expect(tableRows.safeParse(pasted(rows, 50, 1, "a\n".repeat(30)).rows).success).toBe(true);
  });

  it("says yes and no with signs", () => {
    expect(["+", " ✓ ", "-", "–", "yes", "", "+1"].map(tickOf)).toEqual([
      "yes",
      "yes",
      "no",
      "no",
      undefined,
      undefined,
      undefined,
    ]);
  });
});
