/** A row of a tree that is shown as a list, each row after the one that it stands beneath. */
export type TreeRow = { readonly id: string; readonly parent: string | null; readonly depth: number };

/** Where a row goes: beneath another one (null: at the top), before one that stands there; without one, last. */
export type TreePlace = { readonly parent: string | null; readonly before: string | undefined; readonly depth: number };

/** A row and all rows beneath it, as a part of the list. */
function extentOf(rows: readonly TreeRow[], id: string): readonly [from: number, to: number] {
  const from = rows.findIndex((r) => r.id === id);
  if (from < 0) return [-1, -1];
  let to = from + 1;
  while (to < rows.length && rows[to]!.depth > rows[from]!.depth) to++;
  return [from, to];
}

/** How many levels a row and what is beneath it take. */
const heightOf = (rows: readonly TreeRow[], [from, to]: readonly [number, number]): number =>
  Math.max(...rows.slice(from, to).map((r) => r.depth)) - rows[from]!.depth + 1;

/**
 * Where a row would go when it is let go between two others: `gap` counts the rows above that place, without what is moved;
 * `depth` is how far to the right the hand is. It goes as near to that as what stands above and below allows.
 * @param levels how many levels the tree may have
 * @returns undefined where it can't go
 */
export function placeAt(
  rows: readonly TreeRow[],
  id: string,
  gap: number,
  depth: number,
  levels: number,
): TreePlace | undefined {
  const extent = extentOf(rows, id);
  if (extent[0] < 0) return undefined;
  const others = [...rows.slice(0, extent[0]), ...rows.slice(extent[1])];
  const at = Math.max(0, Math.min(gap, others.length));
  const [above, below] = [others[at - 1], others[at]];
  const least = below?.depth ?? 0;
  const most = Math.min(above ? above.depth + 1 : 0, levels - heightOf(rows, extent));
  if (least > most) return undefined;
  const goal = Math.max(least, Math.min(depth, most));
  let parent: string | null = null;
  for (let i = at - 1; i >= 0 && goal > 0; i--)
    if (others[i]!.depth === goal - 1) {
      parent = others[i]!.id;
      break;
    }
  const before = below && below.depth === goal && below.parent === parent ? below.id : undefined;
  return { parent, before, depth: goal };
}

/** Rows above a place, without those that are moved: they still stand in the list while a hand moves them. */
export function gapWithout(rows: readonly TreeRow[], id: string, gap: number): number {
  const [from, to] = extentOf(rows, id);
  return gap > from ? Math.max(from, gap - (to - from)) : gap;
}

/** Where a key moves a row: along its siblings, into the one above, or out of what it stands in. Undefined where it can't. */
export function placeByKey(rows: readonly TreeRow[], id: string, key: string, levels: number): TreePlace | undefined {
  const row = rows.find((r) => r.id === id);
  if (!row) return undefined;
  const siblings = rows.filter((r) => r.parent === row.parent);
  const at = siblings.indexOf(row);
  const to = (parent: string | null, before: string | undefined, depth: number): TreePlace => ({
    parent,
    before,
    depth,
  });
  switch (key) {
    case "ArrowUp":
      return at > 0 ? to(row.parent, siblings[at - 1]!.id, row.depth) : undefined;
    case "ArrowDown":
      return at < siblings.length - 1 ? to(row.parent, siblings[at + 2]?.id, row.depth) : undefined;
    case "ArrowRight":
      return at > 0 && row.depth + heightOf(rows, extentOf(rows, id)) < levels
        ? to(siblings[at - 1]!.id, undefined, row.depth + 1)
        : undefined;
    case "ArrowLeft": {
      const parent = rows.find((r) => r.id === row.parent);
      if (!parent) return undefined;
      const aunts = rows.filter((r) => r.parent === parent.parent);
      return to(parent.parent, aunts[aunts.indexOf(parent) + 1]?.id, parent.depth);
    }
    default:
      return undefined;
  }
}
