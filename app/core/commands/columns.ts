import { newId, type Audience, type Draft, type Part } from "../document";
import { MOST_COLUMNS, sharesOf, sharesWith, sharesWithout } from "../layout";
import type { Operation } from "../operations";
import { locate, styleOperations, type StyleChange } from "./nodes";
import { refuse, transaction, type Outcome } from "./transaction";

export const COLUMNS_SLOT = "columns";
export const WIDGETS_SLOT = "widgets";

/** A column, with what stands in it. */
export const makeColumn = (widgets: readonly Part[] = [], share?: number): Part => ({
  id: newId(),
  kind: "column",
  props: {},
  style: share === undefined ? {} : { all: { share: shareValue(share) } },
  conditions: [],
  shown: true,
  slots: widgets.length ? { [WIDGETS_SLOT]: widgets } : {},
});

export const columnsOf = (section: Part): readonly Part[] => section.slots[COLUMNS_SLOT] ?? [];
const shareValue = (share: number) => `${share}%`;
const readShare = (value: unknown) => (typeof value === "string" ? Number.parseFloat(value) : undefined);

/** The share of its section's width that a column has while it says nothing itself, as a theme gives it. */
export type UsualShare = (column: Part) => unknown;

/** The shares that a section's columns have on a device (or on all), adding up to 100. */
export function sharesIn(section: Part, audience: Audience, usual: UsualShare): readonly number[] {
  const columns = columnsOf(section);
  return sharesOf(
    columns.map(
      (c) =>
        readShare(c.style[audience]?.share) ??
        readShare(c.style.all?.share) ??
        readShare(usual(c)) ??
        100 / Math.max(1, columns.length),
    ),
  );
}

const shareChanges = (
  columns: readonly Part[],
  audience: Audience,
  shares: readonly number[],
): readonly StyleChange[] =>
  columns.map((column, i) => ({ id: column.id, audience, property: "share", value: shareValue(shares[i]!) }));

/** Sets the widths of a section's columns, as shares that add up to 100. */
export function setShares(
  draft: Draft,
  section: string,
  audience: Audience,
  shares: readonly number[],
  words = shares.map((s) => Math.round(s)).join(" : "),
): Outcome {
  const found = locate(draft, section);
  const columns = found ? columnsOf(found.node) : [];
  if (!found || columns.length !== shares.length) return refuse("These columns are no longer there.");
  const operations = styleOperations(draft, shareChanges(columns, audience, shares));
  if (operations.length === 0) return refuse("It is like that already.");
  return transaction("setShares", `Columns ${words}`, operations, { mergeKey: `shares:${section}:${audience}` });
}

/** Columns of one section's own devices: their shares there are put back before the columns change in number. */
const forgetDeviceShares = (columns: readonly Part[]): readonly StyleChange[] =>
  columns.flatMap((c) =>
    (["phone", "tablet", "wide"] as const)
      .filter((d) => c.style[d]?.share !== undefined)
      .map((audience) => ({ id: c.id, audience, property: "share", value: undefined })),
  );

/** Adds an empty column at `index`; it takes an equal part of the width, the others keep their proportions. */
export function addColumn(draft: Draft, section: string, index: number, usual: UsualShare): Outcome {
  const found = locate(draft, section);
  if (!found) return refuse("This section is no longer there.");
  const columns = columnsOf(found.node);
  if (columns.length >= MOST_COLUMNS) return refuse(`A section can have ${MOST_COLUMNS} columns.`);
  const shares = sharesWith(sharesIn(found.node, "all", usual), index);
  const column = makeColumn([], shares[index]);
  const operations: Operation[] = [
    ...styleOperations(draft, [
      ...shareChanges(columns, "all", shares.toSpliced(index, 1)),
      ...forgetDeviceShares(columns),
    ]),
    { type: "insertNode", document: found.document, to: { parent: section, slot: COLUMNS_SLOT, index }, node: column },
  ];
  return transaction("addColumn", "Column added", operations, { selects: column.id });
}

/** Takes a column out. What stands in it moves to the end of its neighbour. */
export function removeColumn(draft: Draft, column: string, usual: UsualShare): Outcome {
  const at = locate(draft, column);
  const found = at && locate(draft, at.place.parent);
  if (!at || !found) return refuse("This column is no longer there.");
  const columns = columnsOf(found.node);
  if (columns.length === 1) return refuse("A section needs one column. Remove the section instead.");
  const { index } = at.place;
  const others = columns.toSpliced(index, 1);
  const neighbour = columns[index - 1] ?? columns[index + 1]!;
  const widgets = at.node.slots[WIDGETS_SLOT] ?? [];
  const { length } = neighbour.slots[WIDGETS_SLOT] ?? [];
  const isBefore = index > 0;
  const moves = widgets.map((widget, i): Operation => ({
    type: "moveNode",
    document: found.document,
    node: widget.id,
    // Each is the first of its column once those before it are gone.
    from: { parent: column, slot: WIDGETS_SLOT, index: 0 },
    // What stood left stays before what stood right of it.
    to: { parent: neighbour.id, slot: WIDGETS_SLOT, index: isBefore ? length + i : i },
  }));
  const shares = sharesWithout(sharesIn(found.node, "all", usual), index);
  const operations: Operation[] = [
    ...styleOperations(draft, [...shareChanges(others, "all", shares), ...forgetDeviceShares(others)]),
    ...moves,
    {
      type: "removeNode",
      document: found.document,
      from: at.place,
      node: widgets.length ? { ...at.node, slots: {} } : at.node,
    },
  ];
  return transaction("removeColumn", "Column removed", operations, { selects: neighbour.id });
}
