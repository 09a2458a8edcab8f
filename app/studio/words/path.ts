import type { Path } from "~/core/operations";
import type { Field } from "~/kinds";
import { LONGEST_CELL } from "~/kinds/table-rows";

/** The path of words in the props of their part, as panes write it: `questions.3.answer`. */
export const pathOf = (at: string): Path => at.split(".").map((step) => (/^\d+$/.test(step) ? Number(step) : step));

/** The field that a path into a section's props leads to. */
export function fieldAt(fields: readonly Field[], path: Path): Field | undefined {
  const [first, , ...rest] = path;
  const field = fields.find((f) => f.key === first);
  // A cell of a table is a line of its own.
  if (field?.type === "table") return { type: "line", key: field.key, label: field.label, most: LONGEST_CELL };
  return field?.type === "list" && rest.length ? fieldAt(field.fields, rest) : field;
}
