import Papa from "papaparse";

export type CsvTable = {
  readonly columns: readonly string[];
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
  readonly problems: readonly { readonly line: number; readonly why: string }[];
  /** What stands between values, where the table was text. */
  readonly delimiter?: string;
};

/** How a cell begins that a spreadsheet would run as a formula (OWASP, "CSV Injection"), whatever marks stand before it. */
const FORMULA = /^'*[=+\-@\t\r]/;
const NUMBER = /^[-+]?\d+(?:[.,]\d+)?$/;

/** A cell that is text to every spreadsheet: what could be run gets the mark before it that says so. */
const asText = (cell: string): string => (FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell);
/** The same cell without that mark. */
const fromText = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);

/**
 * Reads comma-separated values (RFC 4180; also `;` and tab between values, and any line ending). The first record names
 * the columns. `line` counts lines of the text from 1, so that it is the line an editor shows, even where a quoted value
 * runs over several. `most`: after so many rows with something in them (the first one not counted) reading stops.
 */
export function readCsv(text: string, most = Infinity): CsvTable {
  const rows: { line: number; cells: string[] }[] = [];
  const problems: { line: number; why: string }[] = [];
  const bare = text.replace(/^\ufeff/, "");
  let line = 1;
  let cursor = 0;
  let delimiter = ",";
  Papa.parse<string[]>(bare, {
    delimitersToGuess: [",", ";", "\t"],
    step: ({ data, errors, meta }, parser) => {
      for (const error of errors) {
        if (error.type === "Quotes") {
          problems.push({
            line,
            why: "A quotation mark is opened and not closed, or stands in the middle of a value.",
          });
        }
      }
      delimiter = meta.delimiter;
      if (data.some((cell) => cell.trim() !== "")) rows.push({ line, cells: data.map(fromText) });
      const passed = bare.slice(cursor, meta.cursor);
      line += passed.match(/\r\n|\r|\n/g)?.length ?? 0;
      cursor = meta.cursor;
      if (rows.length > most) parser.abort();
    },
  });
  const [head, ...body] = rows;
  return { columns: head?.cells.map((c) => c.trim()) ?? [], rows: body, problems, delimiter };
}

/**
 * Writes a table as RFC 4180: CRLF between records, quotes only where they are needed. What a spreadsheet would run is marked as
 * text; `readCsv` takes the mark away again.
 */
export function writeCsv(columns: readonly string[], rows: readonly (readonly string[])[]): string {
  return Papa.unparse({ fields: columns.map(asText), data: rows.map((r) => r.map(asText)) }, { newline: "\r\n" });
}
