import { entryOf } from "../document";
import type { CsvTable } from "../formats";
import { parseMoney, type Minor } from "../money";
import { AVAILABILITY_WORDS } from "./availability";
import {
  COLUMN_MEANS,
  GOODS_FIELDS,
  guessColumn,
  isMeaning,
  type ColumnChoice,
  type ColumnMeaning,
  type GoodsField,
} from "./import-columns";
import { barcodeProblem } from "./barcode";
import { AVAILABILITIES, MOST_OPTIONS, slugOf, TAX_CLASSES, type Availability, type TaxClass } from "./types";

/** A table as it was read from a file, whatever its format. */
export type Table = CsvTable;

/** What a line of a goods file says about one product, or about one variant of it. */
export type GoodsLine = {
  readonly line: number;
  readonly sku: string;
  /** The SKU of the product of which this is a variant; empty: a product. */
  readonly variantOf: string;
  /** What tells this variant from the others. */
  readonly options: readonly { readonly name: string; readonly value: string; readonly colour: string | null }[];
  readonly title: string;
  readonly description: string;
  /** Null only for a variant that costs what its product does. */
  readonly price: Minor | null;
  readonly compareAt: Minor | null;
  readonly cost: Minor | null;
  readonly taxClass: TaxClass;
  readonly collections: readonly string[];
  readonly tags: readonly string[];
  /** File names or addresses of pictures, as written. */
  readonly pictures: readonly string[];
  readonly stock: number | null;
  readonly oversell: boolean;
  readonly isGiftCard: boolean;
  readonly barcode: string;
  readonly weight: number | null;
  readonly availability: Availability;
  readonly availableFrom: string | null;
  readonly featured: boolean;
  readonly specification: readonly { readonly name: string; readonly value: string }[];
  /** SKUs. */
  readonly related: readonly string[];
  readonly searchTitle: string;
  readonly searchDescription: string;
  readonly attributes: Readonly<Record<string, string>>;
};

/** What is wrong with a line, counted from 1; line 0: with the file as a whole, of which nothing can be brought in then. */
export type LineProblem = {
  readonly line: number;
  readonly column: string;
  readonly why: string;
  /** Where one cell of the table is to blame: which column it stands in, counted from 0, and what is written there. */
  readonly cell?: { readonly at: number; readonly written: string };
};

/** A cell that the seller wrote anew before anything was stored: on this line, in this column counted from 0. */
export type CellFix = { readonly line: number; readonly at: number; readonly value: string };

/** A table in which these cells say something else. */
export function putRight(table: Table, fixes: readonly CellFix[]): Table {
  const byLine = new Map<number, CellFix[]>();
  for (const fix of fixes) byLine.set(fix.line, [...(byLine.get(fix.line) ?? []), fix]);
  if (byLine.size === 0) return table;
  return {
    ...table,
    rows: table.rows.map((row) => {
      const own = byLine.get(row.line);
      if (!own) return row;
      const cells = [...row.cells];
      for (const { at, value } of own) if (at < table.columns.length) cells[at] = value;
      return { ...row, cells: Array.from(cells, (cell) => cell ?? "") };
    }),
  };
}

export type GoodsFile = {
  readonly lines: readonly GoodsLine[];
  readonly problems: readonly LineProblem[];
  /** What the file has a column for. What it has none for says nothing about a product that is known already. */
  readonly given: readonly GoodsField[];
  /** How each column of the file was understood; `attribute` columns describe the product. */
  readonly columns: readonly {
    readonly name: string;
    readonly means: ColumnMeaning;
    /** The first value in it. */
    readonly sample: string;
  }[];
};

const list = (cell: string) =>
  cell
    .split(/[|;]/)
    .map((part) => part.trim())
    .filter(Boolean);

/** "Size: 2 m|Colour: Dawn #e8835a" as pairs. */
const pairs = (cell: string) =>
  list(cell).map((part) => {
    const at = part.indexOf(":");
    return at < 0 ? { name: "", value: "" } : { name: part.slice(0, at).trim(), value: part.slice(at + 1).trim() };
  });

const WORD_TO_AVAILABILITY = new Map<string, Availability>(
  AVAILABILITIES.flatMap(
    (a) =>
      [
        [a, a],
        [AVAILABILITY_WORDS[a].toLowerCase(), a],
        [a.replace(/-/g, " "), a],
      ] as const,
  ),
);

/** What stands between values, in words. */
const SIGN_WORDS: ReadonlyMap<string, string> = new Map([
  [",", "comma"],
  [";", "semicolon"],
  ["\t", "tab"],
]);

const YES = new Set(["yes", "y", "true", "1", "x"]);
const NO = new Set(["no", "n", "false", "0", ""]);

/** Whether a text is a day that there is, as ISO 8601 writes it. */
export const isDay = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) &&
  !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) &&
  new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);

/**
 * Reads a goods file. A line with a problem is reported and left out, the others are understood; nothing is stored here.
 * Two lines with the same SKU are a problem of the second. A line that names the product of which it is a variant needs
 * no title and no price of its own.
 */
export function readGoods(table: Table, currency: string, choice: ColumnChoice = {}): GoodsFile {
  const problems: LineProblem[] = table.problems.map((p) => ({ ...p, column: "" }));
  const taken = new Set<GoodsField>();
  const columns = table.columns.map((name, i) => {
    // What was remembered may be older than the meanings that there are.
    const said = Object.hasOwn(choice, name) ? entryOf(choice, name) : undefined;
    const wish = isMeaning(said) ? said : guessColumn(name);
    const twice = wish !== "attribute" && wish !== "none" && taken.has(wish);
    if (!twice && wish !== "attribute" && wish !== "none") taken.add(wish);
    const sample =
      table.rows
        .find((r) => r.cells[i]?.trim())
        ?.cells[i]?.trim()
        .slice(0, 80) ?? "";
    // Of two columns for one thing the first says it.
    return { name, means: twice ? ("none" as const) : wish, sample };
  });
  const given = GOODS_FIELDS.filter((f) => taken.has(f));
  const at = Object.fromEntries(given.map((f) => [f, columns.findIndex((c) => c.means === f)])) as Partial<
    Record<GoodsField, number>
  >;
  if (table.columns.length === 0)
    return { lines: [], given: [], columns: [], problems: [{ line: 0, column: "", why: "The file is empty." }] };
  for (const field of ["title", "price"] as const) {
    if (!taken.has(field)) {
      problems.push({
        line: 0,
        column: "",
        why: `No column says the ${COLUMN_MEANS[field]}. Say which one does.`,
      });
    }
  }
  if (!taken.has("title") || !taken.has("price")) return { lines: [], given, columns, problems };

  const lines: GoodsLine[] = [];
  const skus = new Map<string, number>();
  for (const { line, cells } of table.rows) {
    const before = problems.length;
    const report = (column: string, why: string) => {
      const index = columns.findIndex(
        ({ means }) => means !== "none" && means !== "attribute" && COLUMN_MEANS[means] === column,
      );
      problems.push({ line, column, why, ...(index < 0 ? {} : { cell: { at: index, written: cells[index] ?? "" } }) });
    };
    if (cells.length > table.columns.length) {
      report(
        "",
        `This line has ${cells.length} values, the head has ${table.columns.length}. Put quotation marks around a value with a ${SIGN_WORDS.get(table.delimiter ?? ",") ?? "comma"} in it.`,
      );
    }
    const cell = (field: GoodsField) => cells[at[field] ?? -1]?.trim() ?? "";
    const money = (field: "price" | "compareAt" | "cost", mayLack: boolean): Minor | null => {
      const written = cell(field);
      if (written === "" && mayLack) return null;
      const parsed = parseMoney(written, currency);
      if (parsed.ok) return parsed.amount;
      report(COLUMN_MEANS[field], parsed.why);
      return null;
    };
    const whole = (field: "stock" | "weight"): number | null => {
      const written = cell(field);
      if (written === "") return null;
      if (/^\d{1,7}(?:[.,]0+)?$/.test(written)) return Number.parseInt(written, 10);
      if (/^[-−–]\s*\d/.test(written)) {
        report(
          COLUMN_MEANS[field],
          field === "stock"
            ? `“${written}”: there can’t be fewer than none. Write 0, or nothing where pieces are not counted.`
            : "A weight can’t be negative.",
        );
        return null;
      }
      report(COLUMN_MEANS[field], `“${written}” is not a whole number.`);
      return null;
    };
    const yes = (field: "oversell" | "featured" | "isGiftCard"): boolean => {
      const written = cell(field).toLowerCase();
      if (!YES.has(written) && !NO.has(written)) report(COLUMN_MEANS[field], `“${written}” is neither yes nor no.`);
      return YES.has(written);
    };
    const short = (field: GoodsField, most: number): string => {
      const written = cell(field);
      if (written.length > most) report(COLUMN_MEANS[field], `This is longer than ${most} characters.`);
      return written;
    };
    const variantOf = short("variantOf", 80);
    const isVariant = variantOf !== "";
    const title = short("title", 160);
    if (!title && !isVariant) report("title", "There is no title.");
    const options = pairs(cell("options")).map(({ name, value }) => {
      const [, words = value, colour = null] = /^(.*\S)\s+(#[0-9a-f]{6})$/i.exec(value) ?? [];
      return { name, value: words, colour };
    });
    if (isVariant && options.length === 0)
      report("options", "Say what tells this variant from the others, like “Size: 2 m|Colour: Dawn”.");
    if (options.some((o) => !o.name || !o.value))
      report("options", `“${cell("options")}” can’t be read. Write it like “Size: 2 m|Colour: Dawn”.`);
    if (options.length > MOST_OPTIONS) report("options", `A product has ${MOST_OPTIONS} options at most.`);
    const sku =
      short("sku", 80) ||
      slugOf([title, ...options.map((o) => o.value)].join(" "))
        .toUpperCase()
        .slice(0, 40);
    const twin = skus.get(sku);
    if (twin !== undefined && (title || isVariant)) report("SKU", `“${sku}” stands on line ${twin} already.`);
    else skus.set(sku, line);
    const price = money("price", isVariant);
    const compareAt = money("compareAt", true);
    const cost = money("cost", true);
    const stock = whole("stock");
    const weight = whole("weight");
    const oversell = yes("oversell");
    const featured = yes("featured");
    const barcode = cell("barcode").replace(/[\s-]/g, "");
    const barcodeWhy = barcodeProblem(barcode);
    if (barcodeWhy) report("barcode", barcodeWhy);
    const state = cell("availability").toLowerCase();
    const stated = WORD_TO_AVAILABILITY.get(state);
    if (state && !stated)
      report(
        "availability",
        `“${cell("availability")}” is not one of: ${Object.values(AVAILABILITY_WORDS).join(", ")}.`,
      );
    const taxClass = (cell("taxClass").toLowerCase() || "standard") as TaxClass;
    if (!TAX_CLASSES.includes(taxClass))
      report("tax class", `“${cell("taxClass")}” is not one of: ${TAX_CLASSES.join(", ")}.`);
    const availableFrom = cell("availableFrom") || null;
    if (availableFrom && !isDay(availableFrom))
      report("available from", `“${availableFrom}” is not a day. Write it like 2027-03-01.`);
    if (problems.length > before) continue;
    const attributes = columns.flatMap(({ name, means }, i) => {
      const value = cells[i]?.trim();
      return means === "attribute" && name && value ? [[name, value] as const] : [];
    });
    lines.push({
      line,
      sku,
      variantOf,
      options,
      title,
      description: cell("description"),
      price,
      compareAt,
      cost,
      taxClass,
      stock,
      oversell,
      isGiftCard: yes("isGiftCard"),
      barcode,
      weight,
      availableFrom,
      featured,
      attributes: Object.fromEntries(attributes),
      specification: pairs(cell("specification")).filter((p) => p.name && p.value),
      related: list(cell("related")),
      searchTitle: short("searchTitle", 160),
      searchDescription: short("searchDescription", 320),
      collections: list(cell("collections")),
      tags: list(cell("tags")),
      pictures: list(cell("pictures")),
      // That none is there is the stock's to say.
      availability: stated ?? "in-stock",
    });
  }
  return { lines, given, columns, problems };
}

/** What a file would do to a product. */
export type LineDoes = "new" | "changed" | "same";

/** What would happen if a file were brought in. */
export type ImportPlan = {
  readonly columns: GoodsFile["columns"];
  /** By product: its line, and how many lines of variants follow it. */
  readonly lines: readonly { readonly line: GoodsLine; readonly variants: number; readonly does: LineDoes }[];
  readonly problems: readonly LineProblem[];
  readonly counts: Readonly<Record<LineDoes, number>>;
  /** Collections that do not exist yet and would be made. */
  readonly newCollections: readonly string[];
  /** Names of pictures that are not in the library. */
  readonly missingPictures: readonly string[];
};

/** What became of an archive of pictures. */
export type ArchiveDone = {
  readonly added: number;
  readonly known: number;
  /** Files that were no pictures, and why. */
  readonly problems: readonly { readonly file: string; readonly why: string }[];
};

/** The most lines that a goods file may have, and the most columns. */
export const MOST_LINES = 20_000;
export const MOST_COLUMNS = 500;
