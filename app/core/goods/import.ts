import { readCsv } from "../formats";
import { parseMoney, type Minor } from "../money";
import { AVAILABILITIES, AVAILABILITY_WORDS, slugOf, type Availability } from "./types";

/** What a line of a goods file says about one product. */
export type GoodsLine = {
  readonly line: number;
  readonly sku: string;
  readonly title: string;
  readonly description: string;
  readonly price: Minor;
  readonly compareAt: Minor | null;
  readonly collections: readonly string[];
  readonly tags: readonly string[];
  /** File names or addresses of pictures, as written. */
  readonly pictures: readonly string[];
  readonly stock: number | null;
  readonly availability: Availability;
  readonly availableFrom: string | null;
  readonly attributes: Readonly<Record<string, string>>;
};

export type LineProblem = { readonly line: number; readonly column: string; readonly why: string };

export type GoodsFile = {
  readonly lines: readonly GoodsLine[];
  readonly problems: readonly LineProblem[];
  /** What the file has a column for. What it has none for says nothing about a product that is known already. */
  readonly given: readonly GoodsField[];
  /** How each column of the file was understood; `attribute` columns describe the product. */
  readonly columns: readonly { readonly name: string; readonly means: string }[];
};

const FIELDS = {
  sku: ["sku", "article number", "item number", "code"],
  title: ["title", "name", "product", "product name"],
  description: ["description", "text", "details"],
  price: ["price", "sale price", "unit price"],
  compareAt: ["compare-at price", "compare at price", "compare at", "was", "old price", "list price"],
  collections: ["collection", "collections", "category", "categories"],
  tags: ["tags", "tag", "labels"],
  pictures: ["picture", "pictures", "image", "images", "photo", "photos"],
  stock: ["stock", "quantity", "in stock", "inventory"],
  availability: ["availability", "state", "status"],
  availableFrom: ["available from", "arrives", "date"],
} as const;
type Field = keyof typeof FIELDS;
export type GoodsField = Field;

const MEANS: Readonly<Record<Field, string>> = {
  sku: "SKU",
  title: "title",
  description: "description",
  price: "price",
  compareAt: "compare-at price",
  collections: "collection",
  tags: "tags",
  pictures: "pictures",
  stock: "stock",
  availability: "availability",
  availableFrom: "available from",
};

const fieldOf = (column: string): Field | undefined => {
  const plain = column
    .toLowerCase()
    .replace(/[_\s]+/g, " ")
    .trim();
  return (Object.keys(FIELDS) as Field[]).find((f) => (FIELDS[f] as readonly string[]).includes(plain));
};

const list = (cell: string) =>
  cell
    .split(/[|;]/)
    .map((part) => part.trim())
    .filter(Boolean);

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

const isDay = (text: string) =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) &&
  !Number.isNaN(Date.parse(`${text}T00:00:00Z`)) &&
  new Date(`${text}T00:00:00Z`).toISOString().startsWith(text);

/**
 * Reads a goods file. A line with a problem is reported and left out, the others are understood; nothing is stored here.
 * Two lines with the same SKU are a problem of the second.
 */
export function readGoods(text: string, currency: string): GoodsFile {
  const table = readCsv(text);
  const problems: LineProblem[] = table.problems.map((p) => ({ ...p, column: "" }));
  const fields = table.columns.map((name) => ({ name, field: fieldOf(name) }));
  const columns = fields.map(({ name, field }) => ({
    name,
    means: field ? MEANS[field] : name ? "attribute" : "left out",
  }));
  const given = fields.map((f) => f.field).filter((f) => f !== undefined);
  const has = (field: Field) => fields.some((f) => f.field === field);
  if (table.columns.length === 0)
    return { lines: [], given: [], columns: [], problems: [{ line: 1, column: "", why: "The file is empty." }] };
  for (const field of ["title", "price"] as const) {
    if (!has(field)) {
      problems.push({
        line: 1,
        column: "",
        why: `No column says the ${MEANS[field]}. Name one of the columns “${MEANS[field]}”.`,
      });
    }
  }
  if (!has("title") || !has("price")) return { lines: [], given, columns, problems };

  const lines: GoodsLine[] = [];
  const skus = new Map<string, number>();
  for (const { line, cells } of table.rows) {
    const before = problems.length;
    const report = (column: string, why: string) => problems.push({ line, column, why });
    if (cells.length > table.columns.length) {
      report(
        "",
        `This line has ${cells.length} values, the head has ${table.columns.length}. Put quotation marks around a value with a comma in it.`,
      );
    }
    const cell = (field: Field) => cells[fields.findIndex((f) => f.field === field)]?.trim() ?? "";
    const money = (field: "price" | "compareAt"): Minor | null => {
      const written = cell(field);
      if (written === "" && field === "compareAt") return null;
      const parsed = parseMoney(written, currency);
      if (parsed.ok) return parsed.amount;
      report(MEANS[field], parsed.why);
      return null;
    };
    const title = cell("title");
    if (!title) report("title", "There is no title.");
    if (title.length > 160) report("title", "The title is longer than 160 characters.");
    const sku = cell("sku") || slugOf(title).toUpperCase().slice(0, 40);
    const twin = skus.get(sku);
    if (twin !== undefined && title) report("SKU", `“${sku}” stands on line ${twin} already.`);
    else skus.set(sku, line);
    const price = money("price");
    const compareAt = money("compareAt");
    const stockText = cell("stock");
    if (stockText !== "" && !/^\d{1,7}$/.test(stockText)) report("stock", `“${stockText}” is not a whole number.`);
    const stock = stockText === "" ? null : Number(stockText);
    const state = cell("availability").toLowerCase();
    const stated = WORD_TO_AVAILABILITY.get(state);
    if (state && !stated)
      report(
        "availability",
        `“${cell("availability")}” is not one of: ${Object.values(AVAILABILITY_WORDS).join(", ")}.`,
      );
    const availableFrom = cell("availableFrom") || null;
    if (availableFrom && !isDay(availableFrom))
      report("available from", `“${availableFrom}” is not a day. Write it like 2027-03-01.`);
    if (problems.length > before) continue;
    const attributes: Record<string, string> = {};
    fields.forEach(({ name, field }, i) => {
      const value = cells[i]?.trim();
      if (!field && name && value) attributes[name] = value;
    });
    lines.push({
      line,
      sku,
      title,
      description: cell("description"),
      price: price!,
      compareAt,
      stock,
      availableFrom,
      attributes,
      collections: list(cell("collections")),
      tags: list(cell("tags")),
      pictures: list(cell("pictures")),
      availability: stated ?? (stock === 0 ? "sold-out" : "in-stock"),
    });
  }
  return { lines, given, columns, problems };
}
