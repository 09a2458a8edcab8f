import ExcelJS from "exceljs";
import { describe, expect, it } from "vitest";
import { readTableFile, writeTableFile } from "./tables";

const rows = [
  ["LK-1", 'A "quoted" title, with a comma', "64.00", "18", "2027-03-01"],
  ["0042", "Line one\nline two", "5.50", "", ""],
  ["=1+1", "Ünïcödé ☂", "1000.00", "0", ""],
];
const head = ["SKU", "Title", "Price", "Stock", "Available from"];

describe("goods files", () => {
  it.each(["csv", "xlsx"] as const)("come back from %s as they were written", async (format) => {
    const read = await readTableFile(await writeTableFile(format, head, rows));
    if (!read.ok) throw new Error(read.why);
    expect(read.table.columns).toEqual(head);
    const plain = (cell: string) => (/^\d+\.\d+$/.test(cell) && format === "xlsx" ? String(Number(cell)) : cell);
    expect(read.table.rows.map((r) => r.cells)).toEqual(rows.map((r) => r.map(plain)));
  });

  it("as workbooks are read by another spreadsheet library: numbers as numbers, the rest as text and never as a formula", async () => {
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await writeTableFile("xlsx", head, rows)) as unknown as ArrayBuffer);
    const sheet = book.worksheets[0]!;
    expect(sheet.name).toBe("Goods");
    expect((sheet.getRow(1).values as unknown[]).slice(1)).toEqual(head);
    expect(sheet.getCell("C2").value).toBe(64);
    expect(sheet.getCell("A3").value).toBe("0042");
    expect(sheet.getCell("A4").value).toBe("=1+1");
    expect(sheet.getCell("A4").formula ?? "").toBe("");
    expect(sheet.getCell("B3").value).toBe("Line one\nline two");
  });

  it("as workbooks of another library are read: dates as days, yes and no, sums that computers get wrong", async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet("One");
    sheet.addRow(["SKU", "Title", "Price", "Day", "Featured"]);
    sheet.addRow(["A", "Kite", 0.1 + 0.2, new Date("2027-03-01T00:00:00Z"), true]);
    sheet.addRow([]);
    sheet.addRow([
      "B",
      { richText: [{ text: "Two " }, { text: "parts" }] },
      { formula: "1+1", result: 2 },
      null,
      false,
    ]);
    book.addWorksheet("Two").addRow(["not", "this"]);
    const read = await readTableFile(Buffer.from(await book.xlsx.writeBuffer()));
    if (!read.ok) throw new Error(read.why);
    expect(read.table.rows.map((r) => r.cells.slice(0, 5))).toEqual([
      ["A", "Kite", "0.3", "2027-03-01", "yes"],
      ["B", "Two parts", "2", "", "no"],
    ]);
  });

  it("that are none are refused with a sentence", async () => {
    const why = async (bytes: Buffer) => {
      const read = await readTableFile(bytes);
      return read.ok ? undefined : read.why;
    };
    expect(await why(Buffer.from("PK\u0003\u0004 not a workbook"))).toContain("can’t be read");
    expect(await why(Buffer.from([0xff, 0xd8, 0xff, 0x00, 0x10]))).toContain("neither a CSV file");
    expect(await why(Buffer.alloc(21 * 1024 * 1024, "a"))).toContain("larger than 20 MB");
    expect(await why(Buffer.from(`a\n${"1\n".repeat(20_001)}`))).toContain("20,000 lines");
  });

  it("in an older code page keep their letters", async () => {
    const read = await readTableFile(Buffer.from("title,price\nM\u00fctze,5\n", "latin1"));
    expect(read.ok && read.table.rows[0]!.cells[0]).toBe("Mütze");
    // WHATWG Encoding, windows-1252: 0x80 is the euro sign, 0x92 and 0x93 are quotation marks, which Latin-1 does not have.
    const money = await readTableFile(
      Buffer.from([...Buffer.from("title,price\nM"), 0x92, 0xfc, 0x93, ...Buffer.from(",5 "), 0x80, 10]),
    );
    expect(money.ok && money.table.rows[0]!.cells).toEqual(["M’ü“", "5 €"]);
  });
});
