import Papa from "papaparse";
import { LONGEST_CELL, MOST_COLUMNS, MOST_ROWS, type TableRows } from "~/kinds/table-rows";

// Changes of a table; each gives a table whose rows are all as long as each other.

const blank = (length: number): readonly string[] => Array.from({ length }, () => "");

export const withRow = (rows: TableRows, at: number): TableRows => rows.toSpliced(at, 0, blank(rows[0]!.length));
export const withoutRow = (rows: TableRows, at: number): TableRows => rows.toSpliced(at, 1);
export const withColumn = (rows: TableRows, at: number): TableRows => rows.map((row) => row.toSpliced(at, 0, ""));
export const withoutColumn = (rows: TableRows, at: number): TableRows => rows.map((row) => row.toSpliced(at, 1));

const moved = <T>(list: readonly T[], at: number, by: -1 | 1): readonly T[] =>
  list.toSpliced(at, 1).toSpliced(at + by, 0, list[at]!);
export const movedRow = (rows: TableRows, at: number, by: -1 | 1): TableRows => moved(rows, at, by);
export const movedColumn = (rows: TableRows, at: number, by: -1 | 1): TableRows =>
  rows.map((row) => moved(row, at, by));

/**
 * Cells out of a spreadsheet put in from a cell on, with the rows and columns that it takes. `left`: some had no room and were left out,
 * or were too long and were cut.
 */
export function pasted(
  rows: TableRows,
  row: number,
  column: number,
  text: string,
): { readonly rows: TableRows; readonly left: boolean } {
  const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ""), { delimiter: "\t" });
  const cells = data.map((line) => line.map((cell) => cell.trim()));
  const wide = Math.max(...cells.map((line) => line.length));
  const width = Math.min(MOST_COLUMNS, Math.max(rows[0]!.length, column + wide));
  const height = Math.min(MOST_ROWS, Math.max(rows.length, row + cells.length));
  const put = (r: number, c: number) => {
    const given = cells[r - row]?.[c - column];
    return r >= row && c >= column && given !== undefined ? given.slice(0, LONGEST_CELL) : (rows[r]?.[c] ?? "");
  };
  return {
    rows: Array.from({ length: height }, (_, r) => Array.from({ length: width }, (__, c) => put(r, c))),
    left:
      row + cells.length > height ||
      column + wide > width ||
      cells.some((line) => line.some((cell) => cell.length > LONGEST_CELL)),
  };
}
