import writeSheet from "write-excel-file/node";
import { writeCsv } from "~/core/formats";
import { readApart, type TableRead } from "../reading/index.server";

/** Largest goods file in bytes. */
export const MOST_FILE_BYTES = 20 * 1024 * 1024;

export type { TableRead };

/** Reads a goods file: CSV, or the first sheet of an XLSX workbook. */
export async function readTableFile(bytes: Buffer): Promise<TableRead> {
  if (bytes.length > MOST_FILE_BYTES)
    return { ok: false, why: "This file is larger than 20 MB. Split it into several." };
  const read = await readApart("table", { bytes });
  return read.ok ? read.value : read;
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
