import type { Part } from "~/core/document";
import { chassisOf } from "./chassis";

/** A heading of a page, and the id of the element that it leads to. `isDeep`: it stands within the text of a section. */
export type OutlineEntry = { readonly id: string; readonly title: string; readonly isDeep: boolean };

/** The kind that lists the headings of its page; where it stands, they have ids. */
export const CONTENTS = "contents";

/** The id of a section's element: the name of its place, or one of its own. */
export const placeOf = (section: Part): string => chassisOf(section).anchor || `to-${section.id}`;

/** The id of a heading within running text: the block that it is, of the text at a path of a part. */
export const headingPlace = (part: string, at: string, block: number): string =>
  `to-${part}-${at.replace(/\./g, "-")}-${block}`;
