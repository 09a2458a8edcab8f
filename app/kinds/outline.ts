import { entryOf, walk, type Json, type PageDocument, type Part } from "~/core/document";
import { plainOf, treeOf, type Rich, type RichNode } from "~/core/rich";
import { CONTENTS, headingPlace, placeOf, type OutlineEntry } from "./outline-places";
import { boundOf, hasTrait, kindOf, type Field } from ".";

/** Blocks of running text that are headings of the first level that it has. */
const isHeading = (block: RichNode): boolean => block.type === "heading" && Number(block.attrs?.level ?? 2) <= 2;

const titleOf = (section: Part): string => {
  const { heading } = section.props;
  if (typeof heading === "string") return heading.trim();
  const head = [...walk(section)].find((part) => part.shown && hasTrait(part, "head") && !boundOf(part));
  return typeof head?.props.text === "string" ? head.props.text.trim() : "";
};

type Values = Readonly<Record<string, Json>>;

function firstIn(fields: readonly Field[], values: Values): string {
  for (const field of fields) {
    const value = entryOf(values, field.key);
    const found =
      field.type === "list"
        ? ((value ?? []) as readonly Values[]).map((each) => firstIn(field.fields, each)).find(Boolean)
        : (field.type === "line" || field.type === "text") && typeof value === "string"
          ? value.trim()
          : "";
    if (found) return found;
  }
  return "";
}

/** The first words that a part says, its heading before others; empty where it says nothing. */
export const firstWords = (part: Part): string =>
  titleOf(part) ||
  ([...walk(part)].map((each) => firstIn(kindOf(each)?.definition.fields ?? [], each.props)).find(Boolean) ?? "");

function* deepOf(section: Part): Generator<OutlineEntry> {
  for (const part of walk(section)) {
    if (!part.shown || boundOf(part)) continue;
    for (const field of kindOf(part)?.definition.fields ?? []) {
      if (field.type !== "rich") continue;
      const value = entryOf(part.props, field.key) as Rich | undefined;
      if (value === undefined || typeof value === "string") continue;
      for (const [i, block] of (treeOf(value).content ?? []).entries()) {
        if (!isHeading(block)) continue;
        const title = plainOf({ type: "doc", content: [block] }).trim();
        if (title) yield { id: headingPlace(part.id, field.key, i), title, isDeep: true };
      }
    }
  }
}

/** The headings of a page in reading order, but for that of the page itself, which its first section is. */
export const outlineOf = (page: PageDocument | undefined): readonly OutlineEntry[] =>
  (page?.root.slots.main ?? [])
    .filter((section) => section.shown && section.kind !== CONTENTS)
    .flatMap((section) => {
      const title = section === page?.root.slots.main?.[0] ? "" : titleOf(section);
      return [...(title ? [{ id: placeOf(section), title, isDeep: false }] : []), ...deepOf(section)];
    });
