import { decode as decodeOld } from "iconv-lite";
import readSheet from "read-excel-file/node";
import { readCsv } from "~/core/formats";
import { MOST_COLUMNS, MOST_LINES, type Table } from "~/core/goods";
import { BadZip, openZip, unpack, type Zip } from "./zip";

/** What a workbook may come to when it is unpacked, in bytes. */
const MOST_UNPACKED = 80 * 1024 * 1024;
/** How far down something may stand in a sheet: lines that are empty count here. */
const LOWEST_ROW = 2 * MOST_LINES;
/** Cells in all sheets together. */
const MOST_CELLS = 1_500_000;

export type TableRead = { readonly ok: true; readonly table: Table } | { readonly ok: false; readonly why: string };

const no = (why: string): TableRead => ({ ok: false, why });
const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** What a cell says as text: days as `YYYY-MM-DD`, numbers without grouping. */
function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return "";
  if (cell instanceof Date) return Number.isNaN(cell.getTime()) ? "" : cell.toISOString().slice(0, 10);
  if (typeof cell === "boolean") return cell ? "yes" : "no";
  // 0.1 + 0.2 in a sheet is meant to be 0.3.
  if (typeof cell === "number") return String(Number.isInteger(cell) ? cell : Number(cell.toPrecision(15)));
  return typeof cell === "string" ? cell : "";
}

const columnOf = (letters: string) => [...letters].reduce((n, l) => n * 26 + l.charCodeAt(0) - 64, 0);

/**
 * Why the sheets of a workbook would fill the memory: a cell stands far off from all others, or there are too many of them.
 * They are read as text for that, piece by piece. Undefined where nothing speaks against reading them.
 */
async function tooLarge(zip: Zip): Promise<string | undefined> {
  let rows = 0;
  let cells = 0;
  for (const entry of zip.entries) {
    if (!/^xl\/worksheets\/[^/]+\.xml$/i.test(entry.name)) continue;
    let rest = "";
    for await (const piece of await unpack(zip, entry)) {
      const text = rest + (piece as Buffer).toString("latin1");
      for (const [, letters, row] of text.matchAll(/[\s:]r=["']([A-Z]{1,8})(\d{1,12})["']/g))
        if (columnOf(letters!) > MOST_COLUMNS || Number(row) > LOWEST_ROW)
          return `There is something in the cell ${letters}${row}, far from all else. Clear it, and try again.`;
      rest = text.slice(-40);
      rows += text.split("<row").length - 1;
      cells += text.split(/<c[\s>/]/).length - 1;
      if (rows > LOWEST_ROW || cells > MOST_CELLS) return "This workbook has too many lines or cells. Split it.";
    }
  }
  return undefined;
}

async function readWorkbook(bytes: Buffer): Promise<TableRead> {
  try {
    const zip = await openZip({ bytes }, MOST_UNPACKED);
    const why = await tooLarge(zip);
    if (why) return no(why);
    const [sheet] = await readSheet(bytes);
    const rows = (sheet?.data ?? []).map((cells, i) => ({ line: i + 1, cells: cells.map(cellText) }));
    const [head, ...body] = rows;
    return {
      ok: true,
      table: {
        columns: head?.cells.map((c) => c.trim()) ?? [],
        rows: body.filter((r) => r.cells.some((c) => c.trim() !== "")),
        problems: [],
      },
    };
  } catch (error) {
    if (error instanceof BadZip && error.message.startsWith("There"))
      return no("This workbook is too large when it is unpacked. Split it.");
    return no("This workbook can’t be read. Save it as XLSX or CSV once more and try again.");
  }
}

/** Reads a goods file: CSV in UTF-8 or an older code page, or the first sheet of an XLSX workbook. */
export async function readTable(given: Uint8Array): Promise<TableRead> {
  const bytes = Buffer.from(given.buffer, given.byteOffset, given.byteLength);
  let read: TableRead;
  if (isZip(bytes)) read = await readWorkbook(bytes);
  else {
    if (bytes.subarray(0, 4096).includes(0)) return no("This is neither a CSV file nor an XLSX workbook.");
    const text = bytes.toString("utf8");
    // Files of older programs are in the Western European code page; read as UTF-8 they would have holes. (Node’s own decoder reads
    // that page as Latin-1, which has no euro sign and no quotation marks.)
    const decoded = text.includes("\ufffd") ? decodeOld(bytes, "windows-1252") : text;
    read = { ok: true, table: readCsv(decoded, MOST_LINES + 1) };
  }
  if (!read.ok) return read;
  if (read.table.rows.length > MOST_LINES)
    return no(`A file can have ${MOST_LINES.toLocaleString("en")} lines at most. Split it into several.`);
  if (read.table.columns.length > MOST_COLUMNS || read.table.rows.some((r) => r.cells.length > MOST_COLUMNS))
    return no(`A file can have ${MOST_COLUMNS} columns at most. Leave out what is no use here.`);
  return read;
}
