import {
  OVER,
  placeOf,
  sharedOf,
  standingIn,
  walk,
  type Draft,
  type Part,
  type Standing,
  entryOf,
} from "~/core/document";
import { homeOf } from "~/core/addresses";
import { aroundPage } from "~/render";
import { hasTrait, kindOf, nameOf } from "~/kinds";

/** A section of the page on the bench, and where it stands. */
export type SectionPlace = {
  readonly node: Part;
  /** The part that holds its place: itself, or the one that stands for a shared section. */
  readonly stands: Part;
  readonly document: string;
  readonly slot: string;
  readonly index: number;
  readonly name: string;
};

/** What a section is called in the plan: a freehand one by what a layout put into it, where that says more. */
function sectionName(node: Part): string {
  if (!hasTrait(node, "wraps")) return nameOf(node);
  const telling = [...walk(node)].filter((n) => kindOf(n)?.definition.only);
  const told = telling.flatMap((n) => kindOf(n)?.definition.tells ?? [])[0];
  if (told !== undefined) return told;
  return telling.length === 1 ? nameOf(telling[0]!) : nameOf(node);
}

const ROW_NAMES: ReadonlyMap<string, string> = new Map([
  ["top", "Header row"],
  ["bottom", "Footer row"],
]);

/** The shared section by its own name, a row around every page by where it stands, any other by its kind. */
const standingName = (draft: Draft, { node, stands }: Standing, slot: string): string =>
  (node === stands ? undefined : entryOf(draft.documents, sharedOf(stands)!)?.title) ??
  (hasTrait(node, "wraps") ? ROW_NAMES.get(slot) : undefined) ??
  sectionName(node);

/**
 * Parts as they are moved, copied and taken away on a page: the place of a shared section there, not the section itself, which stands on
 * other pages as well.
 */
export function placesOf(draft: Draft, page: string, ids: readonly string[]): readonly string[] {
  const all = standings(draft, page);
  return ids.map((id) => all.find((s) => s.node.id === id)?.stands.id ?? id);
}

/** Everything that the plan shows for a page, in reading order: what every page has on top, the page, what is below. */
export function standings(draft: Draft, page: string): readonly SectionPlace[] {
  const of = (document: string, slot: string): SectionPlace[] => {
    const found = entryOf(draft.documents, document);
    return (found ? standingIn(draft.documents, found, slot) : []).map((standing) => ({
      ...standing,
      document,
      slot,
      name: standingName(draft, standing, slot),
    }));
  };
  const around = aroundPage(entryOf(draft.documents, page));
  const rows = (slot: "top" | "bottom") =>
    around[slot] === "own" ? of(page, slot) : around[slot] ? of("frame", slot) : [];
  // Where there is no header there may be no way on at all: a shop that is closed.
  const over = around.top === false && around.bottom === false ? [] : of("frame", OVER);
  return [...rows("top"), ...of(page, "main"), ...rows("bottom"), ...over];
}

/** The page or layout to work on where another one is asked for that there is not, or none: the home page. */
export const pageAtHand = ({ documents }: Draft, asked: string): string => {
  const kind = entryOf(documents, asked)?.kind;
  return kind === "page" || kind === "layout" ? asked : homeOf(documents);
};

/** The siblings among which a section can be moved, and its place among them. */
export function siblingsOf(
  draft: Draft,
  page: string,
  id: string,
): { readonly siblings: readonly SectionPlace[]; readonly index: number } | undefined {
  const all = standings(draft, page);
  const me = all.find((s) => s.node.id === id);
  if (!me) return undefined;
  const siblings = all.filter((s) => s.document === me.document && s.slot === me.slot);
  return { siblings, index: me.index };
}

/** Where a new section goes: after the selected one if that is on the page itself, else at its end. */
export function placeForNew(draft: Draft, page: string, selected: string | null): number {
  const root = entryOf(draft.documents, page)?.root;
  const place = root && selected ? placeOf(root, placesOf(draft, page, [selected])[0]!) : undefined;
  if (place?.slot === "main") return place.index + 1;
  return root?.slots.main?.length ?? 0;
}
