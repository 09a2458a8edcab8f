import { text } from "./bytes";
import { overlapping, zip, type Packed } from "./hostile-archives";
import { laughs } from "./hostile-drawings";
import { png } from "./hostile-pictures";

// Goods files (CSV, XLSX) that mean harm.

const CONTENT_TYPES =
  '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>';
const RELATIONS =
  '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>';
const WORKBOOK =
  '<?xml version="1.0"?><workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Goods" sheetId="1" r:id="rId1"/></sheets></workbook>';
const WORKBOOK_RELATIONS =
  '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>';
const sheet = (rows: string, head = "") =>
  `${head}<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main">${rows}</worksheet>`;
const cell = (at: string, value = "x") => `<c r="${at}" t="inlineStr"><is><t>${value}</t></is></c>`;
const rowsOf = (...cells: string[]) => `<sheetData><row r="1">${cells.join("")}</row></sheetData>`;

/** An XLSX workbook of one sheet (ECMA-376, the least that readers want; from memory). */
const workbook = (sheetXml: string | Buffer, more: readonly Packed[] = [], without: readonly string[] = []) =>
  zip(
    [
      { name: "[Content_Types].xml", data: text(CONTENT_TYPES) },
      { name: "_rels/.rels", data: text(RELATIONS) },
      { name: "xl/workbook.xml", data: text(WORKBOOK) },
      { name: "xl/_rels/workbook.xml.rels", data: text(WORKBOOK_RELATIONS) },
      { name: "xl/worksheets/sheet1.xml", data: Buffer.from(sheetXml) },
      ...more,
    ].filter((f) => !without.includes(f.name)),
  );

export const TABLES: readonly (readonly [string, () => Buffer])[] = [
  ["a workbook with a cell at ZZZ20000", () => workbook(sheet(rowsOf(cell("A1"), cell("ZZZ20000"))))],
  ["a workbook with a cell at XFD1048576", () => workbook(sheet(rowsOf(cell("A1"), cell("XFD1048576"))))],
  ["a workbook with a cell in row 999,999,999", () => workbook(sheet(rowsOf(cell("A1"), cell("A999999999"))))],
  ["a workbook with a cell written in code", () => workbook(sheet(rowsOf(cell("A1"), cell("&#90;ZZ20000"))))],
  ["a workbook whose size is not true", () => workbook(sheet(`<dimension ref="A1:ZZZ9999999"/>${rowsOf(cell("A1"))}`))],
  ["a workbook of 700,000 rows", () => workbook(sheet(`<sheetData>${"<row/>".repeat(700_000)}</sheetData>`))],
  [
    "a workbook of 2,000,000 cells",
    () => workbook(sheet(`<sheetData>${`<row>${"<c><v>1</v></c>".repeat(400)}</row>`.repeat(5_000)}</sheetData>`)),
  ],
  [
    "a workbook of 200 MB",
    () => workbook(Buffer.concat([text(sheet(rowsOf(cell("A1")))), Buffer.alloc(200_000_000, 32)])),
  ],
  [
    "a workbook that says less than it is",
    () => zip([{ name: "xl/worksheets/sheet1.xml", data: Buffer.alloc(100_000_000, 32), says: { size: 10 } }]),
  ],
  ["a workbook of entities", () => workbook(sheet(rowsOf(cell("A1", "&a9;")), laughs(9).replace("svg", "worksheet")))],
  ["a workbook of elements in elements", () => workbook(sheet("<a>".repeat(500_000)))],
  ["a workbook that is no XML", () => workbook("<<<>>>&&&")],
  ["a workbook without a sheet", () => workbook("", [], ["xl/worksheets/sheet1.xml"])],
  ["a workbook without a book", () => workbook(sheet(rowsOf(cell("A1"))), [], ["xl/workbook.xml"])],
  [
    "a workbook whose sheet is elsewhere",
    () => workbook(sheet(rowsOf(cell("A1"))), [], ["xl/_rels/workbook.xml.rels"]),
  ],
  [
    "a workbook with 400,000 shared strings",
    () =>
      workbook(sheet(rowsOf('<c r="A1" t="s"><v>399999</v></c>')), [
        { name: "xl/sharedStrings.xml", data: text(`<sst>${"<si><t>x</t></si>".repeat(400_000)}</sst>`) },
      ]),
  ],
  ["a workbook with a string that is not there", () => workbook(sheet(rowsOf('<c r="A1" t="s"><v>99999999</v></c>')))],
  ["a workbook whose entries share bytes", () => overlapping(400, 14)],
  ["an archive called a workbook", () => zip([{ name: "a.png", data: png(9, 9) }])],
  ["9,000,000 short lines", () => text("a\n".repeat(9_000_000))],
  ["19 MB in one line", () => Buffer.alloc(19_000_000, 97)],
  ["9,000,000 values in one line", () => text(`SKU,Title\n${"a,".repeat(9_000_000)}`)],
  ["110,000 columns", () => text(`${"a,".repeat(110_000)}\n${"1,".repeat(110_000)}\n`)],
  ["a quote that never ends", () => text(`SKU,Title\nA,"${"x\n".repeat(4_000_000)}`)],
  ["lines that end in returns alone", () => text("SKU,Title\r".repeat(30_000))],
  ["semicolons, tabs and commas in turn", () => text("a;b\tc,d\n".repeat(30_000))],
  [
    "headings that every object has",
    () => text("SKU,Title,Price,constructor,__proto__,toString,hasOwnProperty\nA,Kite,1.00,x,y,z,w\n"),
  ],
  [
    "cells that are formulas",
    () => text('SKU,Title,Price\n=1+1,"=HYPERLINK(""x"")",1.00\n+1,-1+cmd|x,1.00\n@a,\t=1,1.00\n'),
  ],
  ["bytes that are no text", () => Buffer.from(Array.from({ length: 200_000 }, (_, i) => 128 + (i % 127)))],
  ["zeros", () => Buffer.alloc(2_000_000)],
  ["text in UTF-16", () => Buffer.from("SKU,Title\nA,Kite\n".repeat(1_000), "utf16le")],
  ["half a letter", () => Buffer.from([0x53, 0x4b, 0x55, 0x2c, 0xf0, 0x9f])],
  ["a variant of itself", () => text("SKU,Title,Price,Variant of,Options\nA,Kite,1.00,A,Size: S\n")],
  [
    "20,000 variants of one",
    () =>
      text(
        `SKU,Title,Price,Variant of,Options\nA,Kite,1.00,,\n${Array.from({ length: 19_000 }, (_, i) => `A${i},,1.00,A,Size: ${i}`).join("\n")}`,
      ),
  ],
  [
    "prices without end",
    () => text(`SKU,Title,Price\nA,Kite,${"9".repeat(400_000)}\nB,Kite,1e999\nC,Kite,-1\nD,Kite,NaN\n`),
  ],
  ["a heading of a million letters", () => text(`SKU,Title,${"x ".repeat(500_000)}\nA,B,C\n`)],
];

export const SLOW_TABLES: readonly (readonly [string, () => Buffer])[] = [
  ["a workbook of 75 MB in one cell", () => workbook(sheet(rowsOf(cell("A1", "x".repeat(75_000_000)))))],
  ["19,000,000 quotes", () => Buffer.alloc(19_000_000, 0x22)],
  ["9,000,000 quoted nothings", () => text(`SKU,Title\n${'"",'.repeat(6_000_000)}`)],
];
