import { z } from "zod";

/** How many columns and rows a table can have, and how much can stand in a cell. */
export const MOST_COLUMNS = 8;
export const MOST_ROWS = 60;
export const LONGEST_CELL = 200;

/** Rows of words in columns; every row is as long as the first, which names the columns. */
export const tableRows = z
  .array(z.array(z.string().max(LONGEST_CELL)).min(1).max(MOST_COLUMNS, `A table can have ${MOST_COLUMNS} columns.`))
  .min(1)
  .max(MOST_ROWS, `A table can have ${MOST_ROWS} rows.`)
  .refine((rows) => rows.every((row) => row.length === rows[0]!.length), "Every row has as many cells as the first.");

export type TableRows = readonly (readonly string[])[];

/** A cell that says yes or no with a sign. */
export function tickOf(cell: string): "yes" | "no" | undefined {
  const said = cell.trim();
  if (/^(?:\+|✓|✔)$/.test(said)) return "yes";
  return /^(?:-|–|—|✗|✕)$/.test(said) ? "no" : undefined;
}
