import { shortened } from "~/core/live";
import { against, conditionsOf, type Asked, type Condition } from "~/core/conditions";
import { pathTo, standingIn, type Draft, type Part, type Place, entryOf } from "~/core/document";
import { accepts, kindOf, levelOf, nameOf, type Level, strangerIn } from "~/kinds";

/** A part of a page and what it stands in. */
export type PartAt = {
  readonly document: string;
  readonly node: Part;
  readonly level: Level;
  /** From its section down to the part itself. */
  readonly path: readonly Part[];
};

/** Finds a part in whichever document holds it. */
export function partAt(draft: Draft, id: string): PartAt | undefined {
  for (const document of Object.values(draft.documents)) {
    const path = pathTo(document.root, id);
    const node = path.at(-1);
    if (!node) continue;
    const level = levelOf(node) ?? "section";
    // A section within a section, such as a slide, stands beside others of its sort, as columns do.
    return { document: document.id, node, level: level === "section" && path.length > 1 ? "column" : level, path };
  }
  return undefined;
}

/** The longest that a part is called by its own words, in characters. */
const LONGEST_NAME = 40;

/** What a part is called among those around it: "Column 2", "Button". */
export function nameIn(node: Part, parent: Part | undefined): string {
  if (!parent) return nameOf(node);
  const { eachIs } = kindOf(parent)?.definition ?? {};
  if (eachIs !== undefined && levelOf(node) === "section")
    return `${eachIs} ${
      Object.values(parent.slots)
        .flat()
        .findIndex((n) => n.id === node.id) + 1
    }`;
  if (levelOf(node) !== "column") {
    const { calledBy = "" } = kindOf(node)?.definition ?? {};
    const words = entryOf(node.props, calledBy);
    return (typeof words === "string" && shortened(words).trim().slice(0, LONGEST_NAME)) || nameOf(node);
  }
  return `Column ${(parent.slots.columns ?? []).findIndex((c) => c.id === node.id) + 1}`;
}

export const nameOfPart = ({ path, node }: PartAt): string => nameIn(node, path.at(-2));

const small = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** Where things can stand, in words: "column 2 of Freehand", "Hero". */
export function placeName(draft: Draft, parent: string): string {
  const part = partAt(draft, parent);
  if (!part) return "the page";
  const [section] = part.path;
  if (part.level === "section") return nameOf(part.node);
  if (part.level === "column") return `${small(nameOfPart(part))} of ${nameOf(section!)}`;
  return `${small(nameOf(part.node))} in ${placeName(draft, part.path.at(-2)!.id)}`;
}

const ORDINALS = ["1st", "2nd", "3rd", "4th", "5th", "6th", "7th"];

/** Says what dropping at a place will do before it is done. `moving`: the part that is moved, if it is on a page already. */
export function partDropWords(draft: Draft, { parent, slot, index }: Place, moving: string | undefined): string {
  const part = partAt(draft, parent);
  const inside = entryOf(part?.node.slots, slot) ?? [];
  const own = inside.findIndex((n) => n.id === moving);
  if (own >= 0 && (index === own || index === own + 1)) return "Stays here";
  const name = placeName(draft, parent);
  if (slot === "columns") {
    const at = own >= 0 && index > own ? index - 1 : index;
    return `${ORDINALS[at] ?? `${at + 1}th`} column of ${name}`;
  }
  const others = inside.filter((n) => n.id !== moving);
  const at = own >= 0 && index > own ? index - 1 : index;
  const where = name.charAt(0).toUpperCase() + name.slice(1);
  const before = others[at - 1];
  const after = others[at];
  if (!before && !after) return where;
  if (!before) return `${where}, first`;
  if (!after) return `${where}, last`;
  return `${where}, between ${nameOf(before)} and ${nameOf(after)}`;
}

/** Every place of a page that can take a part, at its end, with its name: the keyboard's way of carrying things far. */
export function placesFor(
  draft: Draft,
  page: string,
  part: Part,
): readonly { readonly place: Place; readonly words: string }[] {
  const found: { place: Place; words: string }[] = [];
  const enter = (node: Part) => {
    if (node.id === part.id) return;
    for (const slot of Object.keys(kindOf(node)?.definition.holds ?? {})) {
      if (!accepts(node, slot, part)) continue;
      const inside = entryOf(node.slots, slot) ?? [];
      if (inside.some((n) => n.id === part.id)) continue;
      found.push({ place: { parent: node.id, slot, index: inside.length }, words: placeName(draft, node.id) });
    }
    for (const children of Object.values(node.slots)) children.forEach(enter);
  };
  const document = entryOf(draft.documents, page);
  if (!document || strangerIn(document, part)) return [];
  for (const { node } of standingIn(draft.documents, document, "main")) enter(node);
  return found;
}

/** Where a new widget goes when nobody says: after the selected one, into the selected column, or into the selected section. */
export function placeForWidget(draft: Draft, selected: string | null, widget: Part): Place | undefined {
  const part = selected ? partAt(draft, selected) : undefined;
  const document = part && entryOf(draft.documents, part.document);
  if (!part || !document || strangerIn(document, widget)) return undefined;
  for (let depth = part.path.length - 1; depth >= 0; depth--) {
    const here = part.path[depth]!;
    const parent = part.path[depth - 1];
    // Into what is selected, if it can take it.
    for (const slot of Object.keys(kindOf(here)?.definition.holds ?? {})) {
      if (accepts(here, slot, widget)) return { parent: here.id, slot, index: entryOf(here.slots, slot)?.length ?? 0 };
    }
    const [firstColumn] = here.slots.columns ?? [];
    if (firstColumn) return { parent: firstColumn.id, slot: "widgets", index: firstColumn.slots.widgets?.length ?? 0 };
    // Else right after it.
    for (const [slot, inside] of Object.entries(parent?.slots ?? {})) {
      const index = inside.findIndex((n) => n.id === here.id);
      if (index >= 0 && accepts(parent!, slot, widget)) return { parent: parent!.id, slot, index: index + 1 };
    }
  }
  return undefined;
}

const AGAINST: Readonly<Record<Condition["when"], string>> = {
  dates: "not at this time",
  times: "not at this time",
  pages: "not on this page",
  goods: "not with these goods",
  visitor: "not to this visitor",
  cart: "not with this cart",
  country: "not in this country",
  any: "not as you are looking",
};

/** Why shoppers don't see a part, in words; undefined where they do. `asked`: where, when and as whom it is looked at. */
export function unseenWords(node: Part, asked: Asked): string | undefined {
  if (!node.shown) return "not shown yet";
  const what = node.conditions.length ? against(conditionsOf(node), asked) : undefined;
  return what && AGAINST[what];
}
