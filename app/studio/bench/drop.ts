/** Start and end of a section along the way it is dragged. */
export type Extent = { readonly start: number; readonly end: number };

/**
 * Before which of `extents` something dropped at `position` would go: the number of sections whose middle lies before
 * it. The same answer for the plan (left to right) and for panes (top to bottom).
 */
export const dropIndex = (extents: readonly Extent[], position: number): number =>
  extents.filter(({ start, end }) => (start + end) / 2 < position).length;

/** Where the sill is drawn for a drop before `index`: between the two neighbours. */
export function sillAt(extents: readonly Extent[], index: number): number {
  const before = extents[index - 1];
  const after = extents[index];
  if (before && after) return (before.end + after.start) / 2;
  return after?.start ?? before?.end ?? 0;
}

/** Says what a drop will do before it is done. `names` are those of the sections, in order. */
export function sectionDropWords(names: readonly string[], from: number, index: number): string {
  if (index === from || index === from + 1) return "Stays here";
  const before = names[index - 1];
  const after = names[index];
  if (before === undefined) return "First on the page";
  if (after === undefined) return "Last on the page";
  return `Between ${before} and ${after}`;
}

/** How fast a pane scrolls while something is held near its edge, in px per frame; negative is upwards. */
export function edgeScroll(position: number, height: number, zone = 60, fastest = 18): number {
  if (position < zone) return -Math.ceil(((zone - position) / zone) * fastest);
  if (position > height - zone) return Math.ceil(((position - (height - zone)) / zone) * fastest);
  return 0;
}
