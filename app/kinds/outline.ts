import { entryOf, walk, type PageDocument, type Part } from "~/core/document";
import { plainOf, treeOf, type Rich, type RichNode } from "~/core/rich";
import { CONTENTS, headingPlace, placeOf, type OutlineEntry } from "./outline-places";
import { boundOf, hasTrait, kindOf } from ".";

/** Blocks of running text that are headings of the first level that it has. */
const isHeading = (block: RichNode): boolean => block.type === "heading" && Number(block.attrs?.level ?? 2) <= 2;

const titleOf = (section: Part): string => {
  const { heading } = section.props;
  if (typeof heading === "string") return heading.trim();
  const head = [...walk(section)].find((part) => part.shown && hasTrait(part, "head") && !boundOf(part));
  return typeof head?.props.text === "string" ? head.props.text.trim() : "";
};

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
