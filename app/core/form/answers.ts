import { z } from "zod";
import { LONGEST_ANSWER, MOST_FILE_BYTES, type FormField } from "./field";

/** A file as it arrived: what it really is has been found out from its bytes. */
export type FileGiven = {
  readonly name: string;
  readonly bytes: number;
  /** What its content says that it is; undefined where that is none of what is taken. */
  readonly is: "picture" | "pdf" | undefined;
};

/** What came for a field: texts, or one file. */
export type Given = { readonly texts: readonly string[]; readonly file?: FileGiven | undefined };

export type Answer = {
  readonly field: string;
  readonly label: string;
  readonly sort: FormField["sort"];
  /** The answer as it is read; of several choices, one per line. */
  readonly text: string;
  /** What was chosen, where that is something of the shop. */
  readonly id?: string;
};

export type Read = {
  readonly answers: readonly Answer[];
  /** Why an answer can't be taken, by the id of its field. */
  readonly problems: ReadonlyMap<string, string>;
};

const mailAddress = z.email().max(254);

/** Letters that show nothing and end no line would let one text look like another; ends of lines are written in one way. */
const cleaned = (text: string): string =>
  text
    .replace(/\r\n?/g, "\n")
    .replace(/[\u0000-\u0008\u000b-\u001f\u007f\u202a-\u202e\u2066-\u2069]/g, "")
    .trim();

const valuesOf = (given: ReadonlyMap<string, Given>, id: string): readonly string[] =>
  (given.get(id)?.texts ?? []).map(cleaned).filter(Boolean);

/**
 * Whether a field is asked, by what the earlier ones say. A field that is not asked itself says nothing.
 * `values`: what the fields say that are asked.
 */
export function isAsked({ when }: Pick<FormField, "when">, values: ReadonlyMap<string, readonly string[]>): boolean {
  if (!when) return true;
  const said = values.get(when.field) ?? [];
  switch (when.how) {
    case "filled":
      return said.length > 0;
    case "empty":
      return said.length === 0;
    case "is":
      return said.includes(when.value);
    case "is-not":
      return !said.includes(when.value);
  }
}

/** The fields that are asked, in order, where this was given; conditions look at what stands before them. */
export function askedOf(fields: readonly FormField[], given: ReadonlyMap<string, Given>): readonly FormField[] {
  const values = new Map<string, readonly string[]>();
  return fields.filter((field) => {
    if (!isAsked(field, values)) return false;
    const file = given.get(field.id)?.file;
    values.set(field.id, field.sort === "hidden" ? [field.value] : file ? [file.name] : valuesOf(given, field.id));
    return true;
  });
}

/** A decimal number as people write it, with a point or a comma; undefined where it is none. */
function numberIn(text: string): number | undefined {
  const plain = text.replace(/[\s'’]/g, "").replace(",", ".");
  return /^[+-]?\d{1,15}(?:\.\d{1,10})?$/.test(plain) ? Number(plain) : undefined;
}

const bounds = ({ least, most }: FormField): string =>
  least !== null && most !== null
    ? `Give a number from ${least} to ${most}.`
    : least === null
      ? `Give a number up to ${most}.`
      : `Give a number of ${least} or more.`;

function isDay(text: string): boolean {
  if (!/^\d{4}-\d\d-\d\d$/.test(text)) return false;
  const [year, month, day] = text.split("-").map(Number) as [number, number, number];
  // Day 0 of the next month is the last of this one (Gregorian calendar).
  return month >= 1 && month <= 12 && day >= 1 && day <= new Date(Date.UTC(year, month, 0)).getUTCDate();
}

const megabytes = MOST_FILE_BYTES / 1024 / 1024;

function fileProblem({ takes }: FormField, { bytes, is }: FileGiven): string | undefined {
  if (bytes > MOST_FILE_BYTES) return `This file is larger than ${megabytes} MB.`;
  const isTaken = takes === "any" ? is !== undefined : is === (takes === "pdf" ? "pdf" : "picture");
  if (isTaken) return undefined;
  return `Send ${{ any: "a picture or a PDF", pictures: "a picture (JPEG, PNG, WebP or GIF)", pdf: "a PDF" }[takes]}.`;
}

/** Why what was given can't be an answer to a field; undefined where it can. `today`: the shop's day, as ISO 8601 writes it. */
function problemOf(field: FormField, values: readonly string[], file: FileGiven | undefined, today: string) {
  const [value = ""] = values;
  if (field.sort === "file") {
    if (!file) return field.required ? "Choose a file." : undefined;
    return fileProblem(field, file);
  }
  if (values.length === 0) {
    if (!field.required) return undefined;
    return (
      {
        consent: "Please tick this to go on.",
        choice: "Please choose one.",
        several: "Please choose at least one.",
        product: "Please choose one.",
      }[field.sort as string] ?? "Please fill this in."
    );
  }
  if (values.some((each) => each.length > LONGEST_ANSWER))
    return `That is longer than ${LONGEST_ANSWER.toLocaleString("en")} characters.`;
  switch (field.sort) {
    case "mail":
      return mailAddress.safeParse(value).success
        ? undefined
        : "That is not a mail address. It looks like name@site.com.";
    case "phone": {
      const digits = value.replace(/\D/g, "").length;
      return /^[+()\d\s./-]+$/.test(value) && digits >= 5 && digits <= 20
        ? undefined
        : "That is not a telephone number. Write digits, with a + before the country.";
    }
    case "number": {
      const number = numberIn(value);
      if (number === undefined) return "Write a number.";
      const isIn = number >= (field.least ?? number) && number <= (field.most ?? number);
      return isIn ? undefined : bounds(field);
    }
    case "date":
      if (!isDay(value)) return "That is not a day.";
      if (field.dates === "coming" && value < today) return "Choose a day from today on.";
      return field.dates === "past" && value > today ? "Choose a day that has been." : undefined;
    case "choice":
    case "product":
      return values.length === 1 && field.options.includes(value) ? undefined : "Please choose one of these.";
    case "several":
      return values.every((each) => field.options.includes(each)) ? undefined : "Please choose among these.";
    default:
      return undefined;
  }
}

/**
 * Reads what was given for a form. Fields that are not asked are left out, whatever came for them.
 * `today`: the shop's day, as ISO 8601 writes it.
 */
export function answersIn(fields: readonly FormField[], given: ReadonlyMap<string, Given>, today: string): Read {
  const problems = new Map<string, string>();
  const answers: Answer[] = [];
  for (const field of askedOf(fields, given)) {
    const { id, sort, label, names } = field;
    if (sort === "hidden") {
      if (field.value) answers.push({ field: id, label, sort, text: field.value });
      continue;
    }
    const values = valuesOf(given, id);
    const file = given.get(id)?.file;
    const why = problemOf(field, values, file, today);
    if (why !== undefined) problems.set(id, field.message || why);
    else if (sort === "file" ? file : values.length)
      answers.push({
        field: id,
        label,
        sort,
        text:
          sort === "consent"
            ? "Yes"
            : sort === "file"
              ? cleaned(file!.name).slice(0, 200)
              : values.map((each) => names?.get(each) ?? each).join("\n"),
        ...(sort === "product" ? { id: values[0]! } : {}),
      });
  }
  return { answers, problems };
}
