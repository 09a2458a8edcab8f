import readSheet from "read-excel-file/node";
import writeSheet from "write-excel-file/node";
import { readCsv, writeCsv } from "~/core/formats";
import type { Table } from "~/core/goods";

/** Largest goods file in bytes, and most lines in it. */
export const MOST_FILE_BYTES = 20 * 1024 * 1024;
export const MOST_LINES = 20_000;
/** What the sheets of a workbook may come to when they are unpacked. */
const MOST_UNPACKED = 200 * 1024 * 1024;

export type TableRead = { readonly ok: true; readonly table: Table } | { readonly ok: false; readonly why: string };

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

/** Adds up what the entries of a ZIP archive say that they unpack to (its central directory), without unpacking anything. */
function unpackedSize(bytes: Buffer): number {
  let total = 0;
  for (
    let at = bytes.indexOf("PK\u0001\u0002", 0, "latin1");
    at >= 0;
    at = bytes.indexOf("PK\u0001\u0002", at + 46, "latin1")
  )
    if (at + 28 <= bytes.length) total += bytes.readUInt32LE(at + 24);
  return total;
}

/** Reads a goods file: CSV in UTF-8, or the first sheet of an XLSX workbook. */
export async function readTableFile(bytes: Buffer): Promise<TableRead> {
  if (bytes.length > MOST_FILE_BYTES)
    return { ok: false, why: "This file is larger than 20 MB. Split it into several." };
  let table: Table;
  if (isZip(bytes)) {
    if (unpackedSize(bytes) > MOST_UNPACKED)
      return { ok: false, why: "This workbook is too large when it is unpacked. Split it." };
    try {
      const [sheet] = await readSheet(bytes);
      const rows = (sheet?.data ?? []).map((cells, i) => ({ line: i + 1, cells: cells.map(cellText) }));
      const [head, ...body] = rows;
      table = {
        columns: head?.cells.map((c) => c.trim()) ?? [],
        rows: body.filter((r) => r.cells.some((c) => c.trim() !== "")),
        problems: [],
      };
    } catch {
      return { ok: false, why: "This workbook can’t be read. Save it as XLSX or CSV once more and try again." };
    }
  } else {
    if (bytes.subarray(0, 4096).includes(0))
      return { ok: false, why: "This is neither a CSV file nor an XLSX workbook." };
    const text = bytes.toString("utf8");
    // Files of older programs are in the Western European code page; read as UTF-8 they would have holes.
    table = readCsv(text.includes("\ufffd") ? new TextDecoder("windows-1252").decode(bytes) : text);
  }
  if (table.rows.length > MOST_LINES)
    return {
      ok: false,
      why: `A file can have ${MOST_LINES.toLocaleString("en")} lines at most. Split it into several.`,
    };
  return { ok: true, table };
}

/** A table as a file of the format that was asked for. */
export async function writeTableFile(
  format: "csv" | "xlsx",
  head: readonly string[],
  rows: readonly (readonly string[])[],
): Promise<Buffer> {
  if (format === "csv") return Buffer.from(writeCsv(head, rows));
  const numeric = new Set(["Price", "Compare-at price", "Cost", "Stock", "Weight (g)"]);
  const data = [
    head.map((value) => ({ value, fontWeight: "bold" as const })),
    ...rows.map((row) =>
      row.map((value, i) =>
        value === ""
          ? null
          : numeric.has(head[i]!) && /^\d{1,12}(\.\d+)?$/.test(value)
            ? { type: Number, value: Number(value) }
            : { type: String, value },
      ),
    ),
  ];
  return writeSheet(data, {
    sheet: "Goods",
    stickyRowsCount: 1,
    columns: head.map((h) => ({ width: h === "Description" ? 50 : 18 })),
  }).toBuffer();
}
