/** What a form can ask for. `hidden`: it asks nothing and is sent along. */
export const FIELD_SORTS = [
  "line",
  "text",
  "mail",
  "phone",
  "number",
  "date",
  "choice",
  "several",
  "consent",
  "product",
  "file",
  "hidden",
] as const;
export type FieldSort = (typeof FIELD_SORTS)[number];

/** Which files a field takes. */
export const FILE_SORTS = ["any", "pictures", "pdf"] as const;
export type FileSort = (typeof FILE_SORTS)[number];

/** The largest file that can be sent with a form, in bytes. */
export const MOST_FILE_BYTES = 8 * 1024 * 1024;
/** The longest answer, in characters. */
export const LONGEST_ANSWER = 5000;

/** A field is asked only where an earlier one says this. `filled`, `empty`: whatever it says, or nothing. */
export type AskedWhen = {
  readonly field: string;
  readonly how: "is" | "is-not" | "filled" | "empty";
  readonly value: string;
};

/** One field of a form, as what is sent is read by it. */
export type FormField = {
  readonly id: string;
  readonly sort: FieldSort;
  readonly label: string;
  readonly required: boolean;
  /** Of what can be chosen; of a product, the ids. */
  readonly options: readonly string[];
  /** What options are called, where that is not what is sent. */
  readonly names?: ReadonlyMap<string, string>;
  /** Bounds of a number; null: none. */
  readonly least: number | null;
  readonly most: number | null;
  /** Which days may be given, today among them. */
  readonly dates: "any" | "coming" | "past";
  readonly takes: FileSort;
  /** What is sent along by a hidden field. */
  readonly value: string;
  /** The seller's own words for an answer that is missing or wrong; empty: ours. */
  readonly message: string;
  readonly when: AskedWhen | null;
};

/** The name under which browsers send the answer to a field. */
export const nameOfField = (id: string): string => `q-${id}`;

/** Choices written one per line, none empty and none twice. */
export const optionsIn = (lines: string): readonly string[] => [
  ...new Set(
    lines
      .split("\n")
      .map((line) => line.trim())
      .filter(Boolean),
  ),
];
